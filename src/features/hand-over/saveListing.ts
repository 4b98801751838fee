import type { Bicycle } from '@/model/record';
import { asHtml, asMarkdown, type SentenceNow } from '@/model/sell/listingText';
import { shotsInOrder } from '@/model/sell/shots';
import { saveFile } from '@/ui/saveFile';

/** A file name that every system takes. */
const fileName = (title: string) => title.replaceAll(/[^\p{L}\p{N}]+/gu, ' ').trim() || 'listing';

const EXTENSIONS: Record<string, string> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };

/**
 * Saves a listing as Markdown, as a page that opens by itself, or as a folder of both with its photographs in order. Gives how many of its photographs
 * lie on another device.
 */
export async function saveListing(
  as: 'md' | 'html' | 'zip',
  title: string,
  sentences: readonly SentenceNow[],
  bicycle: Pick<Bicycle, 'photos'>,
  readPhoto: (id: string) => Promise<Blob | null | undefined>,
): Promise<number> {
  const name = fileName(title);
  if (as === 'md') saveFile(new Blob([asMarkdown(title, sentences)], { type: 'text/markdown' }), `${name}.md`);
  if (as === 'html') saveFile(new Blob([asHtml(title, sentences)], { type: 'text/html' }), `${name}.html`);
  if (as !== 'zip') return 0;
  const { strToU8, zipSync } = await import('fflate');
  const files: Record<string, Uint8Array> = {};
  const pictures: string[] = [];
  let missing = 0;
  for (const { id, shot } of shotsInOrder(bicycle)) {
    const blob = await readPhoto(id);
    if (!blob) {
      missing++;
      continue;
    }
    const file = `${String(pictures.length + 1).padStart(2, '0')}-${shot}.${EXTENSIONS[blob.type] ?? 'jpg'}`;
    files[file] = new Uint8Array(await blob.arrayBuffer());
    pictures.push(file);
  }
  files['listing.md'] = strToU8(asMarkdown(title, sentences, pictures));
  files['listing.html'] = strToU8(asHtml(title, sentences, pictures));
  saveFile(new Blob([zipSync(files, { level: 0 })], { type: 'application/zip' }), `${name}.zip`);
  return missing;
}

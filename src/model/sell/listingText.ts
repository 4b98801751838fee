import type { Listing, Sentence } from '@/core/sell/listing';
import type { ListingPart } from '@/core/sell/listingParts';
import { own } from '@/core/own';
import type { Bicycle } from '../record';

/** A sentence as it stands in the listing: the record’s, or a person’s in its stead. */
export interface SentenceNow extends Sentence {
  isEdited: boolean;
  /** The record has moved on since it was written over. */
  isStale: boolean;
  /** What the record says. */
  of: string;
}

/** The listing as it goes out: each sentence of the record, or what was written in its stead; one that was emptied is left out of the text. */
export function sentencesNow(
  { listingEdits }: Pick<Bicycle, 'listingEdits'>,
  { sentences }: Pick<Listing, 'sentences'>,
): SentenceNow[] {
  return sentences.map(({ id, text }) => {
    const edit = own(listingEdits, id);
    return edit
      ? { id, text: edit.text, isEdited: true, isStale: edit.of !== text, of: text }
      : { id, text, isEdited: false, isStale: false, of: text };
  });
}

const PARAGRAPHS: readonly (readonly ListingPart[])[] = [
  ['what', 'fit', 'age', 'state'],
  ['done', 'renewed', 'measured'],
  ['flaws', 'not-original'],
  ['for-whom', 'options', 'answers'],
  ['price'],
];

/** The sentences by paragraph, without those that were emptied. */
export const paragraphs = (sentences: readonly SentenceNow[]): string[] =>
  PARAGRAPHS.map((ids) =>
    sentences
      .filter(({ id, text }) => ids.includes(id) && text.trim() !== '')
      .map(({ text }) => text.trim())
      .join(' '),
  ).filter((text) => text !== '');

export const asText = (title: string, sentences: readonly SentenceNow[]): string =>
  [title, ...paragraphs(sentences)].join('\n\n');

const escaped = (text: string) => text.replaceAll(/([\\`*_{}[\]<>#|])/g, '\\$1').replaceAll('\n', ' ');
/** As Markdown, with its photographs in order. */
export const asMarkdown = (
  title: string,
  sentences: readonly SentenceNow[],
  pictures: readonly string[] = [],
): string =>
  [
    `# ${escaped(title)}`,
    ...paragraphs(sentences).map(escaped),
    ...pictures.map((file, i) => `![${i + 1}](${file})`),
  ].join('\n\n') + '\n';

const html = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
/** As a page that opens by itself. */
export const asHtml = (title: string, sentences: readonly SentenceNow[], pictures: readonly string[] = []): string =>
  `<!doctype html>\n<html lang="en-GB">\n<meta charset="utf-8">\n<meta name="viewport" content="width=device-width">\n<title>${html(title)}</title>\n<h1>${html(title)}</h1>\n${paragraphs(
    sentences,
  )
    .map((text) => `<p>${html(text)}</p>`)
    .join(
      '\n',
    )}\n${pictures.map((file, i) => `<p><img src="${html(file)}" alt="Photograph ${i + 1}" style="max-width:100%"></p>`).join('\n')}\n</html>\n`;

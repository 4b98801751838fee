/** After the build: the hash of every inline script of every static page, for the content security policy. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ROOT } from './setup.mjs';

const APP = join(ROOT, '.next/server/app');

function pages(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory()
      ? pages(join(folder, entry.name))
      : entry.name.endsWith('.html')
        ? [join(folder, entry.name)]
        : [],
  );
}

/** Writes the hashes; a page without any inline script would mean that the framework has changed its ways. */
export function writeHashes() {
  const found = {};
  for (const file of pages(APP)) {
    const html = readFileSync(file, 'utf8');
    const inline = [...html.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(([, code]) => code);
    const path = `/${relative(APP, file)
      .replace(/\.html$/, '')
      .replace(/^index$/, '')}`;
    found[path] = [...new Set(inline)].map((code) => `sha256-${createHash('sha256').update(code).digest('base64')}`);
  }
  if (!found['/']?.length) throw new Error('no inline scripts were found in the first page');
  writeFileSync(join(ROOT, '.next/script-hashes.json'), JSON.stringify(found));
}

if (process.argv[1]?.endsWith('hashes.mjs')) writeHashes();

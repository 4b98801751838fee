/** After the build: the hash of every inline script of every static page, and whether the first screen is light enough. */
import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ROOT } from './setup.mjs';

const APP = join(ROOT, '.next/server/app');
/** What the first screen may load before it works, compressed. Over it the build fails: something came too early. */
const MOST_FIRST_LOAD_KB = 300;

function pages(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory()
      ? pages(join(folder, entry.name))
      : entry.name.endsWith('.html')
        ? [join(folder, entry.name)]
        : [],
  );
}

/** Kilobytes of script that a page names, compressed; scripts for browsers without modules are never fetched. */
function firstLoadKb(html) {
  const named = [...html.matchAll(/<script[^>]*src="([^"]+\.js)"[^>]*>/g)].filter(([tag]) => !/nomodule/i.test(tag));
  const files = new Set(named.map(([, src]) => join(ROOT, '.next', src.replace(/^\/_next\//, ''))));
  return [...files].reduce((sum, file) => sum + gzipSync(readFileSync(file)).length, 0) / 1000;
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
  const kb = firstLoadKb(readFileSync(join(APP, 'index.html'), 'utf8'));
  if (kb > MOST_FIRST_LOAD_KB)
    throw new Error(
      `the first screen loads ${kb.toFixed(0)} kB of script, over ${MOST_FIRST_LOAD_KB}: bring something later`,
    );
  if (!found['/']?.length) throw new Error('no inline scripts were found in the first page');
  writeFileSync(join(ROOT, '.next/script-hashes.json'), JSON.stringify(found));
}

if (process.argv[1]?.endsWith('hashes.mjs')) writeHashes();

/** After the build: the hash of every inline script of every static page, and whether every page is light enough. */
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { builtPages, pageWeights } from './weights.mjs';

/** Tells what each page loads before it works. Over its bound the build fails: something came too early. */
function tellWeights() {
  const weights = pageWeights();
  for (const { path, kb, mostKb } of weights) console.log(`${path.padEnd(12)} ${kb.toFixed(1)} kB of ${mostKb}`);
  const heavy = weights.filter(({ kb, mostKb }) => kb > mostKb);
  if (heavy.length > 0)
    throw new Error(
      `${heavy.map(({ path, kb, mostKb }) => `${path} loads ${kb.toFixed(0)} kB of script, over ${mostKb}`).join('; ')}: bring something later`,
    );
}

/** Writes the hashes; a page without any inline script would mean that the framework has changed its ways. */
export function writeHashes() {
  const found = {};
  for (const { path, html } of builtPages()) {
    const inline = [...html.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(([, code]) => code);
    found[path] = [...new Set(inline)].map((code) => `sha256-${createHash('sha256').update(code).digest('base64')}`);
  }
  tellWeights();
  if (!found['/']?.length) throw new Error('no inline scripts were found in the first page');
  writeFileSync(resolve('.next/script-hashes.json'), JSON.stringify(found));
}

if (process.argv[1]?.endsWith('hashes.mjs')) writeHashes();

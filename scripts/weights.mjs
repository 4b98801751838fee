/** How heavy each page of the build is: the scripts that it names, compressed. */
import { gzipSync } from 'node:zlib';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';

const APP = resolve('.next/server/app');

/** The static pages of the build with their HTML, by path. Example: `/bike`. */
export function builtPages(folder = APP) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const file = join(folder, entry.name);
    if (entry.isDirectory()) return builtPages(file);
    if (!entry.name.endsWith('.html')) return [];
    const path = `/${relative(APP, file)
      .replace(/\.html$/, '')
      .replace(/^index$/, '')}`;
    return [{ path, html: readFileSync(file, 'utf8') }];
  });
}

/** The scripts that a page names; those for browsers without modules are never fetched by a present one. */
export function scriptsOf(html) {
  const named = [...html.matchAll(/<script[^>]*src="([^"?]+\.js)[^"]*"[^>]*>/g)].filter(
    ([tag]) => !/nomodule/i.test(tag),
  );
  return [...new Set(named.map(([, src]) => src))];
}

const sizes = new Map();
/** Bytes of a built script, compressed. */
export function weightOf(src) {
  if (!sizes.has(src))
    sizes.set(src, gzipSync(readFileSync(resolve('.next', src.replace(/^.*\/_next\//, '').split(/[?#]/)[0]))).length);
  return sizes.get(src);
}

/** Kilobytes of the first load of each page, and the most that it may be. */
export function pageWeights() {
  return builtPages()
    .filter(({ path }) => !path.startsWith('/_'))
    .map(({ path, html }) => ({
      path,
      kb: scriptsOf(html).reduce((sum, src) => sum + weightOf(src), 0) / 1000,
      mostKb: path === '/' ? 275 : 300,
    }));
}

import { newBicycle } from '../fresh';
import { SCHEMA_VERSION } from '../version';
import type { Bicycle } from '../record';
import { FORMAT, FORMAT_VERSION } from './bundle';

/** What of a record goes nowhere with the bicycle: what it cost and fetched, who sold and bought it, whose it was. */
const PRIVATE = [
  'lead',
  'door',
  'appraisal',
  'purchase',
  'comparables',
  'customer',
  'lines',
  'sale',
  'minutes',
  'clock',
  'listing',
  'listingEdits',
  'saleOptions',
  'buyersQuestions',
  'offers',
  'deposit',
  'testRides',
  'comebacks',
  'dealing',
  'notes',
  'photos',
  'deliveries',
  'waysOut',
] as const satisfies readonly (keyof Bicycle)[];
const PRIVATE_LEAVES = ['provenance/seller', 'provenance/proof'];

const MARK = 'ergasto-passport';

/**
 * A bicycle’s record as it goes along with it. What is private is as in a new record and bears no stamp: whoever reads it back over a record that
 * has it loses nothing. Its photographs stay at home.
 */
export function passportRecord(bicycle: Bicycle): Bicycle {
  const fresh = newBicycle(bicycle.id, bicycle.createdAt, bicycle.name);
  const isPrivate = (leaf: string) =>
    PRIVATE_LEAVES.includes(leaf) || PRIVATE.some((field) => leaf === field || leaf.startsWith(`${field}/`));
  return {
    ...bicycle,
    ...Object.fromEntries(PRIVATE.map((field) => [field, fresh[field]])),
    provenance: { ...fresh.provenance, serial: bicycle.provenance.serial },
    conflicts: [],
    stamps: Object.fromEntries(Object.entries(bicycle.stamps).filter(([leaf]) => !isPrivate(leaf))),
  };
}

const html = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/**
 * The passport: one page that opens anywhere, says what the sheet says, and carries the record within it for whoever works on the bicycle next. Errors: none. Example:
 * read back by `readPassport` it is the file that an export is.
 */
export function passportHtml(
  bicycle: Bicycle,
  { title, head, sections }: { title: string; head: string[]; sections: { title: string; lines: string[] }[] },
  at: string,
): string {
  const file = {
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    schemaVersion: SCHEMA_VERSION,
    exportedAt: at,
    scope: 'bicycles',
    settings: null,
    bicycles: [passportRecord(bicycle)],
    stock: [],
    blobs: [],
  };
  // Within a page nothing may look like its end.
  const json = JSON.stringify(file).replaceAll('<', '\\u003c');
  return [
    '<!doctype html>',
    '<html lang="en-GB">',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width">',
    `<title>${html(title)}: passport</title>`,
    '<style>body{font:16px/1.5 sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem}h2{font-size:1rem;border-bottom:1px solid;margin:1.5rem 0 .4rem}p{margin:.2rem 0}</style>',
    `<h1>${html(title)}</h1>`,
    ...head.map((line) => `<p>${html(line)}</p>`),
    ...sections.flatMap((section) => [
      `<h2>${html(section.title)}</h2>`,
      ...section.lines.map((line) => `<p>${html(line)}</p>`),
    ]),
    `<script type="application/json" id="${MARK}">${json}</script>`,
    '</html>',
    '',
  ].join('\n');
}

const WITHIN = new RegExp(`<script type="application/json" id="${MARK}">([\\s\\S]*?)</script>`);

/** The file within a passport, as it stands there; null where a text is none. Nothing of it is believed before it is read as any export is. */
export function readPassport(text: string): unknown {
  const found = WITHIN.exec(text);
  if (!found) return null;
  try {
    return JSON.parse(found[1]!) as unknown;
  } catch {
    return null;
  }
}

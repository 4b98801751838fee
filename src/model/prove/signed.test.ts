import { newBicycle } from '../fresh';
import { changedSince } from './paper';
import { proofFileOf, readProofFile } from './proofFile';
import type { SignedProof } from './part';
import { agreesWithItsSum, sumOf } from './sum';

const AT = '2026-11-28T10:00:00.000Z';
const lines = [
  { id: 'what', words: 'Green tourer' },
  { id: 'bolt stem', words: 'Stem: 20 N·m' },
];
const plain: Omit<SignedProof, 'sum'> = {
  id: 's1',
  at: AT,
  by: 'Ada',
  way: 'ready',
  left: '',
  accepted: { by: 'Bo', on: '2026-11-28', words: 'known' },
  qualified: '',
  lines,
};
const signed: SignedProof = { ...plain, sum: sumOf(plain) };
const bicycle = newBicycle('b1', AT, 'Green tourer');
const written = () => JSON.stringify(proofFileOf(bicycle, 'Ticket hall', signed));

test('the sum is that of the content, whatever the order of its keys', () => {
  const turned = Object.fromEntries(Object.entries(plain).reverse()) as typeof plain;
  expect(sumOf(turned)).toBe(signed.sum);
  expect(signed.sum).toMatch(/^[0-9a-f]{64}$/);
});

test.each([
  ['by whom', { by: 'Bo' }],
  ['when', { at: '2026-11-28T10:00:00.001Z' }],
  ['which way', { way: 'parts' as const }],
  ['what was left', { left: 'the bell' }],
  ['who accepted', { accepted: null }],
  ['a line', { lines: [lines[0]!, { id: 'bolt stem', words: 'Stem: 21 N·m' }] }],
  ['a line less', { lines: [lines[0]!] }],
  ['their order', { lines: [...lines].reverse() }],
])('changed afterwards, %s shows', (_what, change) => expect(agreesWithItsSum({ ...signed, ...change })).toBe(false));

test('the file read back elsewhere agrees with its sum and says the same', () => {
  const read = readProofFile(written());
  expect(read).toMatchObject({ ok: true, agrees: true });
  if (read.ok) expect(changedSince(read.file.signed.lines, lines)).toEqual([]);
});

test('a file whose words were changed is read, and told', () =>
  expect(readProofFile(written().replace('20 N·m', '25 N·m'))).toMatchObject({ ok: true, agrees: false }));

test.each([
  ['nothing', ''],
  ['no JSON', '{'],
  ['another file', '{"format":"ergasto-workshop","formatVersion":1}'],
  ['a newer one', JSON.stringify({ ...(JSON.parse(written()) as object), formatVersion: 2 })],
  ['more than it may say', JSON.stringify({ ...(JSON.parse(written()) as object), __proto__x: 1 })],
  ['two million letters', `"${'x'.repeat(2_000_001)}"`],
])('%s is refused in words', (_what, text) => expect(readProofFile(text)).toMatchObject({ ok: false }));

test('what differs is told as it was and as it is', () => {
  const now = [lines[0]!, { id: 'bolt stem', words: 'Stem: 21 N·m' }, { id: 'proof play', words: 'No play: passed' }];
  expect(changedSince(lines, now)).toEqual([
    { id: 'bolt stem', was: 'Stem: 20 N·m', is: 'Stem: 21 N·m' },
    { id: 'proof play', was: null, is: 'No play: passed' },
  ]);
  expect(changedSince(lines, [lines[0]!])).toEqual([{ id: 'bolt stem', was: 'Stem: 20 N·m', is: null }]);
});

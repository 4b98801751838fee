import { readFileSync, readdirSync } from 'node:fs';
import { goldenOf, type Golden } from '../../tests/goldens';
import { idsInRecords } from '../../tests/ids';
import { calculatorIds } from './registry';

const read = <What>(file: string) => JSON.parse(readFileSync(`tests/golden/${file}`, 'utf8')) as What;

test('every calculator has frozen questions, and no file is left without one', () => {
  const files = readdirSync('tests/golden').filter((file) => /\..*\.json$/.test(file));
  expect(files.map((file) => file.replace(/\.json$/, '')).sort()).toEqual([...calculatorIds()].sort());
});

test.each(calculatorIds())('%s answers its frozen questions as ever', (id) => {
  for (const golden of read<Golden[]>(`${id}.json`)) expect(goldenOf(id, golden.input)).toEqual(golden);
});

/** Ids that stand in records: one that were renamed would orphan what was signed, seen or told under it. */
const frozen = read<Record<string, string[]>>('ids.json');
const now = idsInRecords();

test.each(Object.keys(frozen))('no id of %s that stands in records is gone', (kind) => {
  expect(frozen[kind]!.filter((id) => !now[kind]!.includes(id))).toEqual([]);
});

test('every id that stands in records is held from the day it appears', () => {
  expect(Object.keys(frozen).sort()).toEqual(Object.keys(now).sort());
  for (const [kind, ids] of Object.entries(now))
    expect([kind, ids.filter((id) => !frozen[kind]!.includes(id))]).toEqual([kind, []]);
});

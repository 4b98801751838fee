/**
 * `npm run golden`: lays down questions and answers of calculators that have none yet under tests/golden.
 * `npm run golden -- --renew <id>…` renews answers to the same questions; in a commit of its own that names the fact.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import type { Calculator } from '../src/core/calculator';
import { registry } from '../src/core/registry';
import { goldenOf, questionsFor, type Golden } from '../tests/goldens';
import { idsInRecords } from '../tests/ids';

const at = process.argv.indexOf('--renew');
const renewed = new Set(at < 0 ? [] : process.argv.slice(at + 1));

for (const calculator of registry as unknown as Calculator[]) {
  const file = `tests/golden/${calculator.id}.json`;
  const kept = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Golden[]) : null;
  if (kept && !renewed.has(calculator.id)) continue;
  const questions = kept ? kept.map(({ input }) => input) : questionsFor(calculator);
  writeFileSync(
    file,
    `${JSON.stringify(
      questions.map((question) => goldenOf(calculator.id, question)),
      null,
      1,
    )}\n`,
  );
  console.log(`${calculator.id}: ${questions.length}`);
}

/** Ids are added and never taken away: what was once entered under one is found again. */
const IDS = 'tests/golden/ids.json';
const held = existsSync(IDS) ? (JSON.parse(readFileSync(IDS, 'utf8')) as Record<string, string[]>) : {};
const ids = Object.fromEntries(
  Object.entries(idsInRecords()).map(([kind, now]) => [kind, [...new Set([...(held[kind] ?? []), ...now])]]),
);
writeFileSync(IDS, `${JSON.stringify(ids, null, 1)}\n`);

import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { MEANS } from '../seenAs';
import doorJson from './doorFindings.json';
import meansJson from './means.json';
import partsJson from './partFindings.json';
import saidJson from './saidChecks.json';
import testsJson from './testChecks.json';

/** What an answer at the door says of a check; without evidence it is known that something is wrong, not where. */
export const doorFindingRow = z.strictObject({
  line: z.string(),
  answer: z.enum(['fine', 'bad']),
  check: z.string(),
  /** As `evidenceOf` reads it. */
  evidence: z.nullable(z.string()),
  words: z.nullable(z.string()),
  ...provenance,
});

/** How a test of the diagnosis and a check of the look-over speak of one thing; the first outcome of a test finds nothing. */
export const testCheckRow = z.strictObject({
  test: z.string(),
  outcome: z.string(),
  check: z.string(),
  /** Words of a finding that give the test this outcome; see `wordsOf`. */
  said: z.array(z.string()),
  /** What the outcome says of the check; empty where it does not tell which of several it is. */
  gives: z.nullable(z.string()),
  ...provenance,
});

/** What a mark on a part in its tray says of a check. In the check’s id `@` stands for the end or side of the tray. */
export const partFindingRow = z.strictObject({
  assembly: z.string(),
  part: z.string(),
  mark: z.enum(['missing', 'wrong', 'worn']),
  check: z.string(),
  evidence: z.string(),
  words: z.string(),
  ...provenance,
});

/** What the seller said that makes a check worth a closer look. */
export const saidCheckRow = z.strictObject({
  question: z.string(),
  answer: z.string(),
  check: z.string(),
  words: z.string(),
  ...provenance,
});

/** How often what was found out by some means is not so. */
export const meansRow = z.strictObject({
  means: z.enum(MEANS),
  blur: z.number().check(z.gte(0), z.lte(1)),
  ...provenance,
});

export const doorFindings = parseTable(doorFindingRow, doorJson);
export const testChecks = parseTable(testCheckRow, testsJson);
export const partFindings = parseTable(partFindingRow, partsJson);
export const saidChecks = parseTable(saidCheckRow, saidJson);
export const blurOf = new Map(parseTable(meansRow, meansJson).map(({ means, blur }) => [means, blur]));

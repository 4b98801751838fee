import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { STATES } from '../../vocabulary/vocabulary';
import { CHECK_KINDS } from '../check';
import checksJson from './checks.json';
import outcomesJson from './outcomes.json';

const yes = z.enum(['yes', 'no']);

export const checkTableRow = z.strictObject({
  id: z.string(),
  place: z.string(),
  label: z.string(),
  phase: z.enum(['ground', 'stand']),
  set: z.enum(['quick', 'full']),
  kind: z.enum(CHECK_KINDS),
  /** Whether looking alone can find it fine; else only its reading tells. */
  eye: yes,
  applies: z.nullable(z.string()),
  part: z.nullable(z.string()),
  row: z.nullable(z.string()),
  unit: z.nullable(z.string()),
  /** Checks of one group look at siblings: one that fails raises the others. */
  siblings: z.nullable(z.string()),
  /** Whether what it looks at stops, steers or carries: nothing goes out ready before it was looked at. */
  safety: z.nullable(z.enum(['stops', 'steers', 'carries'])),
  /** Dirt can hide or feign it, so that it is asked again after cleaning. */
  dirt: yes,
  how: z.string(),
  ...provenance,
});
export const outcomeTableRow = z.strictObject({
  check: z.string(),
  id: z.string(),
  label: z.string(),
  state: z.enum(STATES),
  why: z.string(),
  /** Bicycles that it is offered for; empty for every one. */
  applies: z.nullable(z.string()),
  ...provenance,
});

export const checkTable = parseTable(checkTableRow, checksJson);
export const outcomeTable = parseTable(outcomeTableRow, outcomesJson);

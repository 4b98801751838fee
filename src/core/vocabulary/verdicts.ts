import * as z from 'zod/mini';
import { parseTable } from '../table';
import verdictsJson from './verdicts.json';
import { STATES, type StateId } from './vocabulary';

const verdictRow = z.strictObject({ calculator: z.string(), verdict: z.string(), state: z.enum(STATES) });

/** The state of every verdict of every calculator. */
export const verdictStates = parseTable(verdictRow, verdictsJson);

/** The state that a calculator's verdict stands for; a verdict without a row is a fault of ours. */
export function stateOf(calculator: string, verdict: string): StateId {
  const found = verdictStates.find((line) => line.calculator === calculator && line.verdict === verdict);
  if (!found) throw new Error(`no state for ${calculator} "${verdict}"`);
  return found.state;
}

import * as z from 'zod/mini';
import { appliesTo, bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { atLeast } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { alignmentLines } from './data/alignmentLines';

const KNOWN = new Set<string>(alignmentLines.map(({ id }) => id));

const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  read: z._default(z.record(z.string().check(z.maxLength(40)), z.number().check(z.gte(-100), z.lte(100))), {}).check(
    // A reading that no line takes would be dropped without a word.
    z.refine((read) => Object.keys(read).every((id) => KNOWN.has(id)), 'names a line that is not measured here'),
    z.describe('how far out of line, by line, as it was measured last'),
  ),
});

export interface AlignmentLine {
  id: (typeof alignmentLines)[number]['id'];
  label: string;
  place: string;
  how: string;
  asks: string;
  withinMm: number;
  safety: boolean;
  /** Null until it was measured. */
  verdict: 'in-line' | 'out-of-line' | null;
  /** It may be bent back cold: steel, and no further than steel takes. */
  mayBeColdSet: boolean;
  reasons: string[];
  working: WorkingRow[];
}

/** Of what a line’s part is made. */
function materialOf(kind: BicycleKind, line: string): BicycleKind['frameMaterial'] | 'unknown' {
  if (line === 'fork') return kind.forkMaterial ?? kind.frameMaterial;
  return line === 'pedal-threads' ? 'unknown' : kind.frameMaterial;
}

function judge(kind: BicycleKind, line: (typeof alignmentLines)[number], offMm: number | undefined): AlignmentLine {
  const { id, label, place, how, asks, withinMm, mostColdMm, safety } = line;
  const base = { id, label, place, how, asks, withinMm, safety };
  if (offMm === undefined)
    return { ...base, verdict: null, mayBeColdSet: false, reasons: ['Not measured since the crash.'], working: [] };
  const off = Math.abs(offMm);
  const isOff = !atLeast(withinMm, off);
  const material = materialOf(kind, id);
  const mayBeColdSet = isOff && material === 'steel' && mostColdMm > 0 && atLeast(mostColdMm, off);
  const working = [
    row('d', asks, off, 'mm'),
    row('w', `in line within (${line.source})`, withinMm, 'mm'),
    ...(mostColdMm > 0 ? [row('c', 'steel is bent back cold up to', mostColdMm, 'mm')] : []),
  ];
  if (!isOff)
    return { ...base, verdict: 'in-line', mayBeColdSet, reasons: [`${off} mm, within ${withinMm} mm.`], working };
  const then = mayBeColdSet
    ? 'Steel may be bent back cold, slowly and once, by whoever has done it before; measure again afterwards, and look at every joint.'
    : material === 'steel'
      ? 'Too far to be bent back: a qualified person judges it, or it is renewed.'
      : 'Only steel is set cold: aluminium, carbon and titanium crack later. A qualified person judges it, or it is renewed.';
  return {
    ...base,
    verdict: 'out-of-line',
    mayBeColdSet,
    reasons: [`${off} mm out, where ${withinMm} mm are let pass.`, then],
    working,
  };
}

/**
 * The alignment of a bicycle after a crash: each line that it has, in or out by its table's tolerance, and whether steel may
 * be bent back cold. Units: millimetres. Errors: a reading over 100 mm, a line that the table does not have. Formula: out of line where |reading| > within. Source: the table of lines, workshop consensus.
 * Example: a string that differs by 5 mm on a steel frame → out of line, and it may be set cold.
 */
export const inspectAlignment = defineCalculator({
  id: 'inspect.alignment',
  title: 'In line after a crash',
  example: { read: { string: 5, fork: 1 } },
  input,
  run({ kind, read }): { lines: AlignmentLine[] } {
    return {
      lines: alignmentLines
        .filter(({ applies }) => appliesTo(kind, applies))
        .map((line) => judge(kind, line, Object.hasOwn(read, line.id) ? read[line.id] : undefined)),
    };
  },
});

import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { BRIEFS } from '../bicycle';
import { materials } from '../strip/data/materials';
import { compoundRows, type CompoundRow } from './data/compounds';
import { JOINTS, type Compound } from './joints';

/** Metals and carbon that no bath is asked about. */
const BESIDES = { titanium: 'titanium', carbon: 'carbon' } as const;
const familyOf = new Map<string, string>([
  ...materials.map((row) => [row.material, row.family] as const),
  ...Object.entries(BESIDES),
]);
const material = z.enum([...familyOf.keys()] as [string, ...string[]]);
const METALS = ['steel', 'aluminium', 'titanium', 'copper alloy'];

const input = z.strictObject({
  joint: z.enum(JOINTS),
  a: material.check(z.describe('what goes in')),
  b: material.check(z.describe('what it goes into')),
  brief: z._default(z.enum(BRIEFS), 'rideable'),
  rules: z._default(z.strictObject({ squareTaper: z._default(z.enum(['dry', 'greased']), 'greased') }), {
    squareTaper: 'greased',
  }),
  cameLoose: z._default(z.boolean(), false),
});
export type CompoundInput = z.input<typeof input>;

export interface CompoundAnswer {
  compound: Compound;
  where: string;
  never: string[];
  reasons: string[];
}

/** Whether a row speaks of this joint: its joint, one of its materials, the other, and what else is known of it. */
function fits(row: CompoundRow, { joint, a, b, rules, cameLoose }: z.output<typeof input>): boolean {
  const families = [familyOf.get(a)!, familyOf.get(b)!];
  if (row.joints !== null && !row.joints.includes(joint)) return false;
  if (row.circumstance === 'loose' && !cameLoose) return false;
  if (row.circumstance?.startsWith('taper=') && row.circumstance !== `taper=${rules.squareTaper}`) return false;
  if (row.material === null) return true;
  const other = (family: string) =>
    row.other === null || (row.other === 'metal' ? METALS.includes(family) : row.other === family);
  return families.some((family, i) => family === row.material && other(families[1 - i]!));
}

/**
 * What goes into a joint, from what it is and its two materials: the first row of the table that fits. Carbon first, then
 * threads that shake loose, then titanium, then the rest. What a part brings on its thread stays: a nylon patch or a thread
 * that comes with its own needs nothing. Errors: a joint or a material that no table knows.
 *
 * Source: the table of compounds (workshop handbook). Example: a carbon post in an aluminium frame: carbon paste, never grease.
 */
export function compoundFor(
  question: z.output<typeof input>,
  rows: readonly CompoundRow[] = compoundRows,
): CompoundAnswer {
  const row = rows.find((each) => fits(each, question));
  if (!row) throw new Error(`nothing is known of ${question.joint}`);
  return {
    compound: row.compound,
    where: row.where ?? '',
    never: row.never ?? [],
    reasons: [
      row.why,
      ...(row.compound === 'threadlock-medium'
        ? ['A nylon patch, or a thread that came with its own, keeps it and gets none.']
        : []),
    ],
  };
}

export const rebuildCompound = defineCalculator({
  id: 'rebuild.compound',
  title: 'What goes into a joint',
  example: { joint: 'seat-post', a: 'carbon', b: 'bare aluminium' },
  input,
  run: (question) => compoundFor(question),
});

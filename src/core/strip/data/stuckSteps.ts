import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './stuckSteps.json';

export const stuckStepRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  /** 1 is gentle, 8 gives one of the two up. */
  grade: z.number(),
  minutes: z.number(),
  soakMinutes: z.number(),
  /** That it comes free at this step, given that the gentler ones have failed. */
  chance: z.number(),
  costMinor: z.number(),
  damageChance: z.number(),
  damages: z.enum(['none', 'part', 'around']),
  forbiddenFor: z.string().nullable(),
  /** What must hold of the pair for the step to do anything. */
  when: z.enum(['part-shrinks', 'around-grows', 'aluminium-in-steel', 'part-cheaper', 'around-cheaper']).nullable(),
  /** Words of the part that it is meant for; empty for any. */
  partWords: z.string().nullable(),
  /** A step that has to come before it. */
  afterStep: z.string().nullable(),
  how: z.string(),
  cautions: z.string(),
  ...provenance,
});

const list = (joined: string | null) => (joined === null ? [] : joined.split('|'));

/** The rungs of the ladder, gentle first. */
export const stuckSteps = parseTable(stuckStepRow, json).map((row) => ({
  ...row,
  forbiddenFor: list(row.forbiddenFor),
  partWords: list(row.partWords),
}));
export type StuckStep = (typeof stuckSteps)[number];

import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { JOINTS, type Joint } from './stuckJoints';
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
  forbiddenFor: z.nullable(z.string()),
  /** What must hold of the pair for the step to do anything. */
  when: z.nullable(z.enum(['part-shrinks', 'around-grows', 'aluminium-in-steel', 'part-cheaper', 'around-cheaper'])),
  /** Words of the part that it is meant for; empty for any. */
  partWords: z.nullable(z.string()),
  /** The joints that it is for; empty for any. */
  joints: z.nullable(z.string()),
  /** A step that has to come before it. */
  afterStep: z.nullable(z.string()),
  /** It leaves penetrant behind, takes it away, or is hot and must find none. */
  penetrant: z.nullable(z.enum(['wets', 'dries', 'hot'])),
  how: z.string(),
  cautions: z.string(),
  ...provenance,
});

const jointsOf = (joined: string | null): Joint[] => JOINTS.filter((joint) => list(joined).includes(joint));

const list = (joined: string | null) => (joined === null ? [] : joined.split('|'));

/** The rungs of the ladder, gentle first. */
export const stuckSteps = parseTable(stuckStepRow, json).map((row) => ({
  ...row,
  forbiddenFor: list(row.forbiddenFor),
  partWords: list(row.partWords),
  joints: jointsOf(row.joints),
}));
export type StuckStep = (typeof stuckSteps)[number];

import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './stuckJoints.json';

/** How a part is held by what is round it. */
export const JOINTS = ['thread', 'slip', 'press', 'wedge'] as const;
export type Joint = (typeof JOINTS)[number];

export const stuckJointRow = z.strictObject({
  /** Words that name the part; the first row that has one of them tells. */
  words: z.string(),
  joint: z.enum(JOINTS),
  /** What it is usually made of, and what is round it; empty for the frame. */
  partMaterial: z.string(),
  aroundMaterial: z.nullable(z.string()),
  ...provenance,
});

/** What parts are usually held by, and of what they are. */
export const stuckJoints = parseTable(stuckJointRow, json).map((row) => ({ ...row, words: row.words.split('|') }));
export type StuckJoint = (typeof stuckJoints)[number];

import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './threadHands.json';

export const FASTENERS = [
  'pedal',
  'pedal-body',
  'bottom-bracket-cup',
  'bottom-bracket-lockring',
  'crank-bolt',
  'crank-extractor-cap',
  'freewheel',
  'cassette-lockring',
  'fixed-cog-lockring',
  'headset-locknut',
  'headset-adjustable-cup',
  'cone',
  'cone-locknut',
  'one-piece-crank-locknut',
  'bar-end-expander',
  'stem-bolt',
  'axle-nut',
  'spoke-nipple',
  'rotor-lockring',
] as const;

export const STANDARDS = ['english', 'italian', 'french', 'swiss', 'british-26'] as const;

export const threadHandRow = z.strictObject({
  fastener: z.enum(FASTENERS),
  side: z.nullable(z.enum(['left', 'right'])),
  standard: z.nullable(z.enum(STANDARDS)),
  hand: z.enum(['left', 'right']),
  axis: z.enum(['across', 'across the wheel', 'upright', 'along the bar', 'along the spoke', 'off the bicycle']),
  /** So seldom that it is meant only where its side is named. */
  onlyIfAsked: z.nullable(z.enum(['yes'])),
  note: z.string(),
  ...provenance,
});
export type ThreadHandRow = z.output<typeof threadHandRow>;

export const threadHands = parseTable(threadHandRow, json);

import * as z from 'zod/mini';
import { SET_BRAKES } from '../../setup/kinds';
import { parseTable, provenance } from '../../table';
import { BRAKED_ON } from '../brakedOn';
import gripsJson from './grips.json';
import usualJson from './usual.json';

/** What such a brake and its lever usually are, where nobody has measured. */
export const usualBrakes = parseTable(
  z.strictObject({
    brake: z.enum(SET_BRAKES),
    leverRatio: z.number(),
    pullMm: z.number(),
    bendsDeg: z.number(),
    armRatio: z.number(),
    padTravelMm: z.number(),
    ...provenance,
  }),
  usualJson,
);

/** How pads grip, dry and wet, and at which share of the wheel's radius they do. */
export const grips = new Map(
  parseTable(
    z.strictObject({
      on: z.enum(BRAKED_ON),
      dry: z.number(),
      wet: z.number(),
      radiusShare: z.number(),
      ...provenance,
    }),
    gripsJson,
  ).map((row) => [row.on, row]),
);

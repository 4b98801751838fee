import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { CABLE_KINDS } from '../kinds';
import json from './runs.json';

/** Where runs begin and end, as the drawing's geometry knows them. */
export const RUN_POINTS = [
  'lever',
  'frame-front',
  'frame-rear',
  'brake-front',
  'brake-rear',
  'brake-rear-by-frame',
  'down-tube-stop',
  'chainstay-stop',
  'derailleur',
  'derailleur-by-frame',
  'bracket-by-frame',
] as const;

const run = z.strictObject({
  id: z.string(),
  label: z.string(),
  kind: z.enum(CABLE_KINDS),
  place: z.string(),
  /** Bicycles that have it. */
  facts: z.nullable(z.string()),
  from: z.enum(RUN_POINTS),
  to: z.enum(RUN_POINTS),
  /** How much longer than the straight line: it bends, and the bars turn to both ends. */
  curve: z.number(),
  /** Sideways from the middle, which no side view shows: half a bar. */
  acrossMm: z.number(),
  /** Ferrules, anchors, what the hand holds. */
  addMm: z.number(),
  /** What the travel of a sprung frame draws. */
  travelMm: z.number(),
  withinMm: z.number(),
  /** The head that it hangs by; `@lever` and `@shifter` follow the bars. */
  head: z.nullable(z.string()),
  ...provenance,
});
export type CableRun = z.output<typeof run>;

/** Every cable that a bicycle may have, from where to where. */
export const cableRuns: CableRun[] = parseTable(run, json);

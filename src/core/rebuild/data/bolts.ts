import * as z from 'zod/mini';
import { FASTENERS } from '../../strip/data/threadHands';
import { parseTable, provenance } from '../../table';
import rowsJson from './boltRows.json';
import boltsJson from './bolts.json';

const bolt = z.strictObject({
  id: z.string(),
  label: z.string(),
  place: z.string(),
  fastener: z.nullable(z.enum(FASTENERS)),
  side: z.nullable(z.enum(['left', 'right'])),
  /** Where a feel is not enough: clamped carbon, a steerer's clamp, a faceplate. */
  wrench: z.boolean(),
  /** Bicycles that have it. */
  when: z.nullable(z.string()),
  ...provenance,
});
const boltRow = z.strictObject({
  bolt: z.string(),
  place: z.string(),
  fastener: z.string(),
  fastenerSize: z.nullable(z.string()),
  when: z.nullable(z.string()),
  /** Where it differs from its bolt. */
  wrench: z.nullable(z.boolean()),
  ...provenance,
});

export interface PlannedBolt extends z.output<typeof bolt> {
  /** Its row of the torque table: the first that speaks of this bicycle. */
  rows: Omit<z.output<typeof boltRow>, 'bolt'>[];
}

const rows = parseTable(boltRow, rowsJson);

/** Which rows of the torque table a bicycle of each kind has, front to back. */
export const boltPlan: PlannedBolt[] = parseTable(bolt, boltsJson).map((planned) => ({
  ...planned,
  rows: rows.filter((row) => row.bolt === planned.id).map(({ bolt: _bolt, ...row }) => row),
}));

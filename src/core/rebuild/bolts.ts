import { z } from 'zod';
import { bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { FASTENERS } from '../strip/data/threadHands';
import planJson from './boltPlan.json';
import { torqueTable } from './data/torque';

const plannedBolt = z.strictObject({
  id: z.string(),
  label: z.string(),
  place: z.string(),
  row: z.strictObject({ place: z.string(), fastener: z.string(), fastenerSize: z.string().nullable() }),
  fastener: z.enum(FASTENERS).nullable(),
  side: z.enum(['left', 'right']).nullable(),
  when: z.record(z.string(), z.array(z.union([z.string(), z.boolean()]))),
});

/** Which rows of the torque table a bicycle of each kind has, front to back. */
export const boltPlan = z.array(plannedBolt).parse(planJson);

const input = z.strictObject({ kind: bicycleKind.prefault({}) });

export interface Bolt {
  id: string;
  label: string;
  place: string;
  size: string | null;
  tool: string;
  torqueMinNm: number | null;
  torqueMaxNm: number | null;
  feel: string | null;
  preparation: string;
  hand: 'right' | 'left' | 'none';
  safetyCritical: boolean;
  /** Where a feel is not enough and the wrench is asked for. */
  wrenchAsked: boolean;
  notes: string | null;
  fastener: (typeof FASTENERS)[number] | null;
  side: 'left' | 'right' | null;
  source: string;
  confidence: 'high' | 'medium' | 'low';
}

const WRENCH_PLACES = ['stem', 'bars', 'crank.left', 'crank.right', 'brake.front', 'brake.rear'];

function belongs(when: Record<string, (string | boolean)[]>, kind: BicycleKind): boolean {
  return Object.entries(when).every(([key, values]) =>
    values.includes(kind[key as keyof BicycleKind] as string | boolean),
  );
}

/**
 * The bolts of this bicycle, front to back, each with its row of the torque table.
 *
 * Units: N·m. Errors: an unknown kind. Source: the torque table; a figure on the part itself comes first.
 * Example: a quill stem gives an expander bolt of 16 to 24 N·m, greased.
 */
function run({ kind }: z.output<typeof input>): { bolts: Bolt[] } {
  const bolts = boltPlan
    .filter((planned) => belongs(planned.when, kind))
    .map((planned): Bolt => {
      const { place, fastener, fastenerSize } = planned.row;
      const line = torqueTable.find(
        (t) =>
          t.place === place && t.fastener === fastener && (fastenerSize === null || t.fastenerSize === fastenerSize),
      );
      if (!line) throw new Error(`no torque row for ${planned.id}`);
      return {
        id: planned.id,
        label: planned.label,
        place: planned.place,
        size: line.fastenerSize,
        tool: line.tool,
        torqueMinNm: line.torqueMinNm,
        torqueMaxNm: line.torqueMaxNm,
        feel: line.feel,
        preparation: line.preparation,
        hand: line.threadHand,
        safetyCritical: line.safetyCritical === 'yes',
        wrenchAsked:
          line.torqueMaxNm !== null && (WRENCH_PLACES.includes(planned.place) || kind.frameMaterial === 'carbon'),
        notes: line.sequenceNotes,
        fastener: planned.fastener,
        side: planned.side,
        source: line.source,
        confidence: line.confidence,
      };
    });
  return { bolts };
}

export const rebuildBolts = defineCalculator({
  id: 'rebuild.bolts',
  title: 'The bolts of this bicycle',
  example: { kind: { stem: 'quill' } },
  input,
  run,
});

import { z } from 'zod';
import { bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { FASTENERS } from '../strip/data/threadHands';
import { parseTable, shipped } from '../table';
import planJson from './boltPlan.json';
import holdsJson from './holdTests.json';
import { torqueTable } from './data/torque';

const plannedBolt = z.strictObject({
  id: z.string(),
  label: z.string(),
  place: z.string(),
  row: z.strictObject({ place: z.string(), fastener: z.string(), fastenerSize: z.string().nullable() }),
  fastener: z.enum(FASTENERS).nullable(),
  side: z.enum(['left', 'right']).nullable(),
  /** Where a feel is not enough: clamped carbon, a steerer's clamp, a faceplate. */
  wrench: z.boolean(),
  when: z.record(z.string(), z.array(z.union([z.string(), z.boolean()]))),
});

/** Which rows of the torque table a bicycle of each kind has, front to back. */
export const boltPlan = parseTable(plannedBolt, planJson);

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
  /** Brakes and steering: signed by another person where the house rule asks. */
  second: boolean;
  /** How its hold is tried where it is signed by feel. */
  holdTest: string;
  notes: string | null;
  fastener: (typeof FASTENERS)[number] | null;
  side: 'left' | 'right' | null;
  source: string;
  confidence: 'high' | 'medium' | 'low';
}

const holds = shipped(z.record(z.string(), z.string()), holdsJson);
const ANY_HOLD = 'Try to move it by hand, the way the ride will: it stays.';
/** Places of braking and steering. */
const SECOND = /^(stem|bars|headset|fork|brake-lever|brake|pads|disc)(\.|$)/;

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
        wrenchAsked: planned.wrench && line.torqueMaxNm !== null,
        second: SECOND.test(planned.place),
        holdTest: holds[planned.place] ?? ANY_HOLD,
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

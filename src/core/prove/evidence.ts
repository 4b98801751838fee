import * as z from 'zod/mini';
import { bicycleKind } from '../bicycle';
import { measuredStop, STOPPED_BY, type MeasuredStop } from '../brakes/measuredStop';
import { brakesStop, type Stop } from '../brakes/stop';
import { defineCalculator } from '../calculator';
import { checksFor } from '../inspect/checks';
import { atLeast, roundTo } from '../numbers';
import { readingRows, type ReadingRow } from './data/readings';
import { proofsFor } from './proofs';
import { gearGrid, SHIFTS_SAID, shiftsOf, type GearGrid } from './shifting';

const id = z.string().check(z.minLength(1), z.maxLength(64));

const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  readings: z
    ._default(
      z
        .array(z.strictObject({ reading: id, value: z.number().check(z.gte(0), z.lte(10_000)) }))
        .check(z.maxLength(3000)),
      [],
    )
    .check(z.describe('in the order in which they were taken; of one taken twice the last counts')),
  stops: z._default(z.array(z.strictObject({ id, ...measuredStop.shape })).check(z.maxLength(500)), []),
  shifts: z._default(z.record(id, z.enum(SHIFTS_SAID)), {}).check(z.describe('by ring, cog and way: 2.5.larger')),
});

/** A reading that may be taken, its limits as far as they are known, and how it stands. */
export interface ReadingHere extends Pick<
  ReadingRow,
  'id' | 'proof' | 'group' | 'label' | 'unit' | 'from' | 'ref' | 'place' | 'canBeLeast' | 'canBeMost'
> {
  least: number | null;
  most: number | null;
  value: number | null;
  /** What is wrong with it, in words; null where nothing is. */
  outside: string | null;
}

export interface ProofEvidence {
  readings: ReadingHere[];
  stops: ({ id: string } & MeasuredStop & Stop)[];
  /** The gears of the bicycle, how many changes were tried, and those that were not crisp. */
  gears: (GearGrid & { tried: number; of: number; bad: string[] }) | null;
  /** What speaks against a proof of safety: a bicycle is not ready while it does. */
  against: { id: string; place: string; label: string; proof: string }[];
}

function outsideWords({ group, label, unit }: ReadingRow, value: number, least: number | null, most: number | null) {
  if (least !== null && !atLeast(value, least))
    return `${group}, ${label}: ${value} ${unit}, and at least ${least} is asked`;
  if (most !== null && !atLeast(most, value))
    return `${group}, ${label}: ${value} ${unit}, and at most ${most} is allowed`;
  return null;
}

const BY_WORDS = { both: 'both brakes', front: 'the front brake', rear: 'the rear brake' } as const;

/**
 * What was read for the proofs, held against its limits: the part's own mark where it bears one, else the table. Of stops
 * with the same brakes the last counts. A change of gear past the end is told of, since the chain leaves cogs or ring there.
 *
 * Units: mm, s, bar, m/s². At a limit counts as inside. Errors: an unknown kind, a stop that no bicycle makes. Source: the
 * table of readings; `brakes.stop`. Example: a tyre at 6 bar whose mark says at most 5 speaks against "tyres seated".
 */
function run({ kind, readings, stops, shifts }: z.output<typeof input>): ProofEvidence {
  const proofs = new Map(proofsFor(kind).map((proof) => [proof.id, proof]));
  const checked = new Set(checksFor(kind).map((check) => check.id));
  const last = new Map(readings.map(({ reading, value }) => [reading, value]));
  const limitOf = (fixed: number | null, of: string | null) => fixed ?? (of === null ? null : (last.get(of) ?? null));
  const here = readingRows
    // A bicycle without a lever has none to read.
    .filter(({ proof, from, ref }) => proofs.has(proof) && (from !== 'check' || checked.has(ref!)))
    .map((row): ReadingHere => {
      const { id: reading, proof, group, label, unit, from, ref, place, canBeLeast, canBeMost } = row;
      const [least, most] = [limitOf(row.least, row.leastOf), limitOf(row.most, row.mostOf)];
      const value = last.get(reading) ?? null;
      const outside = value === null ? null : outsideWords(row, value, least, most);
      return {
        id: reading,
        proof,
        group,
        label,
        unit,
        from,
        ref,
        place,
        canBeLeast,
        canBeMost,
        least,
        most,
        value,
        outside,
      };
    });
  const judged = stops.map(({ id: of, ...stop }) => ({ id: of, ...stop, ...brakesStop.run(stop) }));
  const failing = STOPPED_BY.flatMap((brakes) => {
    const stop = judged.findLast((each) => each.brakes === brakes);
    return stop?.verdict === 'fails' ? [stop] : [];
  });
  const grid = gearGrid(kind);
  const known = grid === null ? [] : shiftsOf(grid);
  const over = known.filter((shift) => shifts[shift] === 'over');
  return {
    readings: here,
    stops: judged,
    gears: grid && {
      ...grid,
      tried: known.filter((shift) => Object.hasOwn(shifts, shift)).length,
      of: known.length,
      bad: known.filter((shift) => Object.hasOwn(shifts, shift) && shifts[shift] !== 'crisp'),
    },
    against: [
      ...here.flatMap(({ id: reading, place, outside, proof }) =>
        outside !== null && proofs.get(proof)!.safety
          ? [{ id: `reading-${reading}`, place, label: outside, proof }]
          : [],
      ),
      ...failing.map(({ brakes, decelerationMs2, limitMs2 }) => ({
        id: `stop-${brakes}`,
        place: brakes === 'rear' ? 'brake.rear' : 'brake.front',
        label: `A measured stop with ${BY_WORDS[brakes]}: ${roundTo(decelerationMs2, 1)} m/s², and at least ${limitMs2} is asked`,
        proof: 'brakes-walk',
      })),
      ...(over.length > 0
        ? [
            {
              id: 'shift-over',
              place: kind.gears === 'hub' ? 'hub.rear' : 'derailleur.rear',
              label: `The chain goes over the end, ${over.length === 1 ? 'in one change' : `in ${over.length} changes`}`,
              proof: 'gears',
            },
          ]
        : []),
    ],
  };
}

export const proveEvidence = defineCalculator({
  id: 'prove.evidence',
  title: 'What was read for the proofs',
  example: {
    readings: [
      { reading: 'mark-most-front', value: 5 },
      { reading: 'pressure-front', value: 6 },
    ],
  },
  input,
  run,
});

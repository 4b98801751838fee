import type * as z from 'zod/mini';
import { bicycleKind, type BicycleKind } from '../bicycle';
import { answer } from '../calculator';
import { checks } from '../inspect/checks';
import { proofs } from './data/proofs';
import { readingRows } from './data/readings';
import { proveEvidence } from './evidence';
import { gearGrid, shiftsOf } from './shifting';

const read = (question: z.input<typeof proveEvidence.input>) => {
  const said = answer(proveEvidence, question);
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};
const pressure = (bar: number) => [
  { reading: 'mark-least-front', value: 3 },
  { reading: 'mark-most-front', value: 5 },
  { reading: 'pressure-front', value: bar },
];

describe('the table of readings', () => {
  test('each is of a proof, of a place that it leans on, and its limits are readings too', () => {
    const ids = new Set(readingRows.map(({ id }) => id));
    for (const row of readingRows) {
      const proof = proofs.find(({ id }) => id === row.proof)!;
      expect([row.id, proof.leansOn.includes(row.place)]).toEqual([row.id, true]);
      for (const limit of [row.leastOf, row.mostOf]) if (limit !== null) expect(ids).toContain(limit);
      if (row.from === 'check' || (row.from === 'own' && row.ref !== null))
        expect(checks.map(({ id }) => id)).toContain(row.ref);
    }
  });
});

test('at its mark a tyre is within, beyond it on either side it is not; a mark that nobody read asks nothing', () => {
  expect([3, 5].map((bar) => read({ readings: pressure(bar) }).against)).toEqual([[], []]);
  expect(read({ readings: pressure(5.1) }).against).toMatchObject([
    { id: 'reading-pressure-front', proof: 'tyres-seated' },
  ]);
  expect(read({ readings: pressure(2.9) }).against).toHaveLength(1);
  expect(read({ readings: [{ reading: 'pressure-front', value: 14 }] }).against).toEqual([]);
});

test('a reading taken again stands in the stead of the first; a runout of quality is told and keeps nothing in', () => {
  expect(read({ readings: [...pressure(7), { reading: 'pressure-front', value: 4 }] }).against).toEqual([]);
  const out = read({ readings: [{ reading: 'runout-front', value: 1.4 }] });
  expect(out.readings.find(({ id }) => id === 'runout-front')?.outside).toContain('at most 1');
  expect(out.against).toEqual([]);
});

test('of stops with the same brakes the last counts, and one brake does not speak for the other', () => {
  const stop = (id: string, brakes: 'both' | 'rear', distanceM: number) => ({
    id,
    brakes,
    distanceM,
    speedKmh: 20,
    surface: 'dry' as const,
  });
  expect(read({ stops: [stop('a', 'both', 8), stop('b', 'both', 3)] }).against).toEqual([]);
  expect(read({ stops: [stop('a', 'rear', 15), stop('b', 'both', 3)] }).against).toMatchObject([
    { id: 'stop-rear', place: 'brake.rear' },
  ]);
});

test('gears: two ways to every cog but the ends, on each ring; one that goes over speaks against the proof of safety', () => {
  const kind = (changes: Partial<BicycleKind>) => bicycleKind.parse(changes);
  expect(shiftsOf({ rings: 2, cogs: 9 })).toHaveLength(32);
  expect(new Set(shiftsOf({ rings: 3, cogs: 7 })).size).toBe(36);
  expect(gearGrid(kind({ gears: 'single' }))).toBeNull();
  expect(gearGrid(kind({ gears: 'hub' }))).toEqual({ rings: 1, cogs: 3 });
  expect(gearGrid(kind({ chain: '11-speed', rings: 1 }))).toEqual({ rings: 1, cogs: 11 });
  const over = read({ shifts: { '1.8.larger': 'over', '1.2.larger': 'slow', '9.9.larger': 'over' } });
  expect(over.gears).toMatchObject({ tried: 2, bad: ['1.2.larger', '1.8.larger'] });
  expect(over.against).toMatchObject([{ id: 'shift-over', proof: 'gears' }]);
  expect(read({ kind: { gears: 'single' }, shifts: { '1.2.larger': 'over' } })).toMatchObject({
    gears: null,
    against: [],
  });
});

test('what a bicycle has not is not read: no left lever beside a back-pedal brake', () => {
  const ids = (kind: Partial<BicycleKind>) => read({ kind }).readings.map(({ id }) => id);
  expect(ids({})).toContain('lever-left');
  expect(ids({ brakes: 'back-pedal', gears: 'coaster' })).not.toContain('lever-left');
});

test('a reading under nothing and a kind that nobody knows are refused', () => {
  expect(answer(proveEvidence, { readings: [{ reading: 'pressure-front', value: -1 }] })).toMatchObject({ ok: false });
  expect(answer(proveEvidence, { kind: { gears: 'belt' } })).toMatchObject({ ok: false });
});

import fc from 'fast-check';
import { reckon } from '@/core/reckon';
import { runs } from '../../../tests/runs';
import { applyCommand, type Command } from '../commands';
import { newBicycle } from '../fresh';
import type { ShiftRound } from './part';
import { chainLengthInput, cogCount, felt, fitsInput, indexInput, matchInput, wearCostInput } from './questions';

const AT = '2026-11-25T10:00:00.000Z';
const done = (commands: Command[], kind: object = {}) =>
  commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: 'b', at: AT, command }),
    newBicycle('b', AT, 'B', kind),
  );
const COUNTED: Command[] = [
  { type: 'countTeeth', of: 'rings', teeth: [34, 50] },
  { type: 'countTeeth', of: 'cogs', teeth: [12, 13, 14, 15, 17, 19, 21, 23, 25, 28] },
];
const isAnswered = (id: string, question: unknown) => reckon(id, question).status === 'ok';

test('teeth that are counted say how many bear them; teeth let go leave the count', () => {
  const counted = done(COUNTED);
  expect(counted.kind).toMatchObject({ rings: 2, cogs: 10 });
  const let_go = done([...COUNTED, { type: 'countTeeth', of: 'cogs', teeth: null }]);
  expect([let_go.teeth.cogs, cogCount(let_go)]).toEqual([undefined, 10]);
});

test('nothing is asked before it is known, and everything that is asked is answered', () => {
  const bare = done([]);
  for (const ask of [chainLengthInput, matchInput, wearCostInput, fitsInput]) expect(ask(bare)).toBeNull();
  const known = done([
    ...COUNTED,
    { type: 'putDriveFigure', figure: 'stay', value: 410 },
    { type: 'sayDriveFamily', part: 'shifter', family: 'ratio 1.7' },
    { type: 'sayDriveFamily', part: 'derailleur', family: 'ratio 1.7' },
    { type: 'sayDriveFamily', part: 'body', family: 'splined' },
    { type: 'putDriveFigure', figure: 'frame-spacing', value: 130 },
    { type: 'putDriveFigure', figure: 'hub-spacing', value: 130 },
  ]);
  expect(isAnswered('drive.chainLength', chainLengthInput(known))).toBe(true);
  expect(isAnswered('drive.match', matchInput(known))).toBe(true);
  expect(isAnswered('drive.fits', fitsInput(known))).toBe(true);
  // A hub gear's chain is a single one, and its slot counts.
  const hub = { ...known, kind: { ...known.kind, gears: 'hub' as const } };
  expect(chainLengthInput(hub)).toMatchObject({ kind: 'single', slotMm: 0 });
});

test('a round takes a shift after another, each in its place, and the last word on one stands', () => {
  const empty: ShiftRound = { id: 'r', at: AT, by: '', turns: 0, gears: [] };
  const feels = fc.constantFrom('crisp' as const, 'slow' as const, 'noisy' as const);
  const shift = fc.record({
    gear: fc.integer({ min: 1, max: 9 }),
    way: fc.constantFrom('toLarger' as const, 'toSmaller' as const),
    feel: feels,
  });
  fc.assert(
    fc.property(fc.array(shift, { maxLength: 30 }), (shifts) => {
      const round = shifts.reduce((was, { gear, way, feel }) => felt(was, gear, way, feel), empty);
      expect(round.gears.map(({ gear }) => gear)).toEqual(
        [...new Set(shifts.map(({ gear }) => gear))].sort((a, b) => a - b),
      );
      for (const { gear, way } of shifts) {
        const last = shifts.findLast((each) => each.gear === gear && each.way === way)!;
        expect(round.gears.find((each) => each.gear === gear)![way]).toBe(last.feel);
      }
    }),
    { numRuns: runs(300, 60) },
  );
});

test('indexing is asked from its rounds: the first was turned by nothing, gears that are gone are left out', () => {
  const round = (id: string, turns: number, gear: number): Command => ({
    type: 'putShiftRound',
    round: { id, at: AT, by: 'Ada', turns, gears: [{ gear, toLarger: 'crisp', toSmaller: null }] },
  });
  const bicycle = done([...COUNTED, round('r1', 0.5, 3), round('r2', 0.25, 10)]);
  const asked = indexInput(bicycle, null)!;
  expect(asked.trials.map(({ turns }) => turns)).toEqual([0, 0.25]);
  expect(asked.cogPitchMm).toBe(3.95);
  const fewer = done([...COUNTED, round('r1', 0, 10), { type: 'countTeeth', of: 'cogs', teeth: [14, 16, 18, 21, 24] }]);
  expect(indexInput(fewer, null)!.trials[0]!.gears).toEqual([]);
  expect(isAnswered('drive.index', asked)).toBe(true);
  expect(indexInput(done(COUNTED), null)).toBeNull();
  // Turning the barrel is work, feeling is none; beginning anew takes the rounds away and nothing else.
  expect(bicycle.worked.map(({ place }) => place)).toEqual(['derailleur.rear', 'derailleur.rear']);
  const anew = applyCommand(bicycle, {
    id: 'n',
    bicycle: 'b',
    at: AT,
    command: { type: 'dropShiftRounds', rounds: ['r1', 'r2'] },
  });
  expect([anew.shiftRounds, anew.worked.length]).toEqual([[], 2]);
});

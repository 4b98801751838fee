import { applyCommand, type Command } from '../commands';
import { newBicycle } from '../fresh';
import { readPair } from '../prove/readings';
import { asTrued, fromLookOver, readingBefore, spinInput, trueInput, usualBuild } from './questions';

const AT = '2026-11-25T10:00:00.000Z';
const bare = newBicycle('b', AT, 'B');
const done = (commands: Command[], kind: object = {}) =>
  commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: 'b', at: AT, command }),
    newBicycle('b', AT, 'B', kind),
  );
const flat = (mm = 0) => Array.from({ length: 36 }, () => mm);
const build: Command = { type: 'buildWheel', end: 'front', build: usualBuild(bare, 'front') };
const read = (id: string, mm = 0): Command => ({
  type: 'readWheel',
  reading: { id, at: AT, by: 'Ada', end: 'front', lateralMm: flat(mm), dishMm: null },
});
const begin = (id: string, reading: string): Command => ({
  type: 'beginRound',
  round: { id, at: AT, by: 'Ada', end: 'front', reading, turns: [{ spoke: 2, turns: 0.5, made: false }] },
});
const turn = (round: string, made: boolean): Command => ({ type: 'turnNipple', round, spoke: 2, made });

test('a dished rear wheel begins with the smaller offset on the drive side, a hub gear’s and a front one even', () => {
  expect(usualBuild(bare, 'rear').rightOffsetMm).toBeLessThan(usualBuild(bare, 'rear').leftOffsetMm);
  expect(usualBuild(bare, 'front')).toMatchObject({ leftOffsetMm: 34, rightOffsetMm: 34 });
  const hub = { kind: { ...bare.kind, gears: 'hub' as const } };
  expect(usualBuild(hub, 'rear').rightOffsetMm).toBe(34);
});

test('a nipple turned is work at the spokes; taken back it is none, and a round is asked of its own reading', () => {
  const bicycle = done([build, read('r1'), begin('x', 'r1'), turn('x', true)]);
  expect(bicycle.wheelRounds[0]!.turns).toEqual([{ spoke: 2, turns: 0.5, made: true }]);
  expect(bicycle.worked.map(({ place, kind }) => [place, kind])).toEqual([['spokes.front', 'adjusted']]);
  const back = applyCommand(bicycle, { id: 'back', bicycle: 'b', at: AT, command: turn('x', false) });
  expect(back.wheelRounds[0]!.turns[0]!.made).toBe(false);
  expect(back.worked).toHaveLength(1);
  // A round that there is not, and a spoke that is not in it, change nothing.
  expect(done([build, turn('x', true)]).wheelRounds).toEqual([]);
});

test('the reading before is the one that the round answered; without a round there is none', () => {
  expect(readingBefore(done([build, read('r1'), read('r2', 1)]), 'front', 36)).toBeNull();
  const trued = done([build, read('r1'), begin('x', 'r1'), turn('x', true), read('r2', 1)]);
  expect(readingBefore(trued, 'front', 36)?.id).toBe('r1');
  expect(readingBefore(trued, 'rear', 36)).toBeNull();
});

test('the made-up wheel has the turns that were made, and is another for another bicycle or end', () => {
  const bicycle = done([build, read('r1'), begin('x', 'r1'), turn('x', true)]);
  const asked = spinInput(bicycle, 'front')!;
  expect(asked.made![2]).toBe(0.5);
  expect(asked.round).toBe(1);
  expect(spinInput(bicycle, 'rear')).toBeNull();
  const both = { ...bicycle, wheelBuilds: { ...bicycle.wheelBuilds, rear: usualBuild(bare, 'rear') } };
  expect(spinInput(both, 'rear')!.seed).not.toBe(asked.seed);
  expect(spinInput({ ...bicycle, id: 'other' }, 'front')!.seed).not.toBe(asked.seed);
});

test('loose and stuck nipples are asked with, those beyond its spokes are not', () => {
  const mark = (spoke: number, as: 'loose' | 'stuck' | null): Command => ({
    type: 'markNipple',
    end: 'front',
    spoke,
    as,
  });
  const bicycle = done([
    build,
    read('r1'),
    mark(4, 'loose'),
    mark(7, 'stuck'),
    mark(40, 'stuck'),
    mark(9, 'loose'),
    mark(9, null),
  ]);
  expect(trueInput(bicycle, 'front')).toMatchObject({ loose: [4], stuck: [7] });
});

test('what the look-over read goes round the spokes; a wheel that is true goes back to it', () => {
  expect(fromLookOver(bare, 'front', 36)).toBeNull();
  const hand = { at: AT, by: '', today: '2026-11-25', newId: () => 'o' };
  const reading = { id: 'r', at: AT, by: '', end: 'front' as const, lateralMm: [0.1, null, -0.1], dishMm: null };
  const commands = asTrued({ seenAs: 'cleaned', secondLooks: [] }, reading, hand);
  const bicycle = done(commands);
  expect(bicycle.observations[0]).toMatchObject({
    check: 'runout-front',
    evidence: { readingsMm: [0.1, -0.1] },
    stage: 'prove',
  });
  // Spokes settle: it is looked at again in a week, and that is dated once.
  expect(bicycle.secondLooks).toMatchObject([{ of: 'fifty-km', dueOn: '2026-12-02' }]);
  expect(asTrued(bicycle, reading, hand)).toHaveLength(2);
  expect(readPair(bicycle, { id: 'runout-front', from: 'own', ref: 'runout-front' }).after).toBe(0.2);
  const first = done([build, read('r1'), read('r2', 1)]);
  expect(readPair(first, { id: 'runout-front', from: 'own', ref: 'runout-front' })).toEqual({ before: 0, after: null });
  const three: Command = {
    type: 'addObservation',
    observation: { ...bicycle.observations[0]!, id: 'o2', evidence: { readingsMm: [0, 0.6, 0] } },
  };
  const seen = fromLookOver(done([three]), 'front', 6)!;
  expect(seen).toEqual([0, 0.3, 0.6, 0.3, 0, 0]);
});

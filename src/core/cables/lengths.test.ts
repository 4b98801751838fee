import type * as z from 'zod/mini';
import { answer } from '../calculator';
import { cableRuns } from './data/runs';
import { cablesLengths } from './lengths';

const lengths = (question: z.input<typeof cablesLengths.input> = {}) => {
  const said = answer(cablesLengths, question);
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output.pieces;
};
const of = (id: string, question: z.input<typeof cablesLengths.input> = {}) =>
  lengths(question).find((piece) => piece.id === id)!;

test('bars that are raised by 50 mm lengthen what begins at them, and nothing else', () => {
  const raised = { bars: { upMm: 50, forwardMm: 0 } };
  expect(of('outer-front-brake', raised).lengthMm).toBeGreaterThan(of('outer-front-brake').lengthMm + 20);
  for (const id of ['outer-gear-end', 'outer-rear-brake-end']) expect(of(id, raised).lengthMm).toBe(of(id).lengthMm);
});

test('the old piece wins, and one that pulled tight at full lock is 40 mm longer', () => {
  const old = { 'outer-front-brake': { lengthMm: 512 }, 'outer-gear-end': { lengthMm: 250, tooShort: true } };
  expect(of('outer-front-brake', { old })).toMatchObject({ lengthMm: 512, withinMm: 0, from: 'old' });
  expect(of('outer-gear-end', { old })).toMatchObject({ lengthMm: 290, from: 'old, longer' });
  expect(of('inner-rear-brake', { old }).withinMm).toBeGreaterThan(0);
});

test('an inner is longer than the outers that it runs through', () => {
  const mm = (id: string) => of(id).lengthMm;
  expect(mm('inner-front-brake')).toBeGreaterThan(mm('outer-front-brake') + 80);
  expect(mm('inner-rear-brake')).toBeGreaterThan(mm('outer-rear-brake-bars') + mm('outer-rear-brake-end'));
  expect(mm('inner-gear-rear')).toBeGreaterThan(mm('inner-gear-front'));
});

test('drop levers take a pear, flat ones a barrel; one without gears or with hoses has no such cable', () => {
  expect(of('inner-front-brake', { kind: { bars: 'drop' } }).head).toBe('pear');
  expect(of('inner-front-brake', { kind: { bars: 'flat' } }).head).toBe('barrel');
  const hydraulic = { frontActuation: 'hydraulic', rearActuation: 'hydraulic' } as const;
  const discs = (more: object) => lengths({ kind: { gears: 'single', brakes: 'disc', ...more } });
  expect(discs(hydraulic).map(({ kind }) => kind)).toEqual(['brake-hose', 'brake-hose']);
  expect(discs({}).map(({ kind }) => kind)).not.toContain('brake-hose');
  expect(lengths({ kind: { gears: 'coaster', brakes: 'back-pedal', frontBrake: 'back-pedal' } })).toEqual([]);
  expect(lengths({ kind: { shifters: 'down-tube' } }).map(({ id }) => id)).not.toContain('outer-gear-bars-right');
});

test('the travel of a sprung frame is in whatever runs over its pivot, and in nothing else; and it is said', () => {
  const overPivot = cableRuns.filter(({ to }) => /rear|derailleur/.test(to) && to !== 'frame-rear');
  for (const run of cableRuns)
    expect([run.id, run.travelMm > 0]).toEqual([run.id, overPivot.includes(run) && run.id !== 'outer-gear-end']);
  const said = answer(cablesLengths, { kind: { frame: 'full-suspension', fork: 'suspension' } });
  expect(said.ok && said.output.reasons.join()).toContain('whole travel');
  const rigid = answer(cablesLengths, {});
  expect(rigid.ok && rigid.output.reasons.join()).not.toContain('travel');
});

test('a length under nothing and an unknown kind are refused', () => {
  expect(answer(cablesLengths, { old: { x: { lengthMm: 0 } } })).toMatchObject({ ok: false });
  expect(answer(cablesLengths, { kind: { bars: 'aero' } })).toMatchObject({ ok: false });
});

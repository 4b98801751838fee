import type * as z from 'zod/mini';
import { houseRules } from '../bearings/gradeRules';
import { answer } from '../calculator';
import { setupSteps } from './data/setupSteps';
import { brakesSetup } from './setup';
import { SET_BRAKES } from './setupKinds';

type Asked = z.input<typeof brakesSetup.input>;
const setup = (question: Partial<Asked> = {}) => {
  const said = answer(brakesSetup, { end: 'front', ...question });
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};
const ids = (question: Partial<Asked>) => setup(question).jobs.flatMap(({ steps }) => steps.map(({ id }) => id));
const HYDRAULIC = { brakes: 'disc', frontActuation: 'hydraulic', rearActuation: 'hydraulic' } as const;

test('every kind of brake has its setting-up, and every step is of some brake, once', () => {
  for (const brake of SET_BRAKES)
    expect(setupSteps.filter((step) => step.brakes.includes(brake)).length).toBeGreaterThan(0);
  expect(new Set(setupSteps.map(({ id }) => id)).size).toBe(setupSteps.length);
});

test('mineral and glycol are locked apart: neither is told while nobody has looked, and never both', () => {
  expect(setup({ kind: HYDRAULIC }).asksFluid).toBe(true);
  expect(ids({ kind: HYDRAULIC }).filter((id) => id.startsWith('bleed'))).toEqual([]);
  for (const [fluid, other] of [
    ['mineral', 'glycol'],
    ['glycol', 'mineral'],
  ] as const) {
    const told = ids({ kind: HYDRAULIC, fluid });
    expect(told).toContain(`bleed-${fluid}`);
    expect(told).not.toContain(`bleed-${other}`);
  }
  // A step that moves fluid is never told without knowing which.
  for (const step of setupSteps)
    if (/fluid|bleed|oil pushed|glycol from/i.test(step.how) && step.job === 'bleed') expect(step.fluid).not.toBeNull();
});

test('the lever is never pulled with both pistons free, and the reservoir is relieved before they go back', () => {
  const told = ids({ kind: HYDRAULIC, fluid: 'mineral' });
  expect(told.indexOf('reservoir')).toBeLessThan(told.indexOf('pistons-back'));
  expect(setupSteps.find(({ id }) => id === 'piston-clean')?.stop).toContain('never pulled');
});

test('a side pull is asked for both locknuts and six turns; a cantilever and a drum are not', () => {
  expect(ids({ kind: { brakes: 'caliper' } })).toEqual(expect.arrayContaining(['locknuts', 'recess-turns']));
  for (const brakes of ['cantilever', 'drum'] as const) expect(ids({ kind: { brakes } })).not.toContain('locknuts');
});

test('the rules of the house: toed or square, turn or hold, renewed or taken apart; drop levers always hold', () => {
  const rules = (changes: Partial<z.input<typeof houseRules>>) => changes;
  const kind = { brakes: 'cantilever', bars: 'flat' } as const;
  expect(ids({ kind, rules: rules({ padToe: 'square' }) })).toEqual(
    expect.arrayContaining(['pads-square', 'lever-turns']),
  );
  expect(ids({ kind, rules: rules({ padToe: 'toed', leverGrip: 'hold' }) })).toEqual(
    expect.arrayContaining(['pads-toed', 'lever-holds']),
  );
  expect(ids({ kind: { ...kind, bars: 'drop' }, rules: rules({ leverGrip: 'turn' }) })).toContain('lever-holds');
  const master = (masterCylinder: 'rebuild' | 'renew') =>
    ids({ kind: HYDRAULIC, fluid: 'mineral', rules: rules({ masterCylinder }) }).filter((id) =>
      id.startsWith('master'),
    );
  expect(master('renew')).toEqual(['master-renewed']);
  expect(master('rebuild')).toContain('master-bore');
});

test('front and rear are asked by their own: a back-pedal bicycle has a caliper in front', () => {
  expect(setup({ kind: { brakes: 'back-pedal', gears: 'coaster' }, end: 'front' }).brake).toBe('caliper');
  expect(setup({ kind: { brakes: 'back-pedal', gears: 'coaster' }, end: 'rear' }).brake).toBe('back-pedal');
});

test('a fluid that there is not, and no end, are refused', () => {
  expect(answer(brakesSetup, { end: 'front', fluid: 'water' })).toMatchObject({ ok: false });
  expect(answer(brakesSetup, {})).toMatchObject({ ok: false });
});

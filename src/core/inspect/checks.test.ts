import { answer } from '../calculator';
import { inspectChecks } from './checks';

function asked(question: unknown) {
  const result = answer(inspectChecks, question);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output.checks;
}
const ids = (question: unknown) => asked(question).map(({ id }) => id);

test('a bicycle with drum brakes has no pads and no braked rim to measure, one with rim brakes has both', () => {
  const drum = asked({ kind: { brakes: 'drum' } }).map(({ kind }) => kind);
  const rim = asked({ kind: { brakes: 'caliper' } }).map(({ kind }) => kind);
  for (const kind of ['pads', 'rim-hollow'] as const) {
    expect(drum).not.toContain(kind);
    expect(rim).toContain(kind);
  }
});

test('it is looked at on the ground first, then on the stand', () => {
  const phases = asked({ kind: {} }).map(({ phase }) => phase);
  expect(phases.lastIndexOf('ground')).toBeLessThan(phases.indexOf('stand'));
});

test('without a bicycle every check there is comes, and each bicycle has a part of them', () => {
  const all = ids({});
  const some = ids({ kind: { brakes: 'disc', gears: 'single' } });
  expect(some.length).toBeLessThan(all.length);
  expect(all).toEqual(expect.arrayContaining(some));
  expect(new Set(all).size).toBe(all.length);
});

test('each check says how it is made, and has a sound outcome; a battery alone is never called fine', () => {
  for (const check of asked({})) {
    expect(check.how.length).toBeGreaterThan(8);
    const states = check.outcomes.map(({ state }) => state);
    if (check.kind === 'outcome')
      expect([check.id, states.includes('fine')]).toEqual([check.id, check.id !== 'battery']);
  }
});

test('a brake that nobody makes is refused', () =>
  expect(answer(inspectChecks, { kind: { brakes: 'rope' } })).toMatchObject({
    ok: false,
    errors: [{ path: 'kind.brakes' }],
  }));

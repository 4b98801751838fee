import { appliesTo, bicycleKind, withConsequences } from './bicycle';
import { checksFor } from './inspect/checks';

const kind = bicycleKind.parse({});

describe('what a bicycle is', () => {
  test('a hub gear takes a single chain, a coaster brakes by pedalling back, and a derailleur undoes both', () => {
    expect(withConsequences(kind, { gears: 'hub' })).toEqual({ gears: 'hub', chain: 'single-or-hub-gear' });
    const coaster = { ...kind, ...withConsequences(kind, { gears: 'coaster' }) };
    expect(coaster).toMatchObject({ brakes: 'back-pedal', chain: 'single-or-hub-gear' });
    expect(withConsequences(coaster, { gears: 'derailleur' })).toEqual({
      gears: 'derailleur',
      chain: '5-8-speed',
      brakes: 'caliper',
    });
  });
  test('small wheels are small, and a usual frame has usual ones again', () => {
    const small = { ...kind, ...withConsequences(kind, { frame: 'small-wheel' }) };
    expect(small.beadSeatMm).toBe(406);
    expect(withConsequences(small, { frame: 'mixte' }).beadSeatMm).toBe(622);
  });
  test('what was changed on purpose always stands', () => {
    expect(withConsequences(kind, { gears: 'coaster', brakes: 'drum' }).brakes).toBe('drum');
    expect(withConsequences(kind, { tyreWidthMm: 40 })).toEqual({ tyreWidthMm: 40 });
  });
  test('a drum leaves neither track nor pad to measure from outside; back-pedalling has a caliper in front', () => {
    const checks = (brakes: typeof kind.brakes) => checksFor({ ...kind, brakes }).map((check) => check.id);
    expect(checks('cantilever')).toEqual(expect.arrayContaining(['braking-front', 'pads-front']));
    for (const id of ['braking-front', 'pads-front', 'disc-front']) expect(checks('drum')).not.toContain(id);
    expect(checks('back-pedal')).toContain('braking-front');
    expect(checks('back-pedal')).not.toContain('braking-rear');
  });
  test('a condition of a table reads the fields of the bicycle', () => {
    expect(appliesTo(kind, null)).toBe(true);
    expect(appliesTo(kind, 'gears=derailleur|hub')).toBe(true);
    expect(appliesTo(kind, 'gears=derailleur;brakes=disc')).toBe(kind.brakes === 'disc');
    expect(appliesTo({ ...kind, electric: true }, 'electric=true')).toBe(true);
  });
});

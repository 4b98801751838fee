import { bicycleKind, frontBrakeSurface, withConsequences } from './bicycle';
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
    expect(frontBrakeSurface({ brakes: 'back-pedal' })).toBe('rim');
    expect(frontBrakeSurface({ brakes: 'drum' })).toBe('hub');
    const checks = (brakes: typeof kind.brakes) => checksFor({ brakes }).map((check) => check.id);
    expect(checks('cantilever')).toEqual(expect.arrayContaining(['brake-surface', 'pads']));
    expect(checks('drum')).not.toEqual(expect.arrayContaining(['brake-surface']));
    expect(checks('drum')).not.toEqual(expect.arrayContaining(['pads']));
  });
});

import fc from 'fast-check';
import { answer } from '../calculator';
import { uniformStream } from '../money/streams';
import { cartridges } from './data/cartridges';
import { bearingsIdentifyCartridge, type IdentifyCartridgeInput } from './identifyCartridge';
import { monthsLater } from '../days';
import { bearingsServiceDue, type ServiceDueInput } from './serviceDue';

function identify(input: IdentifyCartridgeInput) {
  const result = answer(bearingsIdentifyCartridge, input);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const due = (changes: Partial<ServiceDueInput> = {}) => {
  const result = answer(bearingsServiceDue, {
    place: 'hub.front',
    kind: 'cup-and-cone',
    lastServiced: '2026-11-25',
    use: 'mixed',
    hoursPerWeek: 5,
    grease: 'standard',
    seal: 'good',
    ...changes,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
};

describe('which cartridge it is', () => {
  test('15 × 28 × 7 is a 6902', () => {
    expect(identify({ boreMm: 15, odMm: 28, widthMm: 7 })).toMatchObject({
      verdict: 'identified',
      candidates: expect.arrayContaining([expect.objectContaining({ code: '6902' })]) as unknown,
    });
    expect(identify({ boreMm: 15.02, odMm: 27.98, widthMm: 7.01 }).candidates[0]!.code).toBe('6902');
  });

  test('two headset bearings that differ only in their angles are told apart by print, not by caliper', () => {
    const found = identify({ boreMm: 30.15, odMm: 41, widthMm: 6.5 });
    expect(found.verdict).toBe('ambiguous');
    expect(found.reasons[0]).toMatch(/read the angles printed on it/);
  });

  test('nothing near is unknown', () => {
    expect(identify({ boreMm: 16, odMm: 45, widthMm: 7 }).verdict).toBe('unknown');
  });

  test('the whole table with a caliper that is off by 0.03 mm: the first choice is right wherever sizes differ', () => {
    const next = uniformStream(7, 'cartridges');
    const noise = () => 0.03 * Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
    const size = (each: (typeof cartridges)[number]) => `${each.boreMm} ${each.odMm} ${each.widthMm}`;
    const counted = cartridges.filter((each) => cartridges.filter((other) => size(other) === size(each)).length === 1);
    let right = 0;
    for (const each of counted)
      for (let i = 0; i < 5; i++) {
        const [best] = identify({
          boreMm: each.boreMm + noise(),
          odMm: each.odMm + noise(),
          widthMm: each.widthMm + noise(),
        }).candidates;
        if (best!.code === each.code) right += 1;
      }
    expect(right / (counted.length * 5)).toBeGreaterThanOrEqual(0.99);
  });
});

describe('when a bearing is due again', () => {
  test('mixed use at five hours a week: twelve months; a cartridge in a hub twice that, one in a headset not', () => {
    expect(due()).toMatchObject({ months: 12, dueOn: '2027-11-25' });
    expect(due({ kind: 'cartridge' }).months).toBe(24);
    expect(due({ kind: 'cartridge', place: 'headset' }).months).toBe(12);
  });

  test('wet, thin grease, poor seal, jet-washed and run on: never under a month', () => {
    expect(
      due({ use: 'wet', hoursPerWeek: 40, grease: 'thin', seal: 'poor', jetWashed: true, runOn: true }).months,
    ).toBe(1);
    expect(due({ jetWashed: true }).months).toBe(7);
    expect(due({ runOn: true }).months).toBe(6);
  });

  test('a bicycle that nobody rides still ages', () => {
    expect(due({ hoursPerWeek: 0 }).months).toBe(18);
  });

  test('harder use never gives a longer interval', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true }), (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        expect(due({ hoursPerWeek: more }).months).toBeLessThanOrEqual(due({ hoursPerWeek: less }).months);
      }),
    );
  });

  test('the day is clamped to the end of a shorter month', () => {
    expect(monthsLater('2027-01-31', 1)).toBe('2027-02-28');
    expect(monthsLater('2028-01-31', 1)).toBe('2028-02-29');
    expect(monthsLater('2026-11-30', 3)).toBe('2027-02-28');
    expect(monthsLater('2026-12-15', 12)).toBe('2027-12-15');
  });

  test('a day that is none is refused', () => {
    const result = answer(bearingsServiceDue, { lastServiced: '2026-02-30' });
    expect(!result.ok && result.errors.map(({ path }) => path)).toContain('lastServiced');
  });
});

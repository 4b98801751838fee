import fc from 'fast-check';
import { runs } from '../../../tests/runs';
import { answer } from '../calculator';
import { tyresMount } from './mount';
import { FOUND, HOLES, TUBE_SIDES } from './puncture';
import { tyresWhyFlat } from './whyFlat';

function mount(of: object) {
  const said = answer(tyresMount, of as never);
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}
function why(of: object) {
  const said = answer(tyresWhyFlat, {
    fromValveMm: null,
    side: 'unknown',
    holes: 'one',
    found: null,
    beadSeatMm: 622,
    ...of,
  });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}

describe('whether a tyre may go on', () => {
  test('six sizes are called 26, and none goes on another’s rim', () => {
    const seats = [559, 571, 584, 590, 597, 599];
    for (const rimSeatMm of seats)
      for (const tyreSeatMm of seats)
        expect(mount({ rimSeatMm, tyreSeatMm }).verdict).toBe(rimSeatMm === tyreSeatMm ? 'goes' : 'never');
    expect(mount({}).verdict).toBe('ask');
  });

  test('a rim without hooks: approved tyres, the lower of both limits, never over five bar', () => {
    const seats = { rimSeatMm: 622, tyreSeatMm: 622, hooks: 'hookless' };
    expect(mount({ ...seats, isHooklessApproved: false, rimMostBar: 5, tyreMostBar: 5 }).verdict).toBe('never');
    expect(mount({ ...seats, rimMostBar: 5, tyreMostBar: 5 }).verdict).toBe('ask');
    expect(mount({ ...seats, isHooklessApproved: true, rimMostBar: 6, tyreMostBar: 8 })).toMatchObject({
      verdict: 'goes',
      mostBar: 5,
    });
    expect(mount({ ...seats, isHooklessApproved: true, rimMostBar: 4.5, tyreMostBar: 8 }).mostBar).toBe(4.5);
  });

  test('straight sides gently and never without a tube; the wide valve never through the narrow hole', () => {
    const seats = { rimSeatMm: 635, tyreSeatMm: 635, hooks: 'straight-sided' };
    expect(mount({ ...seats, tyreMostBar: 6 }).mostBar).toBeLessThan(6);
    expect(mount({ ...seats, isTubeless: true }).verdict).toBe('never');
    expect(mount({ rimSeatMm: 622, tyreSeatMm: 622, hole: 'narrow', valve: 'wide' }).verdict).toBe('never');
    expect(mount({ rimSeatMm: 622, tyreSeatMm: 622, hole: 'wide', valve: 'narrow' }).verdict).toBe('ask');
  });

  test('sealant by width, from thirty to some hundred and twenty; with a tube none', () => {
    const ml = (tyreMm: number) => mount({ isTubeless: true, tyreMm }).sealantMl!;
    expect(ml(25).low).toBeGreaterThanOrEqual(25);
    expect(ml(25).high).toBeLessThanOrEqual(40);
    expect(ml(65).high).toBe(120);
    for (let mm = 20; mm < 80; mm++) expect(ml(mm + 1).low).toBeGreaterThanOrEqual(ml(mm).low);
    expect(mount({ tyreMm: 40 }).sealantMl).toBeNull();
  });
});

describe('why it is flat', () => {
  test.each([
    [{ holes: 'one', side: 'tread' }, ['in-tyre']],
    [{ holes: 'two', side: 'rim' }, ['pinch']],
    [{ holes: 'one', side: 'rim' }, ['tape', 'spoke-end']],
    [{ holes: 'at-valve', side: 'rim' }, ['valve']],
    [{ holes: 'seam', side: 'tread' }, ['seam']],
  ])('%o', (seen, ids) => {
    expect(why(seen).places.map(({ id }) => id)).toEqual(ids);
  });

  test('the place on the tube is a place on tyre and rim, and two where it may have been turned over', () => {
    const [place] = why({ holes: 'one', side: 'rim', fromValveMm: 500, spokes: 36 }).places;
    expect(place!.mm).toBeCloseTo(500, 9);
    expect(place!.mm! + place!.otherwiseMm!).toBeCloseTo(Math.PI * (622 + 2 * 35 * 0.45), 6);
    expect(place!.spoke).toBe(8);
    const [back] = why({ holes: 'one', side: 'rim', fromValveMm: -500, spokes: 36 }).places;
    expect(back!.mm).toBeCloseTo(place!.otherwiseMm!, 6);
  });

  test('whatever was seen there is somewhere to look or it says that nothing fits; a cause that was found ends it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...HOLES),
        fc.constantFrom(...TUBE_SIDES),
        fc.option(fc.integer({ min: -1200, max: 1200 })),
        (holes, side, fromValveMm) => {
          const { verdict, places } = why({ holes, side, fromValveMm, spokes: 32 });
          expect(verdict).toBe('look');
          for (const { mm, spoke } of places) {
            expect(mm === null || (mm >= 0 && mm < 2100)).toBe(true);
            expect(spoke === null || (spoke >= 0 && spoke < 32)).toBe(true);
          }
        },
      ),
      { numRuns: runs(300, 60) },
    );
    for (const found of FOUND) expect(why({ found }).verdict).toBe(found === 'nothing' ? 'not-found' : 'found');
    expect(why({ found: 'nothing' }).words).toMatch(/comes again/);
  });
});

import fc from 'fast-check';
import type * as z from 'zod/mini';
import { setByAdviser, setByThumb, setDerailleurs } from '../../../bench/derailleurs';
import { runs } from '../../../tests/runs';
import { answer, type Calculator } from '../calculator';
import { driveChainLength } from './chainLength';
import { driveFits } from './fits';
import { driveGears } from './gears';
import { driveIndex, type IndexQuestion } from './indexing';
import { driveMatch } from './match';
import { quarters, turnWords } from './turnWords';
import { driveWearCost } from './wearCost';

function ask<Schema extends z.ZodMiniType, Output>(of: Calculator<Schema, Output>, question: z.input<Schema>): Output {
  const said = answer(of, question);
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
}
const isRefused = (of: Calculator, question: unknown) => !answer(of, question).ok;

describe('how long a chain has to be', () => {
  test('round the largest ring and cog and one pair more; as laid round by hand', () => {
    const { exactPitches, pitches, verdict } = ask(driveChainLength, { stayMm: 430, largestRing: 50, largestCog: 28 });
    expect(exactPitches).toBeCloseTo(2 * (430 / 12.7) + 39 + (22 / (2 * Math.PI)) ** 2 / (430 / 12.7), 9);
    expect([pitches, verdict]).toEqual([110, 'fits']);
  });

  test('a single speed: even where the slot reaches it, else a half link, else the stays that it would take', () => {
    const single = (stayMm: number, slotMm: number) =>
      ask(driveChainLength, { stayMm, largestRing: 46, largestCog: 18, kind: 'single', slotMm });
    expect(single(405, 15)).toMatchObject({ pitches: 98, verdict: 'fits' });
    expect(single(405, 5)).toMatchObject({ pitches: 97, verdict: 'half-link' });
    const none = single(405, 1);
    expect(none).toMatchObject({ pitches: null, fitsAtStayMm: null, verdict: 'no-fit' });
    expect(none.evenStays.map(({ pitches }) => pitches)).toEqual([96, 98]);
    // What a number of pitches would need is a stay that it fits exactly.
    for (const { pitches, stayMm } of none.evenStays)
      expect(single(stayMm, 0)).toMatchObject({ pitches, verdict: 'fits' });
  });

  test('a longer stay never gives a shorter chain, nor does a larger ring or cog', () => {
    const of = fc.record({
      stayMm: fc.integer({ min: 330, max: 700 }),
      largestRing: fc.integer({ min: 22, max: 58 }),
      largestCog: fc.integer({ min: 11, max: 42 }),
    });
    fc.assert(
      fc.property(of, fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 6 }), (bike, longer, more) => {
        const pitches = (changes: object) => ask(driveChainLength, { ...bike, ...changes }).pitches!;
        expect(pitches({ stayMm: bike.stayMm + longer })).toBeGreaterThanOrEqual(pitches({}));
        expect(pitches({ largestRing: bike.largestRing + more })).toBeGreaterThanOrEqual(pitches({}));
        expect(pitches({}) % 2).toBe(0);
      }),
      { numRuns: runs(500, 100) },
    );
  });

  test('a stay that no bicycle has, and half a tooth, are refused', () => {
    expect(isRefused(driveChainLength, { stayMm: 90, largestRing: 50, largestCog: 28 })).toBe(true);
    expect(isRefused(driveChainLength, { stayMm: 430, largestRing: 50.5, largestCog: 28 })).toBe(true);
  });
});

describe('gears', () => {
  const two = { rings: [48, 34], cogs: [13, 15, 17, 20, 24, 28], wheelMm: 2150 };
  test('development, speed, jumps, range, capacity: the numbers of the trade', () => {
    const { gears, rangePercent, capacityTeeth, jumpsPercent } = ask(driveGears, two);
    expect(gears).toHaveLength(12);
    expect(gears[0]).toMatchObject({ ring: 34, cog: 28 });
    const racing = ask(driveGears, { rings: [42], cogs: [24], wheelMm: 2150 }).gears[0]!;
    expect(racing.developmentM).toBeCloseTo(3.7625, 9);
    expect(racing.gearInches).toBeCloseTo((42 / 24) * (2150 / (Math.PI * 25.4)), 9);
    expect(racing.speedKmh).toBeCloseTo(3.7625 * 80 * 0.06, 9);
    expect(rangePercent).toBeCloseTo((48 / 13 / (34 / 28)) * 100, 9);
    expect(capacityTeeth).toBe(14 + 15);
    expect(jumpsPercent[0]).toBeCloseTo((15 / 13 - 1) * 100, 9);
  });

  test('a hub gear multiplies; its gears are lowest first', () => {
    const { gears } = ask(driveGears, { rings: [44], cogs: [18], hubRatios: [0.75, 1, 1.333], wheelMm: 2150 });
    expect(gears.map(({ hub }) => hub)).toEqual([0.75, 1, 1.333]);
    expect(gears[2]!.developmentM / gears[0]!.developmentM).toBeCloseTo(1.333 / 0.75, 9);
  });

  test('gears that are one gear twice lie within three per cent, each pair once', () => {
    const { doubles, gears } = ask(driveGears, two);
    const ratio = ({ ring, cog, hub }: { ring: number; cog: number; hub: number }) => (ring / cog) * hub;
    const expected = gears.flatMap((a, i) => gears.slice(i + 1).filter((b) => b.ratio / a.ratio <= 1.03)).length;
    expect(doubles).toHaveLength(expected);
    for (const [a, b] of doubles) expect(ratio(b) / ratio(a)).toBeLessThanOrEqual(1.03 + 1e-9);
    expect(ask(driveGears, { rings: [48, 36], cogs: [12, 16], wheelMm: 2100 }).doubles).toHaveLength(1);
  });

  test('capacity does not mind the order of rings and cogs; more watts climb a steeper hill, more load a gentler', () => {
    expect(ask(driveGears, { ...two, rings: [34, 48], cogs: two.cogs.toReversed() }).capacityTeeth).toBe(29);
    const hill = (more: object) => ask(driveGears, { ...two, ...more }).steepestPercent;
    expect(hill({ powerW: 200 })).toBeGreaterThan(hill({}));
    expect(hill({ massKg: 120 })).toBeLessThan(hill({}));
    expect(hill({ powerW: 20 })).toBeGreaterThanOrEqual(0);
  });
});

describe('will it work together', () => {
  const nine = {
    shifter: { family: 'ratio 1.7', cogs: 9 },
    rearDerailleur: { family: 'ratio 1.7', maxCog: 34, capacityTeeth: 43 },
    cassette: { cogs: 9, largest: 32, smallest: 11 },
    rings: [48, 36, 26],
  };
  test('parts of one family do; a lever for ten on nine cogs does not, and it is said by how much', () => {
    expect(ask(driveMatch, nine)).toMatchObject({ verdict: 'works', cogPitchMm: 4.35 });
    const ten = ask(driveMatch, { ...nine, shifter: { family: 'ratio 1.7', cogs: 10 } });
    expect(ten.verdict).toBe('no');
    expect(ten.worstMm).toBeCloseTo(Math.abs(2.3 * 1.7 - 4.35) * 4, 9);
    expect(ten.reasons[0]).toContain('1.76 mm');
  });

  test('over the largest cog or the capacity is no, with the number of teeth', () => {
    const cog = ask(driveMatch, { ...nine, cassette: { ...nine.cassette, largest: 36 } });
    expect(cog.verdict).toBe('no');
    expect(cog.reasons[0]).toContain('2 teeth');
    const small = { ...nine, rearDerailleur: { ...nine.rearDerailleur, capacityTeeth: 42 } };
    expect(ask(driveMatch, small).reasons[0]).toContain('one tooth more');
  });

  test('a shifter with fewer clicks than cogs is marginal at best; friction works with whatever reaches', () => {
    const eight = { ...nine, shifter: { family: 'ratio 1.7', cogs: 8 }, cassette: { ...nine.cassette, pitchMm: 4.76 } };
    expect(ask(driveMatch, eight).verdict).toBe('marginal');
    const friction = ask(driveMatch, { ...nine, shifter: { family: 'friction', cogs: 9 } });
    expect(friction).toMatchObject({ movePerClickMm: null, worstMm: null, verdict: 'works' });
  });

  test('the pitch is the one that was measured, else of the derailleur’s family, else of the shifter’s, else the usual', () => {
    const pitch = (changes: object) => ask(driveMatch, { ...nine, ...changes }).cogPitchMm;
    expect(pitch({ cassette: { ...nine.cassette, pitchMm: 4.5 } })).toBe(4.5);
    expect(pitch({ rearDerailleur: { family: 'ratio 1.5 Italian' } })).toBe(4.55);
    expect(pitch({ rearDerailleur: { family: 'friction' } })).toBe(4.35);
    expect(pitch({ shifter: { family: 'friction', cogs: 9 }, rearDerailleur: { family: 'friction' } })).toBe(4.35);
  });

  test('a family that there is not, and a shifter that a family has not, are refused in words', () => {
    expect(isRefused(driveMatch, { ...nine, shifter: { family: 'ratio 9', cogs: 9 } })).toBe(true);
    const said = answer(driveMatch, { ...nine, shifter: { family: 'ratio 1.2', cogs: 9 } });
    expect(said).toMatchObject({ ok: false, errors: [{ path: 'shifter.cogs' }] });
  });
});

describe('will the rest go together', () => {
  const fits = (question: z.input<typeof driveFits.input>) => ask(driveFits, question);
  const words = (question: z.input<typeof driveFits.input>) =>
    fits(question).findings.map(({ what, verdict }) => `${what} ${verdict}`);

  test('a chain by its width, cogs by what holds them', () => {
    expect(words({ cogs: 9, chain: '9', body: 'splined' })).toEqual(['chain works', 'body works']);
    expect(words({ cogs: 8, chain: '9' })).toEqual(['chain marginal']);
    expect(words({ cogs: 10, chain: '9' })).toEqual(['chain no']);
    expect(words({ cogs: 11, body: 'splined' })).toEqual(['body no']);
    expect(fits({ cogs: 7, body: 'splined' }).reasons[0]).toContain('spacer of 4.5 mm');
    // A spacer is named to nobody who needs none.
    for (const cogs of [9, 11]) expect(fits({ cogs, body: 'splined' }).reasons.join()).not.toContain('spacer');
    expect(words({ cogs: 12, body: 'stepped', smallestCog: 9 })).toEqual(['body works']);
    expect(words({ cogs: 9, body: 'splined', smallestCog: 10 })).toEqual(['body no']);
  });

  test('an axle that is too wide: steel gives so far, nothing else does', () => {
    expect(words({ cogs: 9, frameMm: 126, hubMm: 130, isSteel: true })).toEqual(['axle marginal']);
    expect(words({ cogs: 9, frameMm: 126, hubMm: 130 })).toEqual(['axle no']);
    expect(words({ cogs: 9, frameMm: 130, hubMm: 130.6 })).toEqual(['axle works']);
    expect(words({ cogs: 9, frameMm: 120, hubMm: 130, isSteel: true })).toEqual(['axle no']);
  });

  test('the chain line is stricter for one cog; a lever and a brake are told apart by their pull', () => {
    expect(words({ cogs: 9, ringLineMm: 43.5, cogLineMm: 41 })).toEqual(['chain-line works']);
    expect(words({ cogs: 1, ringLineMm: 43.5, cogLineMm: 41 })).toEqual(['chain-line marginal']);
    expect(words({ cogs: 9, lever: 'short', brake: 'direct-pull' })).toEqual(['lever no']);
    expect(words({ cogs: 9, lever: 'long', brake: 'cantilever' })).toEqual(['lever no']);
    expect(words({ cogs: 9, lever: 'long', brake: 'direct-pull' })).toEqual(['lever works']);
    // A cable disc is made for either; a hose for none.
    expect(words({ cogs: 9, lever: 'long', brake: 'disc-cable' })).toEqual([]);
  });

  test('what nobody said is not judged, and what there is not is refused', () => {
    expect(fits({ cogs: 9 })).toMatchObject({ findings: [], verdict: 'works' });
    expect(isRefused(driveFits, { cogs: 9, body: 'glue' })).toBe(true);
  });
});

describe('early, or to the end', () => {
  test('four chains to a cassette against one of each: 1.3333 against 1.2143, alike at 6375 km', () => {
    const cost = ask(driveWearCost, { chain: 2500, cogs: 6000, chainKm: 3000, chainsPerCogs: 4, togetherKm: 7000 });
    expect(cost.earlyPerKm).toBeCloseTo(4 / 3, 9);
    expect(cost.togetherPerKm).toBeCloseTo(8500 / 7000, 9);
    expect(cost.breakEvenKm).toBeCloseTo(6375, 9);
    expect(cost.cheaper).toBe('together');
    expect(
      ask(driveWearCost, { chain: 2500, cogs: 6000, chainKm: 3000, chainsPerCogs: 4, togetherKm: 6375 }).cheaper,
    ).toBe('alike');
  });
});

type Feel = 'fails' | 'slow' | 'crisp' | 'noisy' | 'skips' | null;
const nine = (toLarger: Feel[], toSmaller: Feel[], turns = 0): IndexQuestion['trials'][number] => ({
  turns,
  gears: Array.from({ length: 9 }, (_, i) => ({
    gear: i + 1,
    toLarger: toLarger[i] ?? null,
    toSmaller: toSmaller[i] ?? null,
  })),
});
const all = (feel: Feel): Feel[] => Array.from({ length: 9 }, () => feel);
const index = (trials: IndexQuestion['trials'], more: Partial<IndexQuestion> = {}) =>
  ask(driveIndex, { cogs: 9, cogPitchMm: 4.35, trials, ...more });

describe('indexing', () => {
  const DRIFTED = nine(
    [null, 'noisy', 'crisp', 'crisp', 'crisp', 'slow', 'slow', 'slow', 'fails'],
    ['slow', 'slow', 'crisp', 'crisp', 'crisp', 'crisp', 'noisy', 'noisy', null],
  );
  test('noisy at the small end, failing on the largest, slow down onto the smallest: the hanger, not the barrel', () => {
    const said = index([DRIFTED]);
    expect(said).toMatchObject({ cause: 'hanger-or-mismatch', next: null, done: false });
    expect(said.driftMmPerGear.mean).toBeLessThan(-0.1);
    expect(said.reasons[0]).toContain('Measure the hanger');
  });

  test('slow to every larger cog is tension: more of it, and then it is set', () => {
    const said = index([nine([null, ...all('slow').slice(1)], all('crisp').slice(0, 8))]);
    expect(said.cause).toBe('cable-tension');
    expect(said.next!.turns).toBeGreaterThan(0);
    expect(said.next!.words).toContain('towards the larger cogs');
    expect(said.next!.words).not.toMatch(/\bup\b/);
    const after = index([
      nine([null, ...all('slow').slice(1)], all('crisp').slice(0, 8)),
      nine([null, ...all('crisp').slice(1)], all('crisp').slice(0, 8), said.next!.turns),
    ]);
    expect(after).toMatchObject({ cause: 'set', done: true, next: null });
  });

  test('slow both ways is friction, and no barrel is turned', () => {
    const said = index([nine([null, ...all('slow').slice(1)], all('slow').slice(0, 8))]);
    expect(said).toMatchObject({ cause: 'friction', next: null });
    expect(said.reasons[0]).toContain('outer');
  });

  test('only the largest cog is not reached: its limit screw is named', () => {
    const said = index([nine([null, ...all('crisp').slice(1, 8), 'fails'], all('crisp').slice(0, 8))]);
    expect(said.reasons[0]).toContain('limit screw');
  });

  test('it rattles on the largest cogs alone: the room to the upper pulley is named', () => {
    const said = index([nine([null, ...all('crisp').slice(1, 8), 'noisy'], all('crisp').slice(0, 8))]);
    expect(said.reasons.join()).toContain('upper pulley');
  });

  test('a reversed spring turns the words and not the sums', () => {
    const trial = nine([null, ...all('slow').slice(1)], all('crisp').slice(0, 8));
    const [usual, reversed] = [index([trial]), index([trial], { spring: 'reversed' })];
    expect(reversed.next!.turns).toBe(usual.next!.turns);
    expect(usual.next!.words).toContain('out: more tension');
    expect(reversed.next!.words).toContain('in: less tension');
  });

  test('a derailleur and its mirror get mirrored turns', () => {
    const feels = fc.array(fc.constantFrom<Feel>('fails', 'slow', 'crisp', 'noisy', 'skips', null), {
      minLength: 9,
      maxLength: 9,
    });
    fc.assert(
      fc.property(feels, feels, (toLarger, toSmaller) => {
        const trial = nine([null, ...toLarger.slice(1)], toSmaller.slice(0, 8));
        const mirror = nine([null, ...toSmaller.slice(0, 8).toReversed()], toLarger.slice(1).toReversed());
        const [a, b] = [index([trial]), index([mirror])];
        expect(b.cause).toBe(a.cause);
        expect(b.next?.turns ?? null).toEqual(a.next && (a.next.turns === 0 ? 0 : -a.next.turns));
        expect(b.offsetMm.mean).toBeCloseTo(-a.offsetMm.mean, 2);
      }),
      { numRuns: runs(100, 6) },
    );
  });

  test('hidden derailleurs, made by other code: the right cause, and crisp throughout, with few settings', () => {
    const exact = setDerailleurs(60, false, setByAdviser);
    expect(exact.right).toBeGreaterThanOrEqual(0.9);
    expect(exact.crisp).toBeGreaterThanOrEqual(0.88);
    expect(exact.settings).toBeLessThanOrEqual(2);
    const thumb = setDerailleurs(60, false, setByThumb);
    expect(thumb.right).toBeLessThan(exact.right);
    expect(thumb.settings).toBeGreaterThan(exact.settings);
  });

  test('a gear that there is not, and bands the wrong way round, are refused; nothing felt asks for shifts', () => {
    expect(isRefused(driveIndex, { cogs: 7, cogPitchMm: 5, trials: [nine(all('crisp'), [])] })).toBe(true);
    expect(
      isRefused(driveIndex, { cogs: 9, cogPitchMm: 4, bands: { crispMm: 1, slowMm: 0.5 }, trials: [nine([], [])] }),
    ).toBe(true);
    expect(index([nine([], [])])).toMatchObject({ cause: 'unclear', next: { turns: 0 } });
  });

  test('turns in words', () => {
    expect([0.25, 0.5, 0.75, 1, 1.25, 2].map(quarters)).toEqual([
      'a quarter turn',
      'half a turn',
      'three quarters of a turn',
      'a whole turn',
      '1¼ turns',
      '2 turns',
    ]);
    expect(turnWords(-3, 'normal')).toContain('clamp the cable anew');
  });
});

import fc from 'fast-check';
import { answer } from '../calculator';
import { bearingsContact, type Contact, type ContactInput } from './contact';
import { approachPerLoad, pressureMPa, type Track } from './hertz';
import { ballOrder, cartridgeOrders } from './orders';
import { roundVerdict } from './round';
import { bearingsLearnDrag, type LearnDragInput, type LearntDrag } from './learnDrag';
import { bearingsServiceSet } from './serviceSet';
import { bearingsCartridgeSet } from './cartridgeSet';
import { checkCounts } from './counts';

const FRONT: ContactInput = {
  ballDiameterMm: 4.7625,
  balls: 10,
  circleMm: 16.2,
  axle: { areaMm2: 40, spanMm: 60 },
};
function contact(changes: Partial<ContactInput> = {}): Contact {
  const asked = answer(bearingsContact, { ...FRONT, ...changes });
  if (!asked.ok) throw new Error(JSON.stringify(asked.errors));
  return asked.output;
}

describe('a ball against a track', () => {
  const track: Track = { ballMm: 10, circleMm: 1e6, contactDeg: 45, osculation: 1e6, side: 'cone' };
  test('against a flat it is Hertz’s round contact, within three per cent', () => {
    // Exact: a = (3·Q·R / 4·E*)^⅓, p = 3Q / 2πa², approach = a² / R with E* = E / 2(1 − ν²).
    const half = 206_000 / (2 * (1 - 0.09));
    const a = ((3 * 100 * 5) / (4 * half)) ** (1 / 3);
    expect(pressureMPa(track, 100) / ((3 * 100) / (2 * Math.PI * a * a))).toBeCloseTo(1, 1);
    expect((approachPerLoad(track) * 100 ** (2 / 3)) / ((a * a) / 5)).toBeGreaterThan(0.93);
    expect((approachPerLoad(track) * 100 ** (2 / 3)) / ((a * a) / 5)).toBeLessThan(1.03);
  });

  test('eight times the load is twice the pressure', () => {
    expect(pressureMPa(track, 800) / pressureMPa(track, 100)).toBeCloseTo(2, 9);
    expect(pressureMPa(track, 0)).toBe(0);
  });

  test('a track that hugs the ball, and the hollow cup, carry it more gently than a cone', () => {
    const cone: Track = { ballMm: 4.7625, circleMm: 16.2, contactDeg: 45, osculation: 0.54, side: 'cone' };
    expect(pressureMPa({ ...cone, side: 'cup' }, 100)).toBeLessThan(pressureMPa(cone, 100));
    expect(pressureMPa({ ...cone, osculation: 0.52 }, 100)).toBeLessThan(pressureMPa(cone, 100));
  });
});

describe('what a turn of the cone does inside', () => {
  test('tighter pushes more, drags more and wears sooner; play leaves fewer balls to carry', () => {
    const turns = [0, 6, 12, 24, 36].map((tighterDeg) => contact({ tighterDeg }));
    for (let i = 1; i < turns.length; i++) {
      expect(turns[i]!.preloadN).toBeGreaterThan(turns[i - 1]!.preloadN);
      expect(turns[i]!.frictionNmm).toBeGreaterThan(turns[i - 1]!.frictionNmm);
    }
    expect(contact({ tighterDeg: 24 }).lifeShare).toBeLessThan(0.2);
    expect(contact({ tighterDeg: -20 }).loadedBalls).toBeLessThan(contact().loadedBalls);
    expect(contact({ tighterDeg: -20 }).worstBallN).toBeGreaterThan(contact().worstBallN);
  });

  test('a little play costs some life, much too tight costs nearly all of it', () => {
    const { curve } = contact();
    const best = curve.reduce((a, b) => (b.life > a.life ? b : a));
    expect(Math.abs(best.turnDeg)).toBeLessThanOrEqual(6);
    expect(curve.find((point) => point.turnDeg === -12)!.life).toBeGreaterThan(0.4);
    expect(curve.find((point) => point.turnDeg === 30)!.life).toBeLessThan(0.05);
  });

  test('a thin pressed cup keeps a mark before a turned one does', () => {
    expect(contact({ tighterDeg: 40, cup: 'pressed' }).marks).toBe('cup');
    expect(contact({ tighterDeg: 40, cup: 'turned' }).marks).toBe('none');
    expect(contact({ tighterDeg: 110 }).marks).toBe('both');
  });

  test('an axle that stretches takes some of the turn up', () => {
    expect(contact({ tighterDeg: 20 }).preloadN).toBeLessThan(contact({ tighterDeg: 20, axle: null }).preloadN);
  });

  test('what the balls carry across the axle is what the wheel puts on them', () => {
    // At the limit of play the row that carries: Stribeck's 4.37·F / (Z·cos α), for a single row without play.
    const { worstBallN } = contact({ tighterDeg: 0, acrossN: 350 });
    expect(worstBallN / ((4.37 * 350) / (10 * Math.cos(Math.PI / 4)))).toBeCloseTo(1, 1);
  });

  test('a load along the axle, as a headset’s lower row bears, is shared by all its balls and is no preload', () => {
    const alone = contact({ tighterDeg: 0, acrossN: 0, alongN: 350 });
    expect(alone.worstBallN).toBeCloseTo(350 / (10 * Math.sin(Math.PI / 4)), 1);
    expect(alone.loadedBalls).toBeCloseTo(10, 6);
    expect(alone.preloadN).toBe(0);
    // Its other row is not seated by it: play hammers that one as it does in a hub.
    expect(contact({ tighterDeg: -24, alongN: 350 }).worstBallN).toBeGreaterThan(contact({ alongN: 350 }).worstBallN);
    expect(contact({ tighterDeg: -24, alongN: 350 }).lifeShare).toBeLessThan(0.9);
    expect(contact({ alongN: 350 }).worstBallN).toBeGreaterThan(contact({ acrossN: 0, alongN: 350 }).worstBallN);
    expect(contact({ tighterDeg: 20, alongN: 350 }).worstBallN).toBeGreaterThan(contact({ tighterDeg: 20 }).worstBallN);
  });

  test('never a negative load, whatever is asked', () => {
    const load = fc.integer({ min: 0, max: 3000 });
    fc.assert(
      fc.property(fc.integer({ min: -120, max: 120 }), load, load, (tighterDeg, acrossN, alongN) => {
        const answered = contact({ tighterDeg, acrossN, alongN });
        return answered.preloadN >= 0 && answered.worstBallN >= 0 && answered.lifeShare >= 0 && answered.lifeShare <= 1;
      }),
      { numRuns: 40 },
    );
  });
});

describe('the drag of a bench', () => {
  const learn = (changes: Partial<LearnDragInput>): LearntDrag => {
    const asked = answer(bearingsLearnDrag, { sessions: [], ...changes });
    if (!asked.ok) throw new Error(JSON.stringify(asked.errors));
    return asked.output;
  };
  test('nothing set yet: the usual is allowed for, and said so', () => {
    expect(learn({}).lockShift).toEqual({ meanDeg: 5, sdDeg: 4 });
    expect(learn({ usual: { meanDeg: 8, sdDeg: 5 } }).lockShift).toEqual({ meanDeg: 8, sdDeg: 5 });
    expect(learn({}).reasons[0]).toMatch(/usual/);
  });

  test('a bench that drags much more than usual is learnt as such, one that drags nothing the other way', () => {
    // Right, opened by a little, and tight again: only a locknut that drags explains it.
    const dragging = [
      { turnDeg: 0, feel: 'smooth' as const },
      { turnDeg: -6, feel: 'tight' as const },
      { turnDeg: -18, feel: 'smooth' as const },
      { turnDeg: -8, feel: 'tight' as const },
      { turnDeg: -18, feel: 'smooth' as const },
    ];
    const still = [
      { turnDeg: 0, feel: 'smooth' as const },
      { turnDeg: -12, feel: 'tick' as const },
      { turnDeg: 10, feel: 'smooth' as const },
      { turnDeg: -11, feel: 'tick' as const },
      { turnDeg: 10, feel: 'smooth' as const },
    ];
    const much = learn({ sessions: Array.from({ length: 4 }, () => ({ trials: dragging })) });
    const none = learn({ sessions: Array.from({ length: 4 }, () => ({ trials: still })) });
    expect(much.lockShift.meanDeg).toBeGreaterThan(9);
    expect(none.lockShift.meanDeg).toBeLessThan(3);
    expect(much.turns).toBe(16);
  });
});

describe('round the turn', () => {
  test('the tightest spot decides', () => {
    const verdict = (feels: Record<string, 'loose' | 'tick' | 'smooth' | 'tight'>) => roundVerdict(feels).verdict;
    expect(verdict({})).toBe('unfelt');
    expect(verdict({ '12': 'smooth', '3': 'smooth', '6': 'smooth' })).toBe('unfelt');
    expect(verdict({ '12': 'smooth', '3': 'smooth', '6': 'smooth', '9': 'smooth' })).toBe('even');
    expect(verdict({ '12': 'smooth', '3': 'tight' })).toBe('tight-spot');
    expect(verdict({ '12': 'tick', '3': 'tight' })).toBe('dances');
    expect(verdict({ '12': 'smooth', '3': 'tick', '6': 'smooth', '9': 'smooth' })).toBe('slack-elsewhere');
    expect(verdict({ '12': 'tick', '3': 'tick', '6': 'loose', '9': 'loose' })).toBe('loose');
    expect(verdict({ '12': 'tight', '3': 'tight', '6': 'tight', '9': 'tight' })).toBe('tight');
  });
});

describe('what is bought', () => {
  test('balls of one lot: a drawer that does not hold them all does not count', () => {
    expect(ballOrder(18, 100, 0)).toMatchObject({ packs: 1, left: 82 });
    expect(ballOrder(50, 25, 0)).toMatchObject({ packs: 2, left: 0 });
    expect(ballOrder(18, 100, 12)).toMatchObject({ packs: 1, left: 82 });
    expect(ballOrder(18, 100, 40)).toMatchObject({ packs: 0, left: 22 });
  });
  test('cartridges: what lies in the drawer is used first', () => {
    expect(cartridgeOrders(['6902', '6902'], () => 1)).toEqual([
      { code: '6902', needed: 2, inDrawer: 1, buy: 1, left: 0 },
    ]);
    expect(cartridgeOrders(['6902'], () => 3)[0]).toMatchObject({ buy: 0, left: 2 });
  });
  test('the print counts before the caliper, and nothing is guessed while a measure is missing', () => {
    const asked = answer(bearingsCartridgeSet, {
      cartridges: [
        { id: 'a', boreMm: 15, odMm: 28, widthMm: 7 },
        { id: 'b', boreMm: 15, odMm: 28, widthMm: null },
        { id: 'c', boreMm: 15, odMm: 28, widthMm: 7, print: 'special' },
      ],
    });
    expect(asked.ok && asked.output.cartridges.map((each) => each.code)).toEqual(['6902', null, 'special']);
  });
  test('a retainer out and loose balls in is an answer only where there was a retainer', () => {
    const counts = { out: 20, holds: null, in: 25, answer: null };
    expect(checkCounts(counts, true).answers).toContain('cage-to-loose');
    expect(checkCounts(counts).answers).not.toContain('cage-to-loose');
  });
  test('the bearing that is due first comes first', () => {
    const question = (use: 'dry' | 'wet') => ({
      place: 'x',
      kind: 'cup-and-cone' as const,
      lastServiced: '2026-11-25',
      use,
      hoursPerWeek: 5,
      grease: 'standard' as const,
      seal: 'good' as const,
    });
    const asked = answer(bearingsServiceSet, {
      bearings: [
        { place: 'headset', question: question('dry') },
        { place: 'hub.front', question: question('wet') },
      ],
    });
    expect(asked.ok && asked.output.due.map((each) => each.place)).toEqual(['hub.front', 'headset']);
  });
});

import fc from 'fast-check';
import { bearingsAdjustCone, type AdjustConeInput } from '../bearings/adjustCone';
import { answer } from '../calculator';
import {
  clampAxle,
  extremes,
  freshState,
  handFeel,
  hiddenHub,
  later,
  lockCone,
  rockMm,
  runDownS,
  scoreRound,
  soundOf,
  spin,
  standingAt,
  toldInWords,
  turnCone,
  unlockCone,
  type HiddenHub,
  type HubState,
  type PracticeLevel,
} from './hub';
import { practiceLevels } from './levels';

const asked = answer(practiceLevels, {});
const levels: PracticeLevel[] = asked.ok ? asked.output.levels : [];
const level = (id: string) => levels.find((each) => each.id === id)!;
const good = hiddenHub(level('good-nutted'), 3);
const standing = (hub: HiddenHub, coneDeg: number, changes: Partial<HubState> = {}): HubState => ({
  ...freshState(hub),
  coneDeg,
  locked: true,
  trials: 1,
  ...changes,
});

describe('the simulated hub', () => {
  test('levels run from a good new hub to a pitted old one, with nuts and with a skewer, and a headset', () => {
    expect(levels[0]!.pitDeg).toBe(0);
    expect(level('pitted').pitDeg).toBeGreaterThan(level('worn').pitDeg);
    expect(levels.some((each) => each.squeezeDeg > 0)).toBe(true);
    expect(levels.some((each) => each.what === 'headset')).toBe(true);
  });

  test('the same seed hides the same hub, another one another', () => {
    expect(hiddenHub(level('worn'), 5)).toEqual(hiddenHub(level('worn'), 5));
    expect(hiddenHub(level('worn'), 5).startDeg).not.toBe(hiddenHub(level('worn'), 6).startDeg);
  });

  test('a locked cone does not turn; locking drags it, every time a little differently', () => {
    const locked = lockCone(good, freshState(good));
    expect(turnCone(good, locked, 10)).toBe(locked);
    expect(locked.coneDeg).not.toBe(good.startDeg);
    const again = lockCone(good, unlockCone(locked));
    expect(again.coneDeg - locked.coneDeg).not.toBeCloseTo(locked.coneDeg - good.startDeg, 6);
    expect(again.trials).toBe(2);
  });

  test('looser rocks more, tighter runs down sooner', () => {
    const rocks = [-60, -30, -10].map((deg) => rockMm(good, standing(good, deg)));
    expect(rocks[0]!).toBeGreaterThan(rocks[1]!);
    expect(rocks[1]!).toBeGreaterThan(rocks[2]!);
    expect(rockMm(good, standing(good, 8))).toBe(0);
    const runs = [0, 15, 30, 50].map((deg) => runDownS(good, standing(good, deg)));
    for (let i = 1; i < runs.length; i++) expect(runs[i]!).toBeLessThan(runs[i - 1]!);
  });

  test('a skewer takes play up: a tick with it open, smooth with it closed', () => {
    const hub = hiddenHub(level('good-skewer'), 2);
    const open = standing(hub, -6);
    expect(handFeel(hub, open, false)).toBe('tick');
    expect(handFeel(hub, clampAxle(hub, open, true), false)).toBe('smooth');
    expect(clampAxle(good, standing(good, 0), true).clamped).toBe(false);
  });

  test('pits make the turn uneven; a good hub hardly varies', () => {
    const spread = (hub: HiddenHub) => {
      const { tightest, loosest } = extremes(hub, standing(hub, 0));
      return tightest - loosest;
    };
    expect(spread(hiddenHub(level('pitted'), 1))).toBeGreaterThan(5);
    expect(spread(good)).toBeLessThan(4);
    expect(standingAt(good, standing(good, 5), 0)).toBeCloseTo(standingAt(good, standing(good, 5), 360), 9);
  });

  test('too tight marks the tracks, just right and loose mark nothing', () => {
    const tight = turnCone(good, { ...standing(good, 50), locked: false }, 60);
    expect(tight.harm).toBeGreaterThan(1);
    expect(turnCone(good, { ...standing(good, 0), locked: false }, 6).harm).toBe(0);
    let run = spin(standing(good, 100));
    for (let i = 0; i < 20; i++) run = later(good, run, 0.02);
    expect(run.harm).toBeGreaterThan(0);
  });

  test('the wheel runs down and stops; a still one stays still', () => {
    let run = spin(standing(good, 5));
    for (let i = 0; i < 100; i++) {
      const next = later(good, run, 0.05);
      expect(next.speed).toBeLessThanOrEqual(run.speed);
      run = next;
    }
    expect(later(good, standing(good, 5), 1)).toEqual(standing(good, 5));
  });

  test('a pitted one rumbles, a tight one grinds, a still one is silent', () => {
    const pitted = hiddenHub(level('pitted'), 1);
    expect(soundOf(pitted, spin(standing(pitted, 5))).rumble).toBeGreaterThan(
      soundOf(good, spin(standing(good, 5))).rumble,
    );
    expect(soundOf(good, spin(standing(good, 45))).grind).toBeGreaterThan(0.3);
    expect(soundOf(good, standing(good, 45))).toEqual({ run: 0, rumble: 0, grind: 0 });
  });

  test('all that is heard and seen can be had in words', () => {
    expect(toldInWords(good, freshState(good))).toMatch(/lock it/);
    expect(toldInWords(good, standing(good, -40))).toMatch(/rim rocks \d/);
    expect(toldInWords(good, standing(good, 45))).toMatch(/does not rock here.*It drags/);
    const bars = hiddenHub(level('headset'), 1);
    expect(toldInWords(bars, standing(bars, -40))).toMatch(/fork rocks/);
  });
});

describe('the score of a round', () => {
  test('in the band, at par, unharmed is a hundred; unlocked is worth nothing', () => {
    expect(scoreRound(good, standing(good, 5)).total).toBe(100);
    expect(scoreRound(good, standing(good, 5, { locked: false })).total).toBe(0);
  });
  test('loose, tight, many locks and marked tracks all cost', () => {
    const full = scoreRound(good, standing(good, 5)).total;
    expect(scoreRound(good, standing(good, -8)).total).toBeLessThan(full);
    expect(scoreRound(good, standing(good, 25)).total).toBeLessThan(full);
    expect(scoreRound(good, standing(good, 5, { trials: 8 })).total).toBeLessThan(full);
    expect(scoreRound(good, standing(good, 5, { harm: 12 })).total).toBeLessThan(full);
    expect(scoreRound(good, standing(good, 5, { harm: 12 })).words).toMatch(/tracks were marked/);
  });
  test('it counts as it is ridden: a skewer left open does not hide that it will be too tight', () => {
    const hub = hiddenHub(level('good-skewer'), 2);
    expect(scoreRound(hub, standing(hub, 12)).offDeg).toBeGreaterThan(0);
  });
  test('never under nought or over a hundred', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...levels),
        fc.integer({ min: -180, max: 120 }),
        fc.integer({ min: 0, max: 40 }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (each, coneDeg, trials, harm) => {
          const hub = hiddenHub(each, 1);
          const { total } = scoreRound(hub, standing(hub, coneDeg, { trials, harm }));
          return total >= 0 && total <= 100;
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('the adviser in the practice room', () => {
  function played(hub: HiddenHub): HubState {
    const { pitchMm, squeezeDeg, tickDeg, smoothDeg } = hub.level;
    const trials: NonNullable<AdjustConeInput['trials']> = [];
    let state = freshState(hub);
    while (trials.length < 25) {
      const said = answer(bearingsAdjustCone, {
        pitchMm,
        allowanceDeg: squeezeDeg,
        bands: { tickDeg, smoothDeg },
        trials,
      });
      if (!said.ok) throw new Error(JSON.stringify(said.errors));
      const { next } = said.output;
      if (!next) break;
      if (next.turnDeg !== 0 || !state.locked)
        state = lockCone(hub, turnCone(hub, clampAxle(hub, unlockCone(state), false), next.turnDeg));
      state = clampAxle(hub, state, next.feelClamped);
      trials.push({ turnDeg: next.turnDeg, feel: handFeel(hub, state), clamped: state.clamped });
    }
    return state;
  }
  test.each(levels.map((each) => each.id))('%s: it scores well, by misreading hands', (id) => {
    const scores = Array.from({ length: 8 }, (_, i) => {
      const hub = hiddenHub(level(id), i + 1);
      return scoreRound(hub, played(hub)).total;
    });
    expect(scores.reduce((sum, score) => sum + score, 0) / scores.length).toBeGreaterThan(75);
  });
});

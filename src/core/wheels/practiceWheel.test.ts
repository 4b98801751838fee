import { answer } from '../calculator';
import { byTheEar, byTheEye, PRACTICE_WHEEL, WHEEL_LEVELS } from '../practice/wheelLevels';
import type { WheelFault } from '../practice/wheelFaults';
import { wheelsScore } from './score';
import { wheelsSpin } from './spin';
import { wheelsTrue } from './trueWheel';

const spin = (fault: WheelFault, seed: number, made: number[] = [], round = 0) => {
  const said = answer(wheelsSpin, { ...PRACTICE_WHEEL, fault, seed, made, round });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
};
const score = (fault: WheelFault, seed: number, made: number[], rounds: number, said: 'true' | 'metal') => {
  const told = answer(wheelsScore, { ...PRACTICE_WHEEL, fault, seed, made, rounds, said });
  if (!told.ok) throw new Error(JSON.stringify(told.errors));
  return told.output;
};
const spread = (of: readonly number[]) => Math.max(...of) - Math.min(...of);
const mean = (of: readonly number[]) => of.reduce((a, b) => a + b, 0) / of.length;

/** A wheel trued by the adviser, round by round. */
function byAdviser(fault: WheelFault, seed: number) {
  const made = Array.from({ length: PRACTICE_WHEEL.spokes }, () => 0);
  let rounds = 0;
  for (; rounds < 5; rounds++) {
    const { lateralMm, radialMm, tensionN, dishMm, seized } = spin(fault, seed, made, rounds);
    const stuck = made.flatMap((each, i) => (each !== 0 && seized.includes(i) ? [i] : []));
    const said = answer(wheelsTrue, { ...PRACTICE_WHEEL, readings: { lateralMm, radialMm, tensionN }, dishMm, stuck });
    if (!said.ok) throw new Error(JSON.stringify(said.errors));
    if (said.output.turns.length === 0) return { made, rounds, verdict: said.output.verdict };
    for (const { spoke, turns } of said.output.turns) made[spoke]! += turns;
  }
  return { made, rounds, verdict: 'unfinished' };
}

describe('the hidden wheels of the practice room', () => {
  test('each suffers from what its title says', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      expect(spread(spin('wobble', seed).lateralMm)).toBeGreaterThan(0.6);
      expect(spread(spin('hop', seed).radialMm)).toBeGreaterThan(0.6);
      expect(mean(spin('slack', seed).tensionN)).toBeLessThan(0.5 * mean(spin('wobble', seed).tensionN));
      expect(Math.abs(spin('middle', seed).dishMm)).toBeGreaterThan(1);
      expect(spin('seized', seed).seized).toHaveLength(1);
      expect(spread(spin('dent', seed).lateralMm)).toBeGreaterThan(1.5);
    }
  });

  test('a seized nipple may be turned as one likes: nothing moves', () => {
    const { seized } = spin('seized', 3);
    const made = Array.from({ length: 32 }, (_, i) => (i === seized[0] ? 2 : 0));
    expect(spin('seized', 3, made)).toEqual(spin('seized', 3));
  });

  test.each(WHEEL_LEVELS.filter(({ fault }) => fault !== 'dent').map(({ fault }) => [fault]))(
    'the adviser trues one that suffers from %s, and it scores',
    (fault) => {
      const totals = [1, 2, 3, 4].map((seed) => {
        const { made, rounds } = byAdviser(fault, seed);
        return score(fault, seed, made, rounds, 'true').total;
      });
      expect(totals.filter((total) => total >= 60).length).toBeGreaterThanOrEqual(3);
    },
  );

  test('untouched none of them is true; bent metal is right only where it is bent', () => {
    const untouched = Array.from({ length: 32 }, () => 0);
    for (const { fault } of WHEEL_LEVELS) {
      expect(score(fault, 2, untouched, 0, 'true').total).toBe(0);
      expect(score(fault, 2, untouched, 0, 'metal').total).toBe(fault === 'dent' ? 100 : 0);
    }
  });

  test('more nipples than the adviser and more rounds cost points, down to twenty', () => {
    const { made, rounds } = byAdviser('wobble', 1);
    const first = score('wobble', 1, made, rounds, 'true');
    expect(score('wobble', 1, made, rounds + 1, 'true').total).toBeLessThan(first.total);
    expect(score('wobble', 1, made, 99, 'true').total).toBe(20);
  });

  test('the eye sees fifths of a millimetre, the ear a tenth of tension and more', () => {
    expect(byTheEye(0.29)).toBeCloseTo(0.2, 9);
    const even = Array.from({ length: 8 }, (_, i): number => (i % 2 === 0 ? 900 : 500));
    expect(byTheEar(even, 0)).toBe('alike');
    expect(byTheEar(even, 1)).toBe('alike');
    expect(byTheEar(even.with(2, 600), 2)).toBe('lower');
    expect(byTheEar(even.with(2, 1400), 2)).toBe('higher');
  });
});

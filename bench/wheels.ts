import { answer } from '@/core/calculator';
import { wheelsTrue, type TrueQuestion } from '@/core/wheels/trueWheel';
import { hiddenOf, withoutPushing } from '@/core/wheels/madeUp';
import { uniformStream } from '@/core/money/streams';
import { neglected, readOff, type HiddenWheel, type WheelState } from '@/core/practice/wheel';
import { line, timed } from './line';

const WHEELS = [
  {
    spokes: 36,
    crossings: 3,
    rimRadiusMm: 301,
    flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 34, rightOffsetMm: 20 },
    rimClass: 'double-wall box alloy',
  },
  {
    spokes: 32,
    crossings: 3,
    rimRadiusMm: 300,
    flanges: { leftRadiusMm: 19, rightRadiusMm: 19, leftOffsetMm: 35, rightOffsetMm: 35 },
    rimClass: 'double-wall box alloy',
  },
  {
    spokes: 36,
    crossings: 3,
    rimRadiusMm: 304,
    flanges: { leftRadiusMm: 20, rightRadiusMm: 20, leftOffsetMm: 33, rightOffsetMm: 33 },
    rimClass: 'single-wall alloy',
  },
  {
    spokes: 28,
    crossings: 2,
    rimRadiusMm: 290,
    flanges: { leftRadiusMm: 22, rightRadiusMm: 22, leftOffsetMm: 36, rightOffsetMm: 18 },
    rimClass: 'deep alloy',
  },
] as const;

/** A hidden wheel of a class, so many times as stiff, and as it was neglected. */
export function hiddenWheel(
  seed: number,
  times: number | null = null,
): { wheel: HiddenWheel; of: (typeof WHEELS)[number]; turns: number[] } {
  const of = WHEELS[seed % WHEELS.length]!;
  const next = uniformStream(seed, 'hidden wheel');
  const stiff = times ?? (next() < 0.5 ? 0.7 : 1.3);
  const { wheel } = hiddenOf({ ...of, mirrored: false }, stiff, 0.95);
  const turns = withoutPushing(wheel, neglected(seed, of.spokes), 80);
  return { wheel, of, turns };
}

const spread = (of: readonly number[]) => Math.max(...of) - Math.min(...of);

/** Whether a wheel truly lies inside: half a millimetre sideways, six tenths up and down, tension within a quarter of its side. */
export function isTrue({ lateralMm, radialMm, tensionN }: WheelState, byTension: boolean): boolean {
  if (spread(lateralMm) > 0.5 || spread(radialMm) > 0.6) return false;
  if (!byTension) return true;
  return [0, 1].every((side) => {
    const mine = tensionN.filter((_, i) => i % 2 === side);
    const usual = mine.reduce((a, b) => a + b, 0) / mine.length;
    return mine.every((each) => Math.abs(each - usual) <= usual / 4);
  });
}

export interface Trued {
  rounds: number;
  nipples: number;
  isTrue: boolean;
  verdict: string;
}

const MOST_ROUNDS = 4;

/** A wheel trued by the adviser: read, turned with a tenth lost, read again. */
export function trueByAdviser(seed: number, byTension: boolean, times: number | null = null): Trued {
  const { wheel, of, turns } = hiddenWheel(seed, times);
  const history: NonNullable<TrueQuestion['history']> = [];
  let nipples = 0;
  let rounds = 0;
  let verdict = '';
  for (let round = 0; round <= MOST_ROUNDS; round++) {
    const read = readOff(wheel.stands(turns), seed, round);
    const readings = {
      lateralMm: read.lateralMm,
      radialMm: read.radialMm,
      ...(byTension && { tensionN: read.tensionN }),
    };
    if (history.length > 0) history.at(-1)!.after = readings;
    const said = answer(wheelsTrue, { ...of, readings, history });
    if (!said.ok) throw new Error(JSON.stringify(said));
    verdict = said.output.verdict;
    if (said.output.turns.length === 0) break;
    if (round === MOST_ROUNDS) break;
    rounds++;
    nipples += said.output.turns.length;
    for (const { spoke, turns: made } of said.output.turns) turns[spoke]! += 0.9 * made;
    history.push({ turns: said.output.turns, before: readings, after: readings });
  }
  return { rounds, nipples, isTrue: isTrue(wheel.stands(turns), byTension), verdict };
}

/** How far the first and the second round of a wheel miss what they promised, sideways, with what the first one taught and without. */
export function misses(seed: number, times: number, learns: boolean): number[] {
  const { wheel, of, turns } = hiddenWheel(seed, times);
  const history: NonNullable<TrueQuestion['history']> = [];
  return [0, 1].map((round) => {
    const { lateralMm, radialMm } = readOff(wheel.stands(turns), seed, round);
    const readings = { lateralMm, radialMm };
    if (history.length > 0) history.at(-1)!.after = readings;
    // Held tighter the second time, so that there is a round to make.
    const limits = round === 0 ? {} : { lateralMm: 0.25, radialMm: 0.35 };
    const said = answer(wheelsTrue, { ...of, readings, limits, history: learns ? history : [] });
    if (!said.ok) throw new Error(JSON.stringify(said));
    for (const { spoke, turns: made } of said.output.turns) turns[spoke]! += 0.9 * made;
    history.push({ turns: said.output.turns, before: readings, after: readings });
    return Math.abs(spread(wheel.stands(turns).lateralMm) - said.output.predicted.lateralMm);
  });
}

/** The worst spot chased by eye: a quarter turn on the two to four nipples there, until the eye is content. */
export function trueByEye(seed: number): Trued {
  const { wheel, of, turns } = hiddenWheel(seed);
  let nipples = 0;
  let rounds = 0;
  for (; rounds < 40; rounds++) {
    const { lateralMm, radialMm } = readOff(wheel.stands(turns), seed, rounds);
    const middle = (Math.max(...lateralMm) + Math.min(...lateralMm)) / 2;
    const hub = (Math.max(...radialMm) + Math.min(...radialMm)) / 2;
    if (spread(lateralMm) <= 0.5 && spread(radialMm) <= 0.6) break;
    const n = of.spokes;
    if (spread(radialMm) > 0.6 && spread(radialMm) / 0.6 > spread(lateralMm) / 0.5) {
      const at = radialMm.reduce(
        (worst, each, i) => (Math.abs(each - hub) > Math.abs(radialMm[worst]! - hub) ? i : worst),
        0,
      );
      const by = radialMm[at]! > hub ? 0.25 : -0.25;
      for (const each of [at, (at + 1) % n]) turns[each]! += 0.9 * by;
      nipples += 2;
      continue;
    }
    const at = lateralMm.reduce(
      (worst, each, i) => (Math.abs(each - middle) > Math.abs(lateralMm[worst]! - middle) ? i : worst),
      0,
    );
    const isLeft = lateralMm[at]! > middle;
    for (const each of [at - 1, at, at + 1].map((i) => (i + n) % n)) {
      // Off to the left: those of the right side draw it back, those of the left let go.
      turns[each]! += 0.9 * ((each % 2 === 0) === isLeft ? -0.25 : 0.25);
      nipples++;
    }
  }
  return { rounds, nipples, isTrue: isTrue(wheel.stands(turns), false), verdict: '' };
}

export function trueWheels(count: number, way: (seed: number) => Trued) {
  const runs = Array.from({ length: count }, (_, i) => way(i + 1));
  const rounds = runs.map((run) => run.rounds).toSorted((a, b) => a - b);
  return {
    inside: runs.filter((run) => run.isTrue).length / count,
    within2: runs.filter((run) => run.isTrue && run.rounds <= 2).length / count,
    medianRounds: rounds[Math.floor(count / 2)]!,
    nipples: runs.reduce((sum, run) => sum + run.nipples, 0) / count,
  };
}

/** The adviser beside the worst spot chased by eye, on hidden wheels of other physics. */
export function measureWheels(): void {
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  for (const byTension of [true, false]) {
    const with_ = byTension ? 'with tension' : 'without tension';
    const adviser = trueWheels(120, (seed) => trueByAdviser(seed, byTension));
    line(`wheels inside after two rounds at most, ${with_}`, percent(adviser.within2), 'aim 95 %');
    line(`wheels, rounds at the median, ${with_}`, String(adviser.medianRounds), 'aim 1');
    line(`wheels, nipples turned on the mean, ${with_}`, adviser.nipples.toFixed(1), `aim ${byTension ? 18 : 12}`);
  }
  const [taught, untaught] = [true, false].map((learns) => {
    const all = Array.from({ length: 60 }, (_, i) => misses(i + 1, 0.5, learns));
    return [0, 1].map((round) => all.reduce((sum, each) => sum + each[round]!, 0) / all.length);
  });
  line(
    'a rim half as stiff: its second round misses by',
    `${taught![1]!.toFixed(3)} mm`,
    `the first ${taught![0]!.toFixed(3)}; the second unlearnt ${untaught![1]!.toFixed(3)}`,
  );
  const { wheel, of, turns } = hiddenWheel(3);
  const readings = readOff(wheel.stands(turns), 3, 0);
  line(
    'a round planned, the wheel known, Node',
    `${timed(15, () => answer(wheelsTrue, { ...of, readings })).toFixed(1)} ms`,
    'aim under 50 ms',
  );
  const eye = trueWheels(60, trueByEye);
  line('wheels by eye: inside, nipples', `${percent(eye.inside)}, ${eye.nipples.toFixed(1)}`, 'for comparison');
}

import { buyAppraise } from '@/core/buy/appraise';
import { buyLearn } from '@/core/buy/learn';
import { doorChecks } from '@/core/buy/data/doorChecks';
import { answer } from '@/core/calculator';
import { uniformStream } from '@/core/money/streams';
import { kindOfPlace, WORK_KINDS, type WorkKind } from '@/core/money/workKinds';
import type { LearntInUse } from '@/core/money/learnt';
import { inUse, lessonsOf } from '@/model/books/learnt';
import { gatherLessons } from '@/model/buy/lessons';

/**
 * A made-up workshop with habits that nobody told: how many times its estimates each kind of work takes, what its bicycles fetch of what is thought, what is really
 * bad at the doors. None is drawn from the model's own distributions: habits are a mixture of usual ones and of a few that are far off, noise is
 * two-sided exponential, and chances are off by whole multiples.
 */
export interface HiddenShop {
  times: Record<WorkKind, number>;
  /** Spread of one job about its habit, of the logarithm. */
  noise: number;
  fetched: number;
  chances: Record<string, number>;
}

const CHANCE_TIMES = [0.5, 1, 1, 1, 2, 3] as const;
const JOBS = doorChecks.filter(({ stop, minutesLikely }) => stop === 'no' && minutesLikely > 0);
const [KIND_JOBS] = [
  JOBS.map(({ id, place, minutesLow, minutesLikely, minutesHigh }) => ({
    id,
    kind: kindOfPlace(place),
    estimateMin: { low: minutesLow, likely: minutesLikely, high: minutesHigh },
  })),
];

/** Noise with long tails, of a spread: two-sided exponential. */
function wide(spread: number, next: () => number): number {
  const u = next() - 0.5;
  return (-Math.sign(u) * Math.log(Math.max(1e-9, 1 - 2 * Math.abs(u))) * spread) / Math.SQRT2;
}

export function hiddenShop(seed: number): HiddenShop {
  const next = uniformStream(seed, 'hidden shop');
  const house = 0.9 + next() * 0.9;
  const times = Object.fromEntries(
    WORK_KINDS.map((kind) => [kind, house * (next() < 0.3 ? 1.5 + next() * 0.9 : 0.85 + next() * 0.3)]),
  ) as Record<WorkKind, number>;
  return {
    times,
    noise: 0.25 + next() * 0.2,
    fetched: 0.8 + next() * 0.3,
    chances: Object.fromEntries(
      doorChecks.map(({ id, chance }) => [
        id,
        Math.min(0.95, chance * CHANCE_TIMES[Math.floor(next() * CHANCE_TIMES.length)]!),
      ]),
    ),
  };
}

/** Bicycles that went through the shop: jobs with what they took, what they fetched, what was said at their doors. */
export function finishedIn(shop: HiddenShop, count: number, seed: number) {
  const next = uniformStream(seed, 'finished');
  const bicycles = Array.from({ length: count }, () => {
    const door = Object.fromEntries(
      doorChecks.map(({ id }) => [id, next() < shop.chances[id]! ? ('bad' as const) : ('fine' as const)]),
    );
    // What is bad is worked at, and some of the rest is gone through anyway.
    const jobs = KIND_JOBS.filter(({ id }) => door[id] === 'bad' || next() < 0.18).map(({ kind, estimateMin }) => ({
      job: kind,
      estimateMin,
      actualMin: Math.max(1, estimateMin.likely * shop.times[kind] * Math.exp(wide(shop.noise, next))),
    }));
    const likely = 20_000 + Math.round(next() * 30_000);
    return {
      door,
      jobs,
      sale: {
        predicted: { low: Math.round(likely * 0.87), likely, high: Math.round(likely * 1.13) },
        sold: Math.max(1, Math.round(likely * shop.fetched * Math.exp(wide(0.12, next)))),
      },
    };
  });
  return {
    jobs: bicycles.flatMap(({ jobs }) => jobs),
    sales: bicycles.map(({ sale }) => sale),
    door: gatherLessons(bicycles.map(({ door }) => door)),
  };
}

/** What the shop has learnt from these, every lesson that is told answered with a yes. */
export function learntBy(finished: ReturnType<typeof finishedIn>): {
  learnt: LearntInUse;
  minutes: { job: string; predict: { p10: number; p90: number } }[];
} {
  const said = answer(buyLearn, finished);
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  const nothing = { learnt: {} };
  const yes = Object.fromEntries(
    lessonsOf(said.output, nothing)
      .filter(({ isTold }) => isTold)
      .map(({ key }) => [key, 'yes' as const]),
  );
  return { learnt: inUse(said.output, { learnt: yes }), minutes: said.output.minutes };
}

/** As somebody would reckon who knows every habit. */
export function knownBy({ times, noise, fetched, chances }: HiddenShop): LearntInUse {
  // Four in five of a two-sided exponential of this spread.
  const reach = (noise / Math.SQRT2) * Math.log(5);
  return {
    minutes: Object.fromEntries(
      WORK_KINDS.map((kind) => [
        kind,
        { factor: times[kind], p10: times[kind] * Math.exp(-reach), p90: times[kind] * Math.exp(reach), cases: 1 },
      ]),
    ),
    resale: { factor: fetched, cases: 1 },
    chances: Object.fromEntries(Object.entries(chances).map(([line, chance]) => [line, { chance, cases: 1, seen: 0 }])),
  };
}

/** The ceiling of a lead of which a few lines are known, in minor units, as somebody would reckon who has learnt this. */
export function ceilingOf(lead: number, learnt: LearntInUse): number {
  const next = uniformStream(lead, 'lead');
  const asked = doorChecks.filter(({ stop }) => stop === 'no');
  const door = Object.fromEntries(
    asked.flatMap(({ id }) => {
      const at = next();
      return at < 0.15 ? [[id, 'bad']] : at < 0.5 ? [[id, 'fine']] : [];
    }),
  );
  const likely = 45_000 + Math.round(next() * 45_000);
  const said = answer(buyAppraise, {
    door,
    learnt,
    currency: 'EUR',
    asking: 10_000,
    resale: { low: Math.round(likely * 0.87), likely, high: Math.round(likely * 1.13) },
    target: { kind: 'hourly', amount: 1500 },
    lines: [
      {
        id: 'ordinary',
        label: 'Ordinary work',
        kind: 'standing',
        chance: 1,
        parts: { low: 1200, likely: 2000, high: 3200 },
        minutes: { low: 200, likely: 260, high: 330 },
      },
    ],
  });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output.appraisal?.ceiling ?? 0;
}

/** Whether the next jobs of a shop lie in the four in five that were promised: how many did, of how many. */
export function heldBy(
  shop: HiddenShop,
  minutes: readonly { job: string; predict: { p10: number; p90: number } }[],
  seed: number,
) {
  const next = uniformStream(seed, 'next jobs');
  const each = minutes.flatMap(({ job, predict }) =>
    Array.from({ length: 20 }, () => {
      const times = shop.times[job as WorkKind] * Math.exp(wide(shop.noise, next));
      return predict.p10 <= times && times <= predict.p90;
    }),
  );
  return { held: each.filter(Boolean).length, of: each.length };
}

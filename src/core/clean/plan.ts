import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, moreThan } from '../numbers';
import { finishedBy, whatFollows } from './afterwards';
import { neverTogether, processes } from './data/processes';
import { packLoads, volumeBound } from './pack';
import { bathProcess, materialName, SOILS, waysFor, type Way } from './ways';

const partInput = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(120)),
  label: z
    .optional(z.string().check(z.minLength(1), z.maxLength(120)))
    .check(z.describe('its words, where it is told by name; its id without')),
  materials: z.array(materialName).check(z.minLength(1), z.maxLength(10)),
  soil: z.enum(SOILS),
  volumeMl: z.number().check(z.gt(0), z.lte(1_000_000)),
  brakeTrack: z._default(z.boolean(), false).check(z.describe('a brake works on it, as on the track of a rim')),
  waxed: z._default(z.boolean(), false).check(z.describe('a waxed chain runs there: nothing oily follows')),
});
const bathInput = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(80)),
  process: bathProcess,
  capacityMl: z.number().check(z.gt(0), z.lte(10_000_000)),
  fillShare: z._default(z.number().check(z.gt(0), z.lte(1)), 0.6).check(z.describe('share of it that parts may fill')),
  busyMinutes: z
    ._default(z.number().check(z.gte(0), z.lte(100_000)), 0)
    .check(z.describe('how long what runs in it still takes')),
});

const shape = z
  .strictObject({ parts: z.array(partInput).check(z.maxLength(300)), baths: z.array(bathInput).check(z.maxLength(30)) })
  .check(z.describe('materials, soils and processes as the cleaning tables name them; every id once'));

const twice = (ids: string[]) => ids.find((id, i) => ids.indexOf(id) !== i);
type Plan = z.output<typeof shape>;
const input = rule(
  rule(
    shape,
    ['parts'],
    (v) => twice(v.parts.map((p) => p.id)) === undefined,
    (v) => `"${twice(v.parts.map((p) => p.id))}" is there twice: give every part an id of its own`,
  ),
  ['baths'],
  (v) => twice(v.baths.map((bath) => bath.id)) === undefined,
  (v) => `"${twice(v.baths.map((bath) => bath.id))}" is there twice: give every bath an id of its own`,
);
export type CleanPlanInput = z.input<typeof shape>;
type Part = z.output<typeof partInput>;
type Bath = z.output<typeof bathInput>;

export interface Load {
  bathId: string;
  process: string;
  partIds: string[];
  minutes: number;
  /** Strictest longest time of its parts; null where none is known. */
  maxMinutes: number | null;
  tempC: number | null;
  after: string[];
  cautions: string[];
  /** When it can go in, counted from now: baths run side by side, loads of one bath one after the other. */
  startMinute: number;
  handlingMinutes: number;
  /** Whether each part is asked about before it goes in: hardened steel must not. */
  asksHardened: boolean;
}

export interface CleanPlan {
  loads: Load[];
  byHand: {
    partId: string;
    process: string;
    verdict: 'good' | 'caution';
    minutes: number;
    after: string[];
    cautions: string[];
  }[];
  refused: { partId: string; reason: string }[];
  totals: {
    /** What is done by hand, part by part. */
    handsMinutes: number;
    /** What the loads take in the baths, one after the other. */
    waitMinutes: number;
    /** Putting in, lifting out, rinsing and drying of the loads. */
    handlingMinutes: number;
    /** From now until the last load is out. */
    untilLastOutMinutes: number;
  };
  neverTogether: { process: string; with: string; why: string }[];
  /** Fewest loads that the volumes alone would allow. */
  volumeBound: number;
  reasons: string[];
}

const filling = (bath: Bath) => bath.capacityMl * bath.fillShare;

/** The first way that is open with the baths that are there: good for all of its materials before caution for any. */
function openWay(part: Part, ways: Way[], baths: Bath[]): Way | null {
  const open = (way: Way) =>
    way.verdict !== 'never' &&
    (way.where === 'hand' ||
      baths.some((bath) => bath.process === way.process && atLeast(filling(bath), part.volumeMl)));
  return (
    ways.find((way) => way.verdict === 'good' && open(way)) ??
    ways.find((way) => way.verdict === 'caution' && open(way)) ??
    null
  );
}

function refusal(part: Part, ways: Way[]): string {
  const finished = finishedBy(part.materials, part.soil);
  if (finished) return `${finished}.`;
  const shut = ways.find((way) => way.verdict !== 'never');
  if (shut) return `Only ${shut.process} would do, and no bath for it is here or large enough.`;
  const [first] = ways;
  return `Every process is forbidden for it${first?.notes[0] ? `. ${first.process}: ${first.notes[0]}` : ''}.`;
}

const cautionsOf = (way: Way): string[] => [
  ...processes.get(way.process)!.cautions,
  ...(way.verdict === 'caution' ? way.notes.slice(0, 2) : []),
  ...(way.ppe.length ? [`Wear: ${[...new Set(way.ppe.flatMap((words) => words.split(', ')))].join(', ')}`] : []),
];

const distinct = (lists: string[][]): string[] => [...new Set(lists.flat())];
const strictest = (values: (number | null)[]): number | null => {
  const known = values.filter((value) => value !== null);
  return known.length ? Math.min(...known) : null;
};

/**
 * The wash: which parts share which bath, for how long and how warm, and what is done by hand.
 *
 * Each part takes the first process of its soil that none of its materials forbids, good for all before caution for any; a
 * bath only where the workshop has it and it holds the part. A load lasts the longest least time of its parts, never longer
 * than the strictest longest one, at the strictest temperature; parts share it only where these agree, and there are as few
 * loads as that and the filling (capacity · fillShare) allow. What follows fits the material: oil on what rusts bare, nothing
 * oily or waxy on pads, discs and the tracks of rims; pads that took up oil are refused. Baths of one process take the smallest that holds the load.
 *
 * Units: millilitres, minutes, °C. Errors: a material or process that no table has, an id twice. Source: the cleaning and
 * soil tables. Example: a steel chain and cassette share a hot load; an anodised derailleur never goes hot.
 */
function run({ parts, baths }: Plan): CleanPlan {
  const chosen = parts.map((part) => {
    const ways = waysFor(part.materials, part.soil, part.brakeTrack);
    return { part, ways, way: openWay(part, ways, baths) };
  });
  const bathed = chosen.flatMap(({ part, way }) => (way?.where === 'bath' ? [{ part, way }] : []));
  const wayOf = new Map(bathed.map(({ part, way }) => [part.id, way]));
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const free = new Map(baths.map((bath) => [bath.id, bath.busyMinutes]));
  let bound = 0;

  const loads = [...new Set(bathed.map(({ way }) => way.process))].flatMap((process) => {
    const tubs = baths.filter((bath) => bath.process === process).sort((a, b) => filling(a) - filling(b));
    const largest = filling(tubs.at(-1)!);
    const items = bathed
      .filter(({ way }) => way.process === process)
      .map(({ part: { id, volumeMl }, way: { minMinutes, maxMinutes } }) => ({ id, volumeMl, minMinutes, maxMinutes }));
    bound += volumeBound(items, largest);
    return packLoads(items, largest).map((load): Load => {
      const volume = load.reduce((sum, item) => sum + item.volumeMl, 0);
      const ways = load.map((item) => wayOf.get(item.id)!);
      const minutes = Math.max(...load.map((item) => item.minMinutes));
      const able = tubs.filter((bath) => !moreThan(volume, filling(bath)));
      const bath = able.reduce((soonest, each) => (free.get(each.id)! < free.get(soonest.id)! ? each : soonest));
      const { handlingMinutes, asksHardened } = processes.get(process)!;
      const startMinute = free.get(bath.id)!;
      free.set(bath.id, startMinute + minutes + handlingMinutes);
      return {
        bathId: bath.id,
        process,
        partIds: load.map((item) => item.id),
        minutes,
        maxMinutes: strictest(load.map((item) => item.maxMinutes)),
        tempC: strictest(ways.map((way) => way.maxTempC)),
        after: whatFollows(
          process,
          load.map((item) => partOf.get(item.id)!),
        ),
        cautions: distinct(ways.map(cautionsOf)),
        startMinute,
        handlingMinutes,
        asksHardened: asksHardened === 'yes',
      };
    });
  });
  const byHand = chosen.flatMap(({ part, way }) =>
    way?.where === 'hand'
      ? [
          {
            partId: part.id,
            process: way.process,
            verdict: way.verdict as 'good' | 'caution',
            minutes: way.minMinutes,
            after: whatFollows(way.process, [part]),
            cautions: cautionsOf(way),
          },
        ]
      : [],
  );
  const refused = chosen.flatMap(({ part, ways, way }) =>
    way ? [] : [{ partId: part.id, reason: refusal(part, ways) }],
  );
  const used = new Set([...loads, ...byHand].map((each) => each.process));
  const apart = neverTogether.filter(
    (row) => used.has(row.process) && (used.has(row.with) || row.with === 'chlorine bleach'),
  );
  return {
    loads,
    byHand,
    refused,
    totals: {
      handsMinutes: byHand.reduce((sum, each) => sum + each.minutes, 0),
      waitMinutes: loads.reduce((sum, load) => sum + load.minutes, 0),
      handlingMinutes: loads.reduce((sum, load) => sum + load.handlingMinutes, 0),
      untilLastOutMinutes: Math.max(0, ...loads.map((load) => load.startMinute + load.minutes)),
    },
    neverTogether: apart.map(({ process, with: other, why }) => ({ process, with: other, why })),
    volumeBound: bound,
    reasons: reasonsOf(loads, byHand.length, refused.length, bound),
  };
}

function reasonsOf(loads: Load[], hand: number, refused: number, bound: number): string[] {
  const many = (n: number, one: string, more: string) => `${n} ${n === 1 ? one : more}`;
  return [
    ...(loads.length
      ? [
          loads.length > bound
            ? `${many(loads.length, 'load', 'loads')}: times or sizes keep some parts apart; by volume alone ${bound} would do.`
            : `${many(loads.length, 'load', 'loads')}, as few as the volume allows.`,
        ]
      : []),
    ...(hand ? [`${many(hand, 'part', 'parts')} by hand: no bath that is here is the mildest way for it.`] : []),
    ...(refused
      ? [`${many(refused, 'part stays', 'parts stay')} uncleaned: nothing in the table is safe for it.`]
      : []),
  ];
}

export const cleanPlan = defineCalculator({
  id: 'clean.plan',
  title: 'The wash, load by load',
  example: {
    parts: [{ id: 'chain', materials: ['plain steel'], soil: 'oil', volumeMl: 120 }],
    baths: [{ id: 'hot', process: 'hot ultrasonic, water-based degreaser', capacityMl: 3000 }],
  },
  input,
  run,
});

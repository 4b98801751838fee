import { newBicycle } from '../fresh';
import type { Job } from '../decide/part';
import type { Bicycle } from '../record';
import type { Ago } from './ago';

const DAY = 24;
/** Hours of a kind of work as they were thought, and how many times as long this workshop takes. */
const WORK = {
  'rim.rear': { title: 'True the rear wheel', likely: 35, times: 2.6 },
  'hub.front': { title: 'Overhaul the front hub', likely: 50, times: 1.05 },
  'brake.rear': { title: 'Set up the rear brake', likely: 25, times: 1.2 },
  chain: { title: 'Renew the chain', likely: 25, times: 0.9 },
  frame: { title: 'Wash and polish', likely: 60, times: 1.1 },
} as const;
type Place = keyof typeof WORK;

interface Finished {
  id: string;
  name: string;
  soldDaysAgo: number;
  paid: number;
  parts: number;
  thought: number;
  sold: number;
  /** What the seller wrote, and what the bicycle is ridden as. */
  advert: string;
  use: Bicycle['size']['use'];
  /** Lines of the door check that were bad; the others in reach were fine. */
  bad: readonly string[];
  /** Minutes besides: washing, cables, photographs, and what nobody had reckoned with. */
  besides: number;
  /** Each place that was worked at, and by how much this one differed from the workshop's habit. */
  work: readonly (readonly [Place, number])[];
}

/** A year of bicycles that went out: invented, and each a little otherwise. */
const FINISHED: readonly Finished[] = [
  {
    id: 'quay-roadster',
    name: 'Quay roadster',
    soldDaysAgo: 346,
    paid: 4000,
    parts: 4350,
    thought: 16000,
    sold: 15500,
    advert: "Roadster of my uncle's, it just needs a new chain.",
    use: 'city',
    bad: ['cables', 'tyres'],
    besides: 515,
    work: [
      ['rim.rear', 1.1],
      ['hub.front', 1],
      ['frame', 0.9],
    ],
  },
  {
    id: 'pilot-tourer',
    name: 'Pilot tourer',
    soldDaysAgo: 301,
    paid: 9000,
    parts: 4120,
    thought: 29000,
    sold: 30500,
    advert: 'Touring bicycle, serviced two years ago, rides well.',
    use: 'touring',
    bad: ['cables'],
    besides: 255,
    work: [
      ['rim.rear', 0.9],
      ['brake.rear', 1],
      ['chain', 1.1],
    ],
  },
  {
    id: 'net-loft-mixte',
    name: 'Net loft mixte',
    soldDaysAgo: 262,
    paid: 2500,
    parts: 1890,
    thought: 14000,
    sold: 13000,
    advert: 'Stood in the attic for years, some patina. All it needs is air.',
    use: 'city',
    bad: ['tyres'],
    besides: 300,
    work: [
      ['hub.front', 0.95],
      ['brake.rear', 1.1],
      ['frame', 1],
    ],
  },
  {
    id: 'tide-table-racer',
    name: 'Tide table racer',
    soldDaysAgo: 214,
    paid: 12000,
    parts: 8200,
    thought: 38000,
    sold: 36500,
    advert: 'Only needs a chain, otherwise in top condition.',
    use: 'road',
    bad: ['cables', 'hub-rear'],
    besides: 600,
    work: [
      ['rim.rear', 1.15],
      ['chain', 1],
      ['brake.rear', 1.2],
    ],
  },
  {
    id: 'buoy-yellow-three',
    name: 'Buoy-yellow three-speed',
    soldDaysAgo: 170,
    paid: 3000,
    parts: 1460,
    thought: 15000,
    sold: 16000,
    advert: 'Hardly used three-speed, stored in the cellar.',
    use: 'city',
    bad: ['cables'],
    besides: 280,
    work: [
      ['hub.front', 1.1],
      ['frame', 1.15],
    ],
  },
  {
    id: 'lock-keeper',
    name: 'Lock keeper’s bicycle',
    soldDaysAgo: 121,
    paid: 6000,
    parts: 9340,
    thought: 21000,
    sold: 17500,
    advert: 'Just needs a chain and a bit of work, must go this week.',
    use: 'touring',
    bad: ['cables', 'tyres', 'hub-front'],
    besides: 640,
    work: [
      ['rim.rear', 1],
      ['hub.front', 1.1],
      ['chain', 0.9],
      ['frame', 1],
    ],
  },
  {
    id: 'customs-shed',
    name: 'Customs shed commuter',
    soldDaysAgo: 88,
    paid: 5000,
    parts: 2210,
    thought: 19000,
    sold: 19500,
    advert: 'Ready to ride, everything works.',
    use: 'city',
    bad: ['cables'],
    besides: 235,
    work: [
      ['brake.rear', 0.9],
      ['chain', 1.05],
    ],
  },
  {
    id: 'harbour-light',
    name: 'Harbour light',
    soldDaysAgo: 37,
    paid: 8000,
    parts: 5080,
    thought: 30000,
    sold: 29000,
    advert: 'Serviced, just needs new tyres.',
    use: 'road',
    bad: ['cables', 'tyres'],
    besides: 480,
    work: [
      ['rim.rear', 1.05],
      ['brake.rear', 1],
      ['frame', 0.95],
    ],
  },
];

/** Lines of the door check that were looked at on each. */
const AT_DOOR = ['cables', 'tyres', 'hub-front', 'hub-rear', 'chain'] as const;

const spread = (likely: number) => ({ low: Math.round(likely * 0.6), likely, high: Math.round(likely * 1.6) });

function finished(
  { id, name, soldDaysAgo, paid, parts, thought, sold, advert, use, bad, besides, work }: Finished,
  ago: Ago,
): Bicycle {
  const at = ago(DAY * soldDaysAgo);
  const bicycle = newBicycle(id, ago(DAY * (soldDaysAgo + 24)), name);
  const jobs = work.map(([place]): Job => ({
    id: `${id}-${place}`,
    rule: null,
    title: WORK[place].title,
    place,
    minutes: spread(WORK[place].likely),
    parts: { low: 0, likely: 0, high: 0 },
    decision: 'keep',
    reason: '',
    done: true,
    approval: null,
    declined: null,
  }));
  return {
    ...bicycle,
    lead: { ...bicycle.lead, advert },
    size: { ...bicycle.size, use },
    door: Object.fromEntries(
      AT_DOOR.map((line) => [
        line,
        { answer: bad.includes(line) ? 'bad' : 'fine', at: ago(DAY * (soldDaysAgo + 24)), by: '' },
      ]),
    ),
    purchase: { paid, at: ago(DAY * (soldDaysAgo + 24)) },
    appraisal: {
      ...bicycle.appraisal,
      resale: { low: Math.round(thought * 0.87), likely: thought, high: Math.round(thought * 1.13) },
    },
    jobs,
    lines: [{ id: `${id}-parts`, label: 'Parts and consumables', kind: 'part', paid: parts, packQty: 1, usedQty: 1 }],
    minutes: [
      { id: `${id}-besides`, stage: 'clean' as const, minutes: besides, at, place: null },
      ...work.map(([place, otherwise]) => ({
        id: `${id}-${place}-time`,
        stage: 'rebuild' as const,
        minutes: Math.round(WORK[place].likely * WORK[place].times * otherwise),
        at,
        place,
        job: `${id}-${place}`,
      })),
    ],
    sale: { price: sold, fee: 0, on: at.slice(0, 10) },
    archivedAt: at,
  };
}

export const year = (ago: Ago): Bicycle[] => FINISHED.map((each) => finished(each, ago));

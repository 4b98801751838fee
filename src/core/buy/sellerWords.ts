import * as z from 'zod/mini';
import { bicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { minorUnits } from '../fields';
import { countWords } from '../money/countWords';
import { pertMean } from '../money/pert';
import { roundHalfUp } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { sellerWords as phrases } from './data/sellerWords';
import { doorLines } from './door';

const id = z.string().check(z.minLength(1), z.maxLength(80));
const minutes = z.number().check(z.gte(0), z.lte(10_000_000));

const input = z.strictObject({
  ratePerHour: minorUnits.check(z.describe('what an hour counts')),
  bicycles: z
    .array(
      z.strictObject({
        id,
        kind: z.prefault(bicycleKind, {}),
        advert: z.string().check(z.maxLength(2000)),
        said: z._default(z.record(z.string().check(z.maxLength(20)), z.string().check(z.maxLength(20))), {}),
        door: z._default(z.record(id, z.enum(['fine', 'bad'])), {}),
        /** The ordinary work as it was expected. */
        ordinary: z.strictObject({ parts: z.number().check(z.gte(0)), minutes }),
        took: z.strictObject({ parts: z.number().check(z.gte(0)), minutes }),
        /** Minutes that went into it, by kind of work. */
        work: z._default(z.record(id, minutes), {}),
      }),
    )
    .check(z.maxLength(5000)),
});
type Question = z.output<typeof input>;
type Told = Question['bicycles'][number];

export interface WordsCost {
  id: string;
  label: string;
  cases: number;
  /** What these bicycles took over what the door check let expect, drawn towards what all of them took while they are few; minor units, negative where it was less. */
  over: number;
  /** Four in five of such means lie between. */
  low: number;
  high: number;
  /** What the hours went into, most first. */
  meant: string[];
  words: string;
}

export interface SellerWordsCost {
  phrases: WordsCost[];
  /** Over all bicycles. */
  over: number;
  reasons: string[];
  working: WorkingRow[];
}

/** Bicycles with a phrase, beside all of them, weigh as if so many more had taken what all do. */
const ALL_WEIGH = 3;
const LEAST_CASES = 2;
const MOST_MEANT = 3;
const Z80 = 1.2816;

const ANSWERS: Record<string, string> = {
  'kept:indoors': '“Kept indoors”',
  'kept:shed': '“Kept in a shed”',
  'crashed:no': '“Never crashed”',
  'crashed:unsure': '“Crashed? Not sure”',
  'ridden:week': '“Ridden last week”',
  'ridden:years': '“Not ridden for years”',
};

const plain = (text: string) => ` ${text.toLowerCase().replaceAll(/[^\p{L}\p{N}]+/gu, ' ')} `;

/** What a seller said of one bicycle, by phrase: turns of phrase in the advertisement, and answers that were given. */
function saidOf({ advert, said }: Pick<Told, 'advert' | 'said'>): string[] {
  const text = plain(advert);
  return [
    ...phrases.filter((each) => each.said.split('|').some((turn) => text.includes(plain(turn)))).map((each) => each.id),
    ...Object.entries(said)
      .map(([question, answer]) => `${question}:${answer}`)
      .filter((key) => Object.hasOwn(ANSWERS, key)),
  ];
}

/** What a bicycle took over what its door let expect. */
function overOf({ kind, door, said, ordinary, took }: Told, ratePerHour: number): number {
  const lines = doorLines(kind, door, {}, {}, said);
  const parts = lines.reduce((sum, line) => sum + line.chance * pertMean(line.parts), ordinary.parts);
  const time = lines.reduce((sum, line) => sum + line.chance * pertMean(line.minutes), ordinary.minutes);
  return took.parts - parts + ((took.minutes - time) * ratePerHour) / 60;
}

/** The kinds of work that took the most minutes. */
function meantBy(told: readonly Told[]): string[] {
  const sums = new Map<string, number>();
  for (const { work } of told)
    for (const [kind, spent] of Object.entries(work)) sums.set(kind, (sums.get(kind) ?? 0) + spent);
  return [...sums]
    .filter(([, spent]) => spent > 0)
    .toSorted(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))
    .slice(0, MOST_MEANT)
    .map(([kind]) => kind);
}

const mean = (list: readonly number[]) =>
  list.toSorted((a, b) => a - b).reduce((sum, each) => sum + each, 0) / Math.max(1, list.length);

const listed = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;

/**
 * Which words of sellers cost most: what finished bicycles took, in parts and hours, over what their door check and the ordinary work let expect,
 * by what was said of them. The mean of a phrase is drawn towards that of all bicycles, which weigh as three more; its spread is that of all.
 *
 * Units: minor units, minutes. Errors: none beside the schema’s. Source: shrunk means; the table of turns of phrase. The order of the bicycles does not matter.
 * Example: four that “just need a chain” and took 90.00 more than expected, among twelve that took 10.00 more → some 56.00, and what it meant.
 */
export const buySellerWords = defineCalculator({
  id: 'buy.sellerWords',
  title: 'Which words of sellers cost most',
  example: {
    ratePerHour: 1500,
    bicycles: [
      {
        id: 'a',
        advert: 'Lovely tourer, just needs a chain.',
        ordinary: { parts: 2000, minutes: 260 },
        took: { parts: 6400, minutes: 610 },
        work: { hubs: 140, wheels: 120 },
      },
      {
        id: 'b',
        advert: 'Just needs air.',
        ordinary: { parts: 2000, minutes: 260 },
        took: { parts: 5000, minutes: 500 },
      },
    ],
  },
  input,
  run({ ratePerHour, bicycles }: Question): SellerWordsCost {
    const told = bicycles.map((bicycle) => ({
      bicycle,
      over: overOf(bicycle, ratePerHour),
      said: saidOf(bicycle),
    }));
    const all = mean(told.map(({ over }) => over));
    const sd = Math.sqrt(mean(told.map(({ over }) => (over - all) ** 2)));
    const labels = new Map([...phrases.map((each) => [each.id, each.label] as const), ...Object.entries(ANSWERS)]);
    const costs = [...labels].flatMap(([phrase, label]): WordsCost[] => {
      const own = told.filter(({ said }) => said.includes(phrase));
      const cases = own.length;
      if (cases < LEAST_CASES) return [];
      const over = (ALL_WEIGH * all + cases * mean(own.map((each) => each.over))) / (ALL_WEIGH + cases);
      const spread = (Z80 * sd) / Math.sqrt(ALL_WEIGH + cases);
      const meant = meantBy(own.map(({ bicycle }) => bicycle));
      return [
        {
          id: phrase,
          label,
          cases,
          over: roundHalfUp(over),
          low: roundHalfUp(over - spread),
          high: roundHalfUp(over + spread),
          meant,
          words: `${label}, said of ${countWords(cases)}${meant.length > 0 ? `: it meant ${listed(meant)}` : ''}`,
        },
      ];
    });
    const sorted = costs.toSorted((a, b) => b.over - a.over || (a.id < b.id ? -1 : 1));
    return {
      phrases: sorted,
      over: roundHalfUp(all),
      reasons: [
        sorted.length > 0
          ? `${sorted[0]!.words}.`
          : 'No words were said of two finished bicycles yet: keep the advertisement at Buy.',
      ],
      working: [
        row('n', 'finished bicycles with their words', bicycles.length),
        row('m', 'over what was expected, all of them', roundHalfUp(all) / 100),
        row('s', 'spread', roundHalfUp(sd) / 100),
      ],
    };
  },
});

import * as z from 'zod/mini';
import { bicycleKind } from '../bicycle';
import { USES } from '../buy/saleStates';
import { defineCalculator } from '../calculator';
import { row, type WorkingRow } from '../verdict';
import { mayNotSay } from './mayNotSay';
import { kindWords } from './kindWords';
import { LISTING_PARTS, type ListingPart } from './listingParts';

const words = z.string().check(z.minLength(1), z.maxLength(400));
const list = <Row extends z.ZodMiniType>(of: Row) => z._default(z.array(of).check(z.maxLength(400)), []);
const year = z.number().check(z.multipleOf(1), z.gte(1850), z.lte(2200));

const input = z.strictObject({
  name: words,
  kind: z.prefault(bicycleKind, {}),
  use: z._default(z.nullable(z.enum(USES)), null).check(z.describe('null until its size was measured')),
  sizeMm: z._default(z.nullable(z.number().check(z.gte(250), z.lte(720))), null),
  riderMm: z._default(z.nullable(z.strictObject({ low: z.number(), high: z.number() })), null),
  age: z
    ._default(z.nullable(z.strictObject({ from: year, to: year, by: z.array(words).check(z.maxLength(40)) })), null)
    .check(z.describe('by what is on it')),
  done: list(words),
  renewed: list(words),
  measured: list(z.strictObject({ label: words, before: z.nullable(words), after: words })),
  flaws: list(words).check(z.describe('what was found and left as it is')),
  notOriginal: list(words),
  way: z._default(z.nullable(z.enum(['ready', 'as-it-is', 'parts'])), null),
  provedOn: z._default(z.nullable(z.iso.date()), null).check(z.describe('signed by the law of ready')),
  open: list(words).check(z.describe('what stands in the way of ready')),
  forWhom: z._default(z.string().check(z.maxLength(400)), ''),
  options: list(z.strictObject({ label: words, price: z.string().check(z.maxLength(40)) })),
  answers: list(z.strictObject({ asked: words, answer: words })),
  price: z._default(z.nullable(z.string().check(z.maxLength(40))), null),
  tone: z._default(z.enum(['plain', 'warm']), 'plain'),
  length: z._default(z.enum(['short', 'full']), 'full'),
});
type Question = z.output<typeof input>;

/** Parts that a short listing leaves out. */
const FULL_ONLY: readonly ListingPart[] = ['measured', 'answers'];

export interface Sentence {
  id: ListingPart;
  text: string;
}
export interface Listing {
  title: string;
  sentences: Sentence[];
  /** What of the record was left out, since a seller may not say it. */
  leftOut: { text: string; word: string }[];
  /** What a buyer will ask and the record does not know. */
  missing: string[];
  working: WorkingRow[];
}

const metres = (mm: number) => `${(mm / 1000).toFixed(2)} m`;
const lower = (text: string) => (/^[A-Z][^A-Z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text);
const ended = (text: string) => (/[.!?…]$/.test(text) ? text : `${text}.`);
const joined = (items: readonly string[]) =>
  items.length < 2 ? (items[0] ?? '') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`;
const dayWords = (day: string) => {
  const [years, month, date] = day.split('-').map(Number);
  const MONTHS = 'January February March April May June July August September October November December'.split(' ');
  return `${date} ${MONTHS[month! - 1]} ${years}`;
};

const USE_WORDS: Record<(typeof USES)[number], string> = {
  road: 'the road',
  touring: 'touring',
  city: 'the city',
  mountain: 'rough ground',
  'small-wheel': 'short ways and small lifts',
};

/** How each part is said, plainly and warmly; null where the record knows nothing of it. */
const SAY: Record<ListingPart, (q: Question) => { plain: string; warm: string } | null> = {
  what({ kind }) {
    const said = kindWords(kind);
    return { plain: `${said.charAt(0).toUpperCase()}${said.slice(1)}.`, warm: `This is a ${said}.` };
  },
  fit({ sizeMm, riderMm, use }) {
    if (sizeMm === null) return null;
    const tube = `Seat tube ${Math.round(sizeMm / 10)} cm`;
    if (!riderMm) return { plain: `${tube}.`, warm: `${tube}.` };
    const span = `${metres(riderMm.low)} to ${metres(riderMm.high)}`;
    const as = use ? `, ridden for ${USE_WORDS[use]}` : '';
    return {
      plain: `${tube}: for riders of about ${span}${as}.`,
      warm: `${tube}. If you are about ${span} tall it will suit you${as}.`,
    };
  },
  age({ age, length }) {
    if (!age) return null;
    const span = age.from === age.to ? `${age.from}` : `${age.from} to ${age.to}`;
    const by = length === 'full' && age.by.length > 0 ? `, by ${joined(age.by.map(lower))}` : '';
    return {
      plain: `Likely of ${span}${by}.`,
      warm: `By what is on it, it was likely made ${age.from === age.to ? `in ${span}` : `between ${joined([`${age.from}`, `${age.to}`])}`}${by}.`,
    };
  },
  state({ way, provedOn, open }) {
    if (way === 'parts')
      return {
        plain: 'For its parts: it does not go on as a bicycle.',
        warm: 'It goes for its parts, and not as a bicycle.',
      };
    if (way === 'as-it-is' || (provedOn === null && way !== 'ready')) {
      const stands = open.length > 0 ? ` Open: ${joined(open.map(lower))}.` : '';
      return way === 'as-it-is'
        ? {
            plain: `Goes as it is: not roadworthy, not to be ridden.${stands}`,
            warm: `It goes as it is, for somebody who likes the work: not roadworthy, not to be ridden.${stands}`,
          }
        : null;
    }
    return provedOn
      ? {
          plain: `Checked, proved and signed on ${dayWords(provedOn)}.`,
          warm: `It was gone through place by place, proved and signed on ${dayWords(provedOn)}.`,
        }
      : null;
  },
  done: ({ done }) =>
    done.length === 0
      ? null
      : { plain: `Done: ${joined(done.map(lower))}.`, warm: `What was done: ${joined(done.map(lower))}.` },
  renewed: ({ renewed }) =>
    renewed.length === 0
      ? null
      : { plain: `Renewed: ${joined(renewed.map(lower))}.`, warm: `Renewed on it: ${joined(renewed.map(lower))}.` },
  measured({ measured }) {
    if (measured.length === 0) return null;
    const said = joined(
      measured.map(({ label, before, after }) => `${lower(label)} ${after}${before ? ` (was ${before})` : ''}`),
    );
    return { plain: `Measured: ${said}.`, warm: `Measured, and not guessed: ${said}.` };
  },
  flaws({ flaws }) {
    return flaws.length === 0
      ? null
      : { plain: `Flaws: ${joined(flaws.map(lower))}.`, warm: `Told honestly: ${joined(flaws.map(lower))}.` };
  },
  'not-original': ({ notOriginal }) =>
    notOriginal.length === 0
      ? null
      : {
          plain: `Not original: ${joined(notOriginal.map(lower))}.`,
          warm: `Not from its first days: ${joined(notOriginal.map(lower))}.`,
        },
  'for-whom': ({ forWhom }) =>
    forWhom.trim() === '' ? null : { plain: ended(forWhom.trim()), warm: ended(forWhom.trim()) },
  options({ options }) {
    if (options.length === 0) return null;
    const said = joined(options.map(({ label, price }) => (price ? `${lower(label)} (${price})` : lower(label))));
    return { plain: `On request: ${said}.`, warm: `If you like, with ${said}.` };
  },
  answers: ({ answers }) =>
    answers.length === 0
      ? null
      : {
          plain: answers.map(({ asked, answer }) => `${asked} ${ended(answer)}`).join(' '),
          warm: answers.map(({ asked, answer }) => `${asked} ${ended(answer)}`).join(' '),
        },
  price: ({ price, way }) =>
    price === null
      ? null
      : {
          plain: `${price}${way === 'as-it-is' ? ', as it is' : ''}.`,
          warm: `It asks ${price}${way === 'as-it-is' ? ', as it is' : ''}.`,
        },
};

/** Takes out of a question what a seller may not say, item by item; each is told. */
function sayable(question: Question): { question: Question; leftOut: Listing['leftOut'] } {
  const leftOut: Listing['leftOut'] = [];
  const ok = (...texts: string[]) => {
    for (const text of texts) {
      const word = mayNotSay(text);
      if (word === null) continue;
      leftOut.push({ text, word });
      return false;
    }
    return true;
  };
  return {
    question: {
      ...question,
      name: ok(question.name) ? question.name : 'A bicycle',
      age: question.age && { ...question.age, by: question.age.by.filter((each) => ok(each)) },
      done: question.done.filter((each) => ok(each)),
      renewed: question.renewed.filter((each) => ok(each)),
      measured: question.measured.filter(({ label, before, after }) => ok(label, before ?? '', after)),
      flaws: question.flaws.filter((each) => ok(each)),
      notOriginal: question.notOriginal.filter((each) => ok(each)),
      open: question.open.filter((each) => ok(each)),
      forWhom: ok(question.forWhom) ? question.forWhom : '',
      options: question.options.filter(({ label, price }) => ok(label, price)),
      answers: question.answers.filter(({ asked, answer }) => ok(asked, answer)),
      price: question.price !== null && ok(question.price) ? question.price : null,
    },
    leftOut,
  };
}

/** What a buyer asks first and this record does not answer. */
function missingOf({ sizeMm, riderMm, age, price, done, way, provedOn }: Question): string[] {
  return [
    sizeMm === null && 'Its size: the seat tube is not measured.',
    sizeMm !== null && riderMm === null && 'Whom it fits.',
    age === null && 'How old it is: no feature that dates it was said.',
    price === null && 'A price.',
    done.length === 0 && way !== 'parts' && 'What was done: no job is finished.',
    provedOn === null && way === 'ready' && 'The signature.',
  ].filter((each) => each !== false);
}

/**
 * The listing of a bicycle, sentence by sentence from its record: what it is, whom it fits, how old and how that is known, how it goes, done, renewed, measured,
 * flaws, not original, for whom, options, answers, price. Nothing that the record does not know becomes a sentence; what a seller may not say
 * ("safe", "like new") is left out and told.
 *
 * Units: mm, years. Errors: none. Source: workshop consensus. Example: nothing but a kind → one sentence, and what is missing.
 */
export const sellListing = defineCalculator({
  id: 'sell.listing',
  title: 'The listing, from the record',
  example: { name: 'Green tourer', sizeMm: 560, riderMm: { low: 1700, high: 1820 }, use: 'touring' as const },
  input,
  run(asked): Listing {
    const { question, leftOut } = sayable(asked);
    const sentences = LISTING_PARTS.flatMap((id): Sentence[] => {
      if (question.length === 'short' && FULL_ONLY.includes(id)) return [];
      const said = SAY[id](question);
      return said ? [{ id, text: said[question.tone] }] : [];
    });
    return {
      title: question.name,
      sentences,
      leftOut,
      missing: missingOf(asked),
      working: [row('n', 'sentences', sentences.length), row('o', 'left out', leftOut.length)],
    };
  },
});

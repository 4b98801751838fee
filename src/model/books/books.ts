import type { QuestionOf } from '@/core/questions';
import type { Summary } from '../summary';
import type { BooksTold } from './booksTold';

/** A finished bicycle as a line of the books. */
export interface BooksRow extends BooksTold {
  id: string;
  name: string;
  purpose: Summary['purpose'];
  kind: Summary['kind'];
  door: Summary['door'];
  use: Summary['use'];
  /** A figure an hour; null under an hour of work. */
  perHour: number | null;
}
const LEAST_HOUR = 60;

/** Every finished bicycle, the newest first. */
export function booksRows(summaries: Record<string, Summary>): BooksRow[] {
  return Object.values(summaries)
    .flatMap(({ id, name, purpose, kind, door, use, books }) =>
      books
        ? [
            {
              ...books,
              id,
              name,
              purpose,
              kind,
              door,
              use,
              perHour: books.minutes >= LEAST_HOUR ? Math.round((books.earned * 60) / books.minutes) : null,
            },
          ]
        : [],
    )
    .toSorted((a, b) => ((a.on ?? '') < (b.on ?? '') ? 1 : -1));
}

export interface BooksSum {
  count: number;
  price: number;
  bought: number;
  parts: number;
  road: number;
  besides: number;
  earned: number;
  minutes: number;
}

/** Rows added up: each column by itself, so that price less all costs is what was earned. */
export function booksSum(rows: readonly BooksRow[]): BooksSum {
  const sum = (of: (row: BooksRow) => number) => rows.reduce((all, row) => all + of(row), 0);
  return {
    count: rows.length,
    price: sum((row) => row.price),
    bought: sum((row) => row.bought),
    parts: sum((row) => row.parts),
    road: sum((row) => row.road),
    besides: sum((row) => row.besides),
    earned: sum((row) => row.earned),
    minutes: sum((row) => row.minutes),
  };
}

/** Which bicycles the books are read for: all, or of one purpose, one class and one year. */
export interface BooksFilter {
  purpose: 'all' | 'sale' | 'customer';
  use: Summary['use'] | 'all';
  year: string;
}

/** The rows that a filter leaves. */
export function filtered(rows: readonly BooksRow[], { purpose, use, year }: BooksFilter): BooksRow[] {
  return rows.filter(
    (row) =>
      (purpose === 'all' || (purpose === 'customer') === (row.purpose === 'customer')) &&
      (use === 'all' || row.use === use) &&
      (year === 'all' || (row.on ?? '').startsWith(year)),
  );
}

/** The years in which something was sold, the latest first. */
export const yearsOf = (rows: readonly BooksRow[]): string[] =>
  [...new Set(rows.flatMap(({ on }) => (on === null ? [] : [on.slice(0, 4)])))].toSorted().toReversed();

/** Each class of bicycle with its sums, the one that earns most first. */
export function byUse(rows: readonly BooksRow[]): { use: Summary['use']; sum: BooksSum }[] {
  return [...new Set(rows.map(({ use }) => use))]
    .map((use) => ({ use, sum: booksSum(rows.filter((row) => row.use === use)) }))
    .toSorted((a, b) => b.sum.earned - a.sum.earned);
}

/** What was earned month by month, from the first sale to the last, months without one too. */
export function byMonth(rows: readonly BooksRow[]): { month: string; earned: number; count: number }[] {
  const dated = rows.filter(({ on }) => on !== null);
  const months = dated.map(({ on }) => on!.slice(0, 7)).toSorted();
  if (months.length === 0) return [];
  const all: string[] = [];
  for (let at = months[0]!; at <= months.at(-1)!;) {
    all.push(at);
    const [year, month] = at.split('-').map(Number);
    at = month === 12 ? `${year! + 1}-01` : `${year}-${String(month! + 1).padStart(2, '0')}`;
  }
  return all.map((month) => {
    const own = dated.filter(({ on }) => on!.startsWith(month));
    return { month, count: own.length, earned: own.reduce((sum, { earned }) => sum + earned, 0) };
  });
}

/** Money that lies in bicycles that are not sold, as it was spent. */
export const openOnFloor = (summaries: Record<string, Summary>): number =>
  Object.values(summaries)
    .filter(({ bought, sold, archivedAt, purpose }) => bought && !sold && archivedAt === null && purpose !== 'customer')
    .reduce((sum, { spent }) => sum + spent, 0);

/** The question for `money.learn`: hours by kind of work, and what was fetched. */
export function learnInput(rows: readonly BooksRow[]): QuestionOf<'money.learn'> {
  return {
    jobs: rows.flatMap(({ jobs }) =>
      jobs.map(({ kind, estimateMin, actualMin }) => ({ job: kind, estimateMin, actualMin })),
    ),
    sales: rows.flatMap(({ predicted, price }) => (predicted && price > 0 ? [{ predicted, sold: price }] : [])),
  };
}

/** The question for `buy.sellerWords`: bicycles that were bought from somebody who said something. */
export function sellerWordsInput(rows: readonly BooksRow[], ratePerHour: number): QuestionOf<'buy.sellerWords'> {
  return {
    ratePerHour,
    bicycles: rows
      .filter(({ purpose, advert, said }) => purpose !== 'customer' && (advert !== '' || Object.keys(said).length > 0))
      .map(({ id, kind, door, advert, said, ordinary, parts, minutes, jobs }) => {
        const work: Record<string, number> = {};
        for (const job of jobs) work[job.kind] = (work[job.kind] ?? 0) + job.actualMin;
        return { id, kind, door, advert, said, ordinary, took: { parts, minutes }, work };
      }),
  };
}

/** What came back after it was sold: how many of how many, the hours and the money of it, and the causes, the dearest first. */
export function cameBack(rows: readonly BooksRow[]): {
  count: number;
  of: number;
  minutes: number;
  cost: number;
  causes: { cause: string; name: string }[];
} {
  const all = rows.flatMap(({ name, comebacks }) => comebacks.map((each) => ({ ...each, name })));
  return {
    count: rows.filter(({ comebacks }) => comebacks.length > 0).length,
    of: rows.length,
    minutes: all.reduce((sum, { minutes }) => sum + minutes, 0),
    cost: all.reduce((sum, { cost }) => sum + cost, 0),
    causes: all.toSorted((a, b) => b.cost - a.cost).map(({ cause, name }) => ({ cause, name })),
  };
}

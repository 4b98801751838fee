import { NOTHING_LEARNT, type LearntInUse } from '@/core/money/learnt';
import type { AnswerOf, QuestionOf } from '@/core/questions';
import { WORK_KINDS } from '@/core/money/workKinds';
import { gatherLessons } from '../buy/lessons';
import type { WorkshopSettings } from '../settings/settings';
import type { Summary } from '../summary';
import { booksRows, learnInput } from './books';

type Learnt = AnswerOf<'buy.learn'>;

/** The question for `buy.learn`: hours and prices of what is finished, and what was said at every door. */
export function taughtInput(summaries: Record<string, Summary>): QuestionOf<'buy.learn'> {
  return { ...learnInput(booksRows(summaries)), door: gatherLessons(Object.values(summaries).map(({ door }) => door)) };
}

/** Something that was learnt, and what the house said to it. */
export interface Lesson {
  key: string;
  words: string;
  answer: 'yes' | 'no' | null;
  /** From five cases on, and clear of what was thought. */
  isTold: boolean;
}

const sentence = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** All that was learnt and may be asked about: hours, then prices, then what is found at the door. */
export function lessonsOf(
  { minutes, resale, chances }: Pick<Learnt, 'minutes' | 'resale' | 'chances'>,
  { learnt }: Pick<WorkshopSettings, 'learnt'>,
): Lesson[] {
  const lesson = (key: string, { words, isTold }: { words: string; isTold: boolean }): Lesson => ({
    key,
    words: sentence(words),
    isTold,
    answer: learnt[key] ?? null,
  });
  return [
    ...minutes
      .toSorted((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)))
      .map((each) => lesson(`minutes:${each.job}`, each)),
    ...(resale.cases > 0 ? [lesson('resale', resale)] : []),
    ...chances.map((each) => lesson(`chance:${each.line}`, each)),
  ];
}

/** Whether anything that was learnt is used at all: where not, nothing needs to be asked. */
export const usesLessons = ({ learnt }: Pick<WorkshopSettings, 'learnt'>): boolean =>
  Object.values(learnt).includes('yes');

/** What is used of what was learnt: only what somebody said yes to, with its figures as they are now. */
export function inUse(
  { minutes, resale, chances }: Pick<Learnt, 'minutes' | 'resale' | 'chances'>,
  { learnt }: Pick<WorkshopSettings, 'learnt'>,
): LearntInUse {
  const used: LearntInUse = { ...NOTHING_LEARNT, minutes: {}, chances: {} };
  for (const kind of WORK_KINDS) {
    const found = learnt[`minutes:${kind}`] === 'yes' && minutes.find(({ job }) => job === kind);
    if (found)
      used.minutes[kind] = { factor: found.factor, p10: found.predict.p10, p90: found.predict.p90, cases: found.cases };
  }
  if (learnt.resale === 'yes' && resale.cases > 0) used.resale = { factor: resale.factor, cases: resale.cases };
  for (const { line, chance, cases, seen } of chances)
    if (learnt[`chance:${line}`] === 'yes') used.chances[line] = { chance, cases, seen };
  return used;
}

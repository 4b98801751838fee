import { answer, type Answer, type Calculator } from '@/core/calculator';

type Subject = () => Promise<{ calculators: readonly unknown[] }>;

/** Each subject's calculators come, with their tables, when the first of them is asked. */
export const SUBJECTS: Record<string, Subject> = {
  bearings: () => import('@/core/bearings/calculators'),
  buy: () => import('@/core/buy/calculators'),
  clean: () => import('@/core/clean/calculators'),
  decide: () => import('@/core/decide/calculators'),
  identify: () => import('@/core/identify/calculators'),
  inspect: () => import('@/core/inspect/calculators'),
  money: () => import('@/core/money/calculators'),
  practice: () => import('@/core/practice/calculators'),
  prove: () => import('@/core/prove/calculators'),
  rebuild: () => import('@/core/rebuild/calculators'),
  strip: () => import('@/core/strip/calculators'),
};

/**
 * Answers a question by its calculator's id, whose first word is its subject.
 * Errors: an id that no subject has. Example: `await reckonIn('strip.ladder', {})`.
 */
export async function reckonIn(id: string, input: unknown): Promise<Answer> {
  const subject = SUBJECTS[id.split('.', 1)[0]!];
  const calculators = ((await subject?.())?.calculators ?? []) as readonly Calculator[];
  const found = calculators.find((each) => each.id === id);
  if (!found) throw new Error(`"${id}" is no calculator`);
  return answer(found, input);
}

import { answer, type Answer, type Calculator } from '@/core/calculator';

type Subject = () => Promise<{ calculators: readonly unknown[] }>;

/** Each subject's calculators come, with their tables, when the first of them is asked. */
export const SUBJECTS: Record<string, Subject> = {
  bearings: () => import('@/core/bearings/calculators'),
  brakes: () => import('@/core/brakes/calculators'),
  buy: () => import('@/core/buy/calculators'),
  cables: () => import('@/core/cables/calculators'),
  clean: () => import('@/core/clean/calculators'),
  decide: () => import('@/core/decide/calculators'),
  drive: () => import('@/core/drive/calculators'),
  identify: () => import('@/core/identify/calculators'),
  inspect: () => import('@/core/inspect/calculators'),
  money: () => import('@/core/money/calculators'),
  plan: () => import('@/core/plan/calculators'),
  practice: () => import('@/core/practice/calculators'),
  prove: () => import('@/core/prove/calculators'),
  rebuild: () => import('@/core/rebuild/calculators'),
  sell: () => import('@/core/sell/calculators'),
  setup: () => import('@/core/setup/calculators'),
  strip: () => import('@/core/strip/calculators'),
  tyres: () => import('@/core/tyres/calculators'),
  wheels: () => import('@/core/wheels/calculators'),
};

export type LaneName = 'quick' | 'long';
/** Not answered here: its calculator belongs to the other lane. */
export interface Elsewhere {
  lane: 'long';
}

/**
 * Answers a question by its calculator's id, whose first word is its subject. In the quick lane one that may take long is
 * not begun: it is said to belong to the other. `onBetter` hears what is found on the way.
 * Errors: an id that no subject has. Example: `await reckonIn('strip.ladder', {}, 'quick')`.
 */
export async function reckonIn(
  id: string,
  input: unknown,
  lane: LaneName,
  onBetter?: (output: unknown) => void,
): Promise<Answer | Elsewhere> {
  const subject = SUBJECTS[id.split('.', 1)[0]!];
  const calculators = ((await subject?.())?.calculators ?? []) as readonly Calculator[];
  const found = calculators.find((each) => each.id === id);
  if (!found) throw new Error(`"${id}" is no calculator`);
  return lane === 'quick' && found.lane ? { lane: found.lane } : answer(found, input, onBetter);
}

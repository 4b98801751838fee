import type { Bicycle } from '../record';
import type { SecondLook } from './part';

/** So many minutes of riding, then it is looked at again: spokes settle, cables bed, seats creep. */
export const AGAIN_MINUTES = 10;
/** Fifty kilometres take most riders a week. */
export const AGAIN_DAYS = 7;

export const LOOK_WORDS: Record<SecondLook['of'], string> = {
  'ten-minutes': 'Again after ten minutes',
  'fifty-km': 'Second look, after fifty kilometres',
  sealant: 'Sealant: look, and fill up',
};

/** The last look of a kind, done or dated. */
export const lookOf = ({ secondLooks }: Pick<Bicycle, 'secondLooks'>, of: SecondLook['of']): SecondLook | null =>
  secondLooks.findLast((row) => row.of === of) ?? null;

/** Whole minutes until the ten are ridden; zero from then on. */
export function minutesLeft(look: Pick<SecondLook, 'at'>, nowMs: number): number {
  return Math.max(0, Math.ceil(AGAIN_MINUTES - (nowMs - Date.parse(look.at)) / 60_000));
}

/** Looks that are dated and not done, for the calendar and the sheet. */
export const openLooks = ({ secondLooks }: Pick<Bicycle, 'secondLooks'>): SecondLook[] =>
  secondLooks.filter((row) => row.of !== 'ten-minutes' && row.doneAt === null);

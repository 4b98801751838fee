import { own } from '@/core/own';
import { partIn, partWords, sorted, type Assembly } from '@/core/strip/tray';
import { runningTimers } from '../clean/timers';
import type { Bicycle } from '../record';
import type { PartFate, PartMark } from './part';
import { isSettled, orderOf, trayFor } from './trays';

/** Where a part is: on the bicycle, in its tray, in a bath, back in, or left off on purpose. */
export type Where = 'on' | 'tray' | 'bath' | 'back' | 'left-off';

/** One part of an assembly as it stands at this moment. */
export interface PartState {
  id: string;
  words: string;
  where: Where;
  /** Its slot in the tray, from 1, in the order in which they came off; null while it is on. */
  slot: number | null;
  mark: PartMark | null;
  /** It went into stock or to scrap: its slot waits for another. */
  fate: PartFate | null;
  clean: boolean;
}

/**
 * Every part of an assembly with where it is now, along its axis; parts that were found on this bicycle only come last.
 * Example: six of nine off and a washer soaking: five `tray`, one `bath`, three `on`.
 */
export function partStates(bicycle: Bicycle, assembly: Assembly): PartState[] {
  const tray = trayFor(bicycle, assembly.place);
  const { here } = sorted(assembly, { extra: tray.extra, order: orderOf(tray) });
  const soaking = new Set(runningTimers(bicycle).flatMap(({ timer }) => timer.parts));
  const whereOf = (id: string): Where => {
    if (!here.includes(id)) return 'on';
    if (tray.backIn.includes(id)) return 'back';
    if (isSettled(tray, id)) return 'left-off';
    return soaking.has(`${assembly.place}/${id}`) ? 'bath' : 'tray';
  };
  return [...assembly.parts.map(({ id }) => id), ...tray.extra.map(({ id }) => id)].map((id) => ({
    id,
    words: partWords(partIn(assembly, tray.extra, id)),
    where: whereOf(id),
    slot: here.includes(id) ? here.indexOf(id) + 1 : null,
    mark: own(tray.marks, id) ?? null,
    fate: own(tray.fates, id) ?? null,
    clean: tray.cleaned.includes(id),
  }));
}

/** Parts that are off and whose slot is open. */
export const isOff = ({ where }: Pick<PartState, 'where'>): boolean => where === 'tray' || where === 'bath';

const WORDS: Record<Where, string> = {
  on: 'still on',
  tray: 'in the tray',
  bath: 'in the bath',
  back: 'back in',
  'left-off': 'left off on purpose',
};

const FATES: Record<PartFate, string> = { stock: 'this one went into stock', scrap: 'this one was scrapped' };

/** A part and where it is, in words. Example: "Cone, left: in the tray, worn". */
export function stateWords({ words, where, mark, clean, fate }: PartState): string {
  const wrong = mark === 'wrong' ? 'the wrong part' : mark;
  const asides = [where === 'tray' && clean ? 'clean' : null, wrong, fate && FATES[fate]];
  return `${words}: ${[WORDS[where], ...asides].filter(Boolean).join(', ')}`;
}

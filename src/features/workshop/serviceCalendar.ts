import type { ServiceDue } from '@/core/bearings/serviceDue';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { LOOK_WORDS, openLooks } from '@/model/prove/secondLooks';
import type { Bicycle } from '@/model/record';
import { saveCalendar, type Due } from './calendarFile';

const WEEK = 7;

/** The next services of a bicycle and its second look, as days of a calendar. */
export function servicesOf(
  bicycle: Pick<Bicycle, 'id' | 'name' | 'secondLooks'>,
  due: (ServiceDue & { place: string })[],
): Due[] {
  return [
    ...due.map(({ place, dueOn, reasons }) => ({
      uid: `${bicycle.id}-${place}`,
      title: `${placeLabel(place)}: look at it again (${bicycle.name})`,
      words: reasons.join(' '),
      on: dueOn,
      remindDays: WEEK,
    })),
    ...openLooks(bicycle).map(({ id, of, dueOn, words }) => ({
      uid: `${bicycle.id}-look-${id}`,
      title: `${LOOK_WORDS[of]} (${bicycle.name})`,
      words,
      on: dueOn,
      remindDays: 1,
    })),
  ];
}

export const saveServices = (
  bicycle: Pick<Bicycle, 'id' | 'name' | 'secondLooks'>,
  due: (ServiceDue & { place: string })[],
): Promise<void> => saveCalendar(`${bicycle.name} services`, servicesOf(bicycle, due));

import type { ServiceDue } from '@/core/bearings/serviceDue';
import { fileName } from '@/core/fileName';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '@/model/record';
import { saveFile } from '@/ui/saveFile';

/** The next services as a calendar file, a whole day each, with a reminder a week before. */
export async function calendarOf(
  bicycle: Pick<Bicycle, 'id' | 'name'>,
  due: (ServiceDue & { place: string })[],
): Promise<string> {
  const { createEvents } = await import('ics');
  const { error, value } = createEvents(
    due.map(({ place, dueOn, reasons }) => {
      const [year, month, day] = dueOn.split('-').map(Number) as [number, number, number];
      return {
        title: `${placeLabel(place)}: look at it again (${bicycle.name})`,
        description: reasons.join(' '),
        start: [year, month, day],
        duration: { days: 1 },
        busyStatus: 'FREE',
        alarms: [{ action: 'display', description: `${placeLabel(place)} is due`, trigger: { days: 7, before: true } }],
        productId: 'ergasto',
        uid: `${bicycle.id}-${place}@ergasto`,
      };
    }),
  );
  if (error || !value) throw error ?? new Error('no calendar file');
  return value;
}

export async function saveServices(
  bicycle: Pick<Bicycle, 'id' | 'name'>,
  due: (ServiceDue & { place: string })[],
): Promise<void> {
  const value = await calendarOf(bicycle, due);
  saveFile(new Blob([value], { type: 'text/calendar' }), `${fileName(`${bicycle.name} services`)}.ics`);
}

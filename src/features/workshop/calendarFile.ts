import { fileName } from '@/core/fileName';
import { saveFile } from '@/ui/saveFile';

/** A day on which something is due. */
export interface Due {
  /** The same for the same thing, so that a calendar replaces it. */
  uid: string;
  title: string;
  words: string;
  on: string;
  /** Days before, for the reminder. */
  remindDays: number;
}

/** Days as a calendar file, each a whole day with its reminder. */
export async function calendarOf(due: readonly Due[]): Promise<string> {
  const { createEvents } = await import('ics');
  const { error, value } = createEvents(
    due.map(({ uid, title, words, on, remindDays }) => {
      const [year, month, day] = on.split('-').map(Number) as [number, number, number];
      return {
        title,
        description: words,
        start: [year, month, day],
        duration: { days: 1 },
        busyStatus: 'FREE',
        alarms: [{ action: 'display', description: title, trigger: { days: remindDays, before: true } }],
        productId: 'ergasto',
        uid: `${uid}@ergasto`,
      };
    }),
  );
  if (error || !value) throw error ?? new Error('no calendar file');
  return value;
}

export async function saveCalendar(name: string, due: readonly Due[]): Promise<void> {
  saveFile(new Blob([await calendarOf(due)], { type: 'text/calendar' }), `${fileName(name)}.ics`);
}

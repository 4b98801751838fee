import type { Timer } from '@/model/clean/part';
import { saveFile } from '@/ui/saveFile';
import { fileName } from '@/core/fileName';

/** Saves a timer's end as a calendar file with an alarm, since a closed page is silent. */
export async function saveAlarm(timer: Timer, dueAtMs: number): Promise<void> {
  const { createEvent } = await import('ics');
  const { error, value } = createEvent({
    title: `Out: ${timer.label}`,
    description: timer.next,
    start: dueAtMs,
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { minutes: 5 },
    alarms: [{ action: 'display', description: `Out: ${timer.label}`, trigger: { minutes: 0, before: true } }],
    productId: 'ergasto',
    uid: `${timer.id}@ergasto`,
  });
  if (error || !value) throw error ?? new Error('no calendar file');
  saveFile(new Blob([value], { type: 'text/calendar' }), `${fileName(timer.label)}.ics`);
}

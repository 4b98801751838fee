import type { EventAttributes } from 'ics';
import type { AnswerOf } from '@/core/questions';

type Plan = Pick<AnswerOf<'plan.sessions'>, 'plan' | 'waits'>;
type Task = Pick<AnswerOf<'plan.tasks'>['tasks'][number], 'id' | 'label' | 'bicycle'>;

const MINUTE_MS = 60_000;

/**
 * A plan as a calendar file: each stretch of work and the end of each wait, with an alarm. The ids hang on the task and on which of its stretches it is, and the sequence grows with the minute, so that a calendar
 * that reads a later one in replaces what it has instead of doubling it.
 */
export async function planCalendar(
  { plan, waits }: Plan,
  tasks: readonly Task[],
  names: Readonly<Record<string, string>>,
  zeroMs: number,
  nowMs: number,
): Promise<string> {
  const { createEvents } = await import('ics');
  const of = new Map(tasks.map((task) => [task.id, task]));
  const stretches = new Map<string, number>();
  const sequence = Math.floor(nowMs / MINUTE_MS) % 2_000_000_000;
  const event = (uid: string, title: string, fromMin: number, minutes: number, before: number): EventAttributes => ({
    uid: `${uid.replaceAll(/[^\w.:/-]/g, '-')}@ergasto`,
    title,
    start: zeroMs + fromMin * MINUTE_MS,
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { minutes },
    sequence,
    productId: 'ergasto',
    alarms: [{ action: 'display', description: title, trigger: { minutes: before, before: true } }],
  });
  const titleOf = (id: string) => {
    const task = of.get(id);
    return task ? `${names[task.bicycle] ?? ''}: ${task.label}` : id;
  };
  const events = [
    ...plan.map(({ task, fromMin, toMin }) => {
      const stretch = stretches.get(task) ?? 0;
      stretches.set(task, stretch + 1);
      return event(`${task}/${stretch}`, titleOf(task), fromMin, Math.max(1, toMin - fromMin), 10);
    }),
    ...waits.map(({ task, toMin }) => event(`${task}/waited`, `Ready to go on. ${titleOf(task)}`, toMin, 5, 0)),
  ];
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('no calendar file');
  return value;
}

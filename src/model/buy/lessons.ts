import { MOST_TAUGHT } from '@/core/buy/doorLine';
import { emptyMap } from '@/core/own';
import type { Bicycle } from '../record';
import type { DoorTap } from './part';

/** What the workshop's other bicycles teach an appraisal. */
export interface Taught {
  door: Record<string, DoorTap['answer']>;
  minutesAt: Record<string, number>;
}

/** What was said at the door, by its lines. */
export function answersAtDoor({ door }: Pick<Bicycle, 'door'>): Record<string, DoorTap['answer']> {
  return Object.fromEntries(Object.entries(door).map(([line, { answer }]) => [line, answer]));
}

/** What one bicycle teaches the next: its answers at the door, and the minutes of work put down by place. */
export function taughtBy(bicycle: Bicycle): Taught {
  const minutesAt = emptyMap<number>();
  for (const { place, stage, minutes } of bicycle.minutes)
    if (place && stage !== 'look-over') minutesAt[place] = (minutesAt[place] ?? 0) + minutes;
  return { door: answersAtDoor(bicycle), minutesAt };
}

/** What many bicycles teach of each line of the door check, small however many there are. */
export type Lessons = Record<string, { looked: number; bad: number; minutesAt: Record<string, number[]> }>;

/** Lessons gathered from what single bicycles teach, oldest first. */
export function gatherLessons(rows: Iterable<Taught>): Lessons {
  const lessons: Lessons = emptyMap();
  for (const { door, minutesAt } of rows)
    for (const [line, answer] of Object.entries(door)) {
      const lesson = (lessons[line] ??= { looked: 0, bad: 0, minutesAt: emptyMap() });
      lesson.looked += 1;
      if (answer !== 'bad') continue;
      lesson.bad += 1;
      for (const [place, minutes] of Object.entries(minutesAt))
        lesson.minutesAt[place] = [...(lesson.minutesAt[place] ?? []), minutes].slice(-MOST_TAUGHT);
    }
  return lessons;
}

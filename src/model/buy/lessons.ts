import { emptyMap } from '@/core/own';
import type { Bicycle } from '../record';
import type { DoorTap } from './part';

/** What was said at the door, by its lines. */
export function answersAtDoor({ door }: Pick<Bicycle, 'door'>): Record<string, DoorTap['answer']> {
  return Object.fromEntries(Object.entries(door).map(([line, { answer }]) => [line, answer]));
}

/** How often each line of the door check was looked at, and bad, over many bicycles. */
export type Lessons = Record<string, { looked: number; bad: number }>;

/** Lessons gathered from what was said at the door of single bicycles, in whichever order. */
export function gatherLessons(doors: Iterable<Record<string, DoorTap['answer']>>): Lessons {
  const lessons: Lessons = emptyMap();
  for (const door of doors)
    for (const [line, answer] of Object.entries(door)) {
      const lesson = (lessons[line] ??= { looked: 0, bad: 0 });
      lesson.looked += 1;
      if (answer === 'bad') lesson.bad += 1;
    }
  return lessons;
}

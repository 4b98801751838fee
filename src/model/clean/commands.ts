import * as z from 'zod/mini';
import { at, id } from '../fields';
import { defineCommand, put, rowOf } from '../command';
import { fieldNames } from '../phrases';
import { finish, timer } from './part';

export const commands = [
  defineCommand({
    type: 'startTimer',
    schema: { timer },
    apply: (bicycle, step) => put(bicycle.timers, step.timer),
    words: (step) => `timer: ${step.timer.label}`,
  }),
  defineCommand({
    type: 'endTimer',
    schema: { timer: id, at },
    apply(bicycle, step) {
      const found = rowOf(bicycle.timers, step.timer);
      if (found) found.endedAt = step.at;
    },
    words: (step, before) => `timer ended: ${rowOf(before.timers, step.timer)?.label ?? ''}`,
  }),
  defineCommand({
    type: 'planFinish',
    schema: { changes: z.partial(finish) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.finish, changes),
    words: ({ changes }) => `finish: ${fieldNames(changes)}`,
  }),
] as const;

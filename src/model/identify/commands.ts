import * as z from 'zod/mini';
import { bicycleKind, withConsequences } from '@/core/bicycle';
import { defineCommand, put, remove } from '../command';
import { id } from '../fields';
import { identified } from './part';

export const commands = [
  defineCommand({
    type: 'putIdentified',
    schema: { identified, says: z.optional(z.partial(bicycleKind)) },
    apply(bicycle, { identified: row, says }) {
      put(bicycle.identified, row);
      if (says) Object.assign(bicycle.kind, withConsequences(bicycle.kind, says));
    },
    words: (step) => `it is: ${step.identified.name}`,
  }),
  defineCommand({
    type: 'removeIdentified',
    schema: { identified: id },
    apply: (bicycle, step) => remove(bicycle.identified, step.identified),
    words: () => 'what it is, taken back',
  }),
] as const;

import { defineCommand, put, remove } from '../command';
import { id } from '../fields';
import { identified } from './part';

export const commands = [
  defineCommand({
    type: 'putIdentified',
    schema: { identified },
    apply: (bicycle, step) => put(bicycle.identified, step.identified),
    words: (step) => `it is: ${step.identified.name}`,
  }),
  defineCommand({
    type: 'removeIdentified',
    schema: { identified: id },
    apply: (bicycle, step) => remove(bicycle.identified, step.identified),
    words: () => 'what it is, taken back',
  }),
] as const;

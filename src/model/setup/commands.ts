import * as z from 'zod/mini';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { defineCommand, setOrDrop, work } from '../command';
import { id } from '../fields';
import { plain } from '../phrases';
import { setStep } from './part';

const at = (place: string, what: string) => `${place}/${what}`.slice(0, 64);
const of = (place: string) => placeLabel(place).toLowerCase();

export const commands = [
  defineCommand({
    type: 'setUpStep',
    schema: { place: id, step: id, done: z.nullable(setStep) },
    apply: (bicycle, row) => setOrDrop(bicycle.setSteps, at(row.place, row.step), row.done),
    words: (row) => `${of(row.place)}: ${plain(row.step)}`,
    // Whatever is done to it asks for its proof again.
    work: (row) => (row.done ? [work(row.place, 'adjusted')] : []),
  }),
  defineCommand({
    type: 'keepFigure',
    schema: { place: id, figure: id, value: z.nullable(z.number().check(z.gte(0), z.lte(10_000))) },
    apply: (bicycle, row) => setOrDrop(bicycle.setFigures, at(row.place, row.figure), row.value),
    words: (row) => `${of(row.place)}: ${plain(row.figure)}`,
  }),
] as const;

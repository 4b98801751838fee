import * as z from 'zod/mini';
import { defineCommand, put, remove, setOrDrop, work } from '../command';
import { id } from '../fields';
import { wheelEnd } from '../wheels/part';
import { puncture, sealant, tyreFit } from './part';

export const commands = [
  defineCommand({
    type: 'readTyre',
    schema: { end: wheelEnd, fit: tyreFit },
    apply(bicycle, row) {
      bicycle.tyreFits[row.end] = { ...bicycle.tyreFits[row.end], ...row.fit };
    },
    words: (row) => `the ${row.end} tyre`,
  }),
  defineCommand({
    type: 'putPuncture',
    schema: { puncture },
    apply: (bicycle, row) => put(bicycle.punctures, row.puncture),
    words: (row) => `a puncture of the ${row.puncture.end} tyre`,
    // A tyre that was off asks for what was proved of it again.
    work: (row) => (row.puncture.isMended ? [work(`tyre.${row.puncture.end}`, 'renewed')] : []),
  }),
  defineCommand({
    type: 'dropPuncture',
    schema: { puncture: id },
    apply: (bicycle, row) => remove(bicycle.punctures, row.puncture),
    words: () => 'a puncture',
  }),
  defineCommand({
    type: 'sealTyre',
    schema: { end: wheelEnd, sealant: z.nullable(sealant) },
    apply: (bicycle, row) => setOrDrop(bicycle.sealants, row.end, row.sealant),
    words: (row) => `sealant in the ${row.end} tyre`,
    work: (row) => (row.sealant ? [work(`tyre.${row.end}`, 'adjusted')] : []),
  }),
] as const;

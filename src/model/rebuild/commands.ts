import { z } from 'zod';
import { defineCommand, put, remove, setOrDrop, work } from '../command';
import { id } from '../fields';
import { figure } from '../phrases';
import { looseEnd, signature } from './part';

export const commands = [
  defineCommand({
    type: 'signBolt',
    schema: { signature },
    apply: (bicycle, step) => put(bicycle.signatures, step.signature),
    words: ({ signature: { valueNm } }) =>
      valueNm === null ? 'bolt signed by feel' : `bolt signed at ${figure(valueNm)} N·m`,
  }),
  defineCommand({
    type: 'unsignBolt',
    schema: { signature: id },
    apply: (bicycle, step) => remove(bicycle.signatures, step.signature),
    words: () => 'bolt unsigned',
  }),
  defineCommand({
    type: 'sizeBolt',
    schema: { bolt: id, place: id, size: z.string().max(40).nullable() },
    apply: ({ boltSizes }, { bolt, size }) => setOrDrop(boltSizes, bolt, size),
    words: ({ size }) => (size === null ? 'the usual size of a bolt' : `bolt of ${size}`),
    work: ({ place, bolt }) => [work(place, 'set', { bolt })],
  }),
  defineCommand({
    type: 'putLooseEnd',
    schema: { looseEnd },
    apply: (bicycle, step) => put(bicycle.looseEnds, step.looseEnd),
    words: (step) => `${step.looseEnd.closedAt ? 'tightened' : 'loose for now'}: ${step.looseEnd.label}`,
    work: (step) => (step.looseEnd.closedAt === null ? [work(step.looseEnd.place, 'off')] : []),
  }),
] as const;

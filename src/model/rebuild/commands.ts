import * as z from 'zod/mini';
import { own } from '@/core/own';
import { defineCommand, put, remove, setOrDrop, work } from '../command';
import { id } from '../fields';
import { fieldNames, figure } from '../phrases';
import {
  fastener,
  FIT_MEASURES,
  fitOf,
  insertion,
  jointFill,
  looseEnd,
  signature,
  USUAL_FASTENER,
  type Fastener,
} from './part';

/** A fastener with other properties; one that is the usual throughout is none. */
function choose(fasteners: Record<string, Fastener>, bolt: string, changes: Partial<Fastener>): void {
  const chosen = { ...USUAL_FASTENER, ...own(fasteners, bolt), ...changes };
  setOrDrop(fasteners, bolt, Object.values(chosen).every((value) => value === null) ? null : chosen);
}

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
    schema: { bolt: id, place: id, size: z.nullable(z.string().check(z.maxLength(40))) },
    apply: (bicycle, { bolt, size }) => choose(bicycle.fasteners, bolt, { size }),
    words: ({ size }) => (size === null ? 'the usual size of a bolt' : `bolt of ${size}`),
    work: ({ place, bolt }) => [work(place, 'set', { bolt })],
  }),
  defineCommand({
    type: 'chooseFastener',
    schema: { bolt: id, place: id, changes: z.partial(fastener) },
    apply: (bicycle, { bolt, changes }) => choose(bicycle.fasteners, bolt, changes),
    words: ({ changes }) => `fastener: ${fieldNames(changes)}`,
    work: ({ place, bolt }) => [work(place, 'set', { bolt })],
  }),
  defineCommand({
    type: 'tookOff',
    schema: { piece: id, place: id, off: z.boolean() },
    apply: (bicycle, { piece, off }) => setOrDrop(bicycle.tookOff, piece, off ? true : null),
    words: ({ off }) => (off ? 'taken off' : 'back on'),
    work: ({ place, off }) => (off ? [work(place, 'off')] : []),
  }),
  defineCommand({
    type: 'fillJoints',
    schema: { fills: z.record(id, z.nullable(jointFill)) },
    apply(bicycle, { fills }) {
      for (const [joint, fill] of Object.entries(fills)) setOrDrop(bicycle.jointFills, joint, fill);
    },
    words: ({ fills }) => `what went between: ${Object.keys(fills).length === 1 ? 'one joint' : 'joints'}`,
  }),
  defineCommand({
    type: 'measureFit',
    schema: { measure: z.enum(FIT_MEASURES), changes: z.partial(fitOf) },
    apply(bicycle, { measure, changes }) {
      const next = { beforeMm: null, givenMm: null, ...own(bicycle.fit, measure), ...changes };
      setOrDrop(bicycle.fit, measure, next.beforeMm === null && next.givenMm === null ? null : next);
    },
    words: ({ measure }) => `fit: ${measure.replace('-', ' ')}`,
  }),
  defineCommand({
    type: 'measureInsertion',
    schema: { place: id, changes: z.partial(insertion) },
    apply(bicycle, { place, changes }) {
      const next = { insertedMm: null, minimumMm: null, ...own(bicycle.insertions, place), ...changes };
      setOrDrop(bicycle.insertions, place, next.insertedMm === null && next.minimumMm === null ? null : next);
    },
    words: ({ place }) => `how deep it stands: ${place.replaceAll('-', ' ')}`,
  }),
  defineCommand({
    type: 'settleBar',
    schema: { settled: z.nullable(z.boolean()) },
    apply(bicycle, { settled }) {
      bicycle.barSettled = settled;
    },
    words: ({ settled }) => (settled ? 'the height of the bar is settled' : 'the height of the bar is open'),
  }),
  defineCommand({
    type: 'putLooseEnd',
    schema: { looseEnd },
    apply: (bicycle, step) => put(bicycle.looseEnds, step.looseEnd),
    words: (step) => `${step.looseEnd.closedAt ? 'tightened' : 'loose for now'}: ${step.looseEnd.label}`,
    work: (step) => (step.looseEnd.closedAt === null ? [work(step.looseEnd.place, 'off')] : []),
  }),
] as const;

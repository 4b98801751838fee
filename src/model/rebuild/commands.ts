import * as z from 'zod/mini';
import { own } from '@/core/own';
import { defineCommand, put, remove, rowOf, setOrDrop, work } from '../command';
import { id } from '../fields';
import { fieldNames, figure } from '../phrases';
import { signedAt } from '../prove/order';
import {
  fastener,
  FIT_MEASURES,
  fitOf,
  insertion,
  jointFill,
  looseEnd,
  part,
  RIDER_FIGURES,
  signature,
  spacer,
  STACK_PARTS,
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
    apply: (bicycle, { signature: row }) =>
      put(bicycle.signatures, rowOf(bicycle.signatures, row.id) ? row : { ...row, at: signedAt(bicycle, row.at) }),
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
    type: 'measureRider',
    schema: { figure: z.enum(RIDER_FIGURES), mm: z.nullable(part.rider.def.valueType) },
    apply: (bicycle, step) => setOrDrop(bicycle.rider, step.figure, step.mm),
    words: (step) => `the rider: ${step.figure.replace('-', ' ')}`,
  }),
  defineCommand({
    type: 'giveFit',
    schema: { given: z.partialRecord(z.enum(FIT_MEASURES), z.number().check(z.gte(-300), z.lte(1500))) },
    apply(bicycle, { given }) {
      for (const [measure, givenMm] of Object.entries(given))
        bicycle.fit[measure] = { beforeMm: null, ...own(bicycle.fit, measure), givenMm };
    },
    words: () => 'fit: from the rider’s figures',
  }),
  defineCommand({
    type: 'measureStack',
    schema: { part: z.enum(STACK_PARTS), mm: z.nullable(part.stack.def.valueType) },
    apply: (bicycle, step) => setOrDrop(bicycle.stack, step.part, step.mm),
    words: (step) => `on the steerer: ${step.part.replace('-', ' ')}`,
  }),
  defineCommand({
    type: 'putSpacer',
    schema: { spacer },
    apply: (bicycle, step) => put(bicycle.spacers, step.spacer),
    words: (step) => `spacer of ${figure(step.spacer.heightMm)} mm ${step.spacer.side} the stem`,
  }),
  defineCommand({
    type: 'takeSpacer',
    schema: { spacer: id },
    apply: (bicycle, step) => remove(bicycle.spacers, step.spacer),
    words: () => 'spacer off',
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

import * as z from 'zod/mini';
import { minorUnits } from '@/core/fields';
import { defineCommand, put, remove, rowOf, setOrDrop } from '../command';
import { at, id, person } from '../fields';
import { amount, fieldNames, plain } from '../phrases';
import { appraisal, comparable, costLine, lead } from './part';

export const commands = [
  defineCommand({
    type: 'setAppraisal',
    schema: { changes: z.partial(z.omit(appraisal, { lines: true })) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.appraisal, changes),
    words: ({ changes }) =>
      changes.asking === undefined
        ? fieldNames(changes)
        : changes.asking === null
          ? 'asked, taken back'
          : `asked ${amount(changes.asking)}`,
  }),
  defineCommand({
    type: 'putCostLine',
    schema: { line: costLine },
    apply: (bicycle, { line }) => put(bicycle.appraisal.lines, line),
    words: ({ line }) => line.label,
  }),
  defineCommand({
    type: 'removeCostLine',
    schema: { line: id },
    apply: (bicycle, { line }) => remove(bicycle.appraisal.lines, line),
    words: ({ line }, before) => `left out: ${rowOf(before.appraisal.lines, line)?.label ?? 'a line'}`,
  }),
  defineCommand({
    type: 'describeLead',
    schema: { changes: z.partial(lead) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.lead, changes),
    words: ({ changes }) => `lead: ${fieldNames(changes)}`,
  }),
  /** What the door check says of one line; null takes the answer back. */
  defineCommand({
    type: 'answerDoor',
    schema: { line: id, answer: z.nullable(z.enum(['fine', 'bad'])), at, by: z._default(person, '') },
    apply({ door }, { line, answer, at: when, by }) {
      const known = door[line];
      if (answer === null) delete door[line];
      // Said again, it was known since it was said first, whichever of two tabs is heard first.
      else if (known?.answer !== answer || `${when} ${by}` < `${known.at} ${known.by}`)
        door[line] = { answer, at: when, by };
    },
    words: ({ line, answer }) => `${plain(line)}: ${answer ?? 'not looked at'}`,
  }),
  defineCommand({
    type: 'seeFeature',
    schema: { feature: id, seen: z.boolean() },
    apply: ({ features }, { feature, seen }) => setOrDrop(features, feature, seen || null),
    words: ({ feature, seen }) => `${seen ? 'seen' : 'not seen'}: ${plain(feature)}`,
  }),
  defineCommand({
    type: 'putComparable',
    schema: { comparable },
    apply: (bicycle, step) => put(bicycle.comparables, step.comparable),
    words: (step) => `sold: ${step.comparable.label} ${amount(step.comparable.price)}`,
  }),
  defineCommand({
    type: 'removeComparable',
    schema: { comparable: id },
    apply: (bicycle, step) => remove(bicycle.comparables, step.comparable),
    words: (step, before) => `sold one removed: ${rowOf(before.comparables, step.comparable)?.label ?? ''}`,
  }),
  defineCommand({
    type: 'recordPurchase',
    schema: { paid: z.nullable(minorUnits), at },
    apply(bicycle, { paid, at: when }) {
      bicycle.purchase = paid === null ? null : { paid, at: when };
    },
    words: ({ paid }) => (paid === null ? 'not bought' : `paid ${amount(paid)}`),
  }),
] as const;

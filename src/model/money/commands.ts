import * as z from 'zod/mini';
import { defineCommand, put, remove, rowOf } from '../command';
import { id } from '../fields';
import { amount } from '../phrases';
import { moneyLine, sale } from './part';

export const commands = [
  defineCommand({
    type: 'putLine',
    schema: { line: moneyLine },
    apply: (bicycle, { line }) => put(bicycle.lines, line),
    words: ({ line }) => `${line.label} ${amount(line.paid)}`,
  }),
  defineCommand({
    type: 'removeLine',
    schema: { line: id },
    apply: (bicycle, { line }) => remove(bicycle.lines, line),
    words: ({ line }, before) => `removed: ${rowOf(before.lines, line)?.label ?? 'a line'}`,
  }),
  defineCommand({
    type: 'setSale',
    schema: { changes: z.partial(sale) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.sale, changes),
    words: ({ changes: { price, on } }) =>
      price == null ? (on ? `sold on ${on}` : 'sale') : `sold for ${amount(price)}`,
  }),
] as const;

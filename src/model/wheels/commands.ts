import * as z from 'zod/mini';
import { defineCommand, put, remove, rowOf, setOrDrop, work } from '../command';
import { id } from '../fields';
import { NIPPLES, wheelBuild, wheelEnd, wheelReading, wheelRound } from './part';

export const commands = [
  defineCommand({
    type: 'buildWheel',
    schema: { end: wheelEnd, build: z.nullable(wheelBuild) },
    apply: (bicycle, row) => setOrDrop(bicycle.wheelBuilds, row.end, row.build),
    words: (row) => `how the ${row.end} wheel is built`,
  }),
  defineCommand({
    type: 'readWheel',
    schema: { reading: wheelReading },
    apply: (bicycle, { reading }) => put(bicycle.wheelReadings, reading),
    words: ({ reading }) => `a reading of the ${reading.end} wheel`,
  }),
  defineCommand({
    type: 'dropWheelReading',
    schema: { reading: id },
    apply: (bicycle, row) => remove(bicycle.wheelReadings, row.reading),
    words: () => 'a reading of a wheel',
  }),
  defineCommand({
    type: 'beginRound',
    schema: { round: wheelRound },
    apply: (bicycle, { round }) => put(bicycle.wheelRounds, round),
    words: ({ round }) => `a round at the ${round.end} wheel`,
  }),
  defineCommand({
    type: 'turnNipple',
    schema: { round: id, spoke: z.number().check(z.multipleOf(1), z.gte(0), z.lte(47)), made: z.boolean() },
    apply(bicycle, row) {
      const turn = rowOf(bicycle.wheelRounds, row.round)?.turns.find((each) => each.spoke === row.spoke);
      if (turn) turn.made = row.made;
    },
    words: (row) => `spoke ${row.spoke + 1}`,
    // A turned nipple asks for what was proved of the wheel again.
    work(row, before) {
      const round = rowOf([...before.wheelRounds], row.round);
      return row.made && round ? [work(`spokes.${round.end}`, 'adjusted')] : [];
    },
  }),
  defineCommand({
    type: 'markNipple',
    schema: {
      end: wheelEnd,
      spoke: z.number().check(z.multipleOf(1), z.gte(0), z.lte(47)),
      as: z.nullable(z.enum(NIPPLES)),
    },
    apply: (bicycle, row) => setOrDrop(bicycle.nipples, `${row.end}/${row.spoke}`, row.as),
    words: (row) => `nipple ${row.spoke + 1} of the ${row.end} wheel`,
  }),
] as const;

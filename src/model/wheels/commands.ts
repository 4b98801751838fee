import * as z from 'zod/mini';
import { defineCommand, put, remove, rowOf, setOrDrop, work } from '../command';
import { id } from '../fields';
import { brokenSpoke, lacing, NIPPLES, spokeNumber, wheelBuild, wheelEnd, wheelReading, wheelRound } from './part';

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
    schema: { round: id, spoke: spokeNumber, made: z.boolean() },
    apply(bicycle, row) {
      const turn = rowOf(bicycle.wheelRounds, row.round)?.turns.find((each) => each.spoke === row.spoke);
      if (!turn) return;
      turn.made = row.made;
      const name = `${rowOf(bicycle.wheelRounds, row.round)!.end}/${row.spoke}`;
      if (turn.loose) setOrDrop(bicycle.nipples, name, row.made ? null : 'loose');
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
      spoke: spokeNumber,
      as: z.nullable(z.enum(NIPPLES)),
    },
    apply: (bicycle, row) => setOrDrop(bicycle.nipples, `${row.end}/${row.spoke}`, row.as),
    words: (row) => `nipple ${row.spoke + 1} of the ${row.end} wheel`,
  }),
  defineCommand({
    // What does not turn is left out of the round, which goes on with the rest.
    type: 'leaveNipple',
    schema: { round: id, end: wheelEnd, spoke: spokeNumber, as: z.enum(NIPPLES) },
    apply(bicycle, row) {
      bicycle.nipples[`${row.end}/${row.spoke}`] = row.as;
      const round = rowOf(bicycle.wheelRounds, row.round);
      if (round) round.turns = round.turns.filter(({ spoke, made }) => made || spoke !== row.spoke);
    },
    words: (row) => `nipple ${row.spoke + 1} of the ${row.end} wheel, left out`,
  }),
  defineCommand({
    type: 'putBrokenSpoke',
    schema: { row: brokenSpoke },
    apply: (bicycle, { row }) => put(bicycle.brokenSpokes, row),
    words: ({ row }) => `spoke ${row.spoke + 1} of the ${row.end} wheel, broken`,
    work: ({ row }) => (row.done.includes('in') ? [work(`spokes.${row.end}`, 'renewed')] : []),
  }),
  defineCommand({
    type: 'dropBrokenSpoke',
    schema: { row: id },
    apply: (bicycle, { row }) => remove(bicycle.brokenSpokes, row),
    words: () => 'a broken spoke',
  }),
  defineCommand({
    type: 'laceWheel',
    schema: { end: wheelEnd, lacing: z.nullable(lacing) },
    apply: (bicycle, row) => setOrDrop(bicycle.lacings, row.end, row.lacing),
    words: (row) => `the lacing of the ${row.end} wheel`,
    work: (row) => (row.lacing && row.lacing.laced > 0 ? [work(`spokes.${row.end}`, 'renewed')] : []),
  }),
] as const;

import * as z from 'zod/mini';
import { defineCommand, put, remove, setOrDrop, work } from '../command';
import { id } from '../fields';
import { plain } from '../phrases';
import { DRIVE_FAMILIES, DRIVE_FIGURES, driveFigure, shiftRound, teeth } from './part';

export const commands = [
  defineCommand({
    type: 'countTeeth',
    schema: { of: z.enum(['rings', 'cogs']), teeth: z.nullable(teeth) },
    apply(bicycle, row) {
      setOrDrop(bicycle.teeth, row.of, row.teeth);
      // Who counted teeth counted what bears them: nobody is asked again.
      if (row.teeth && (row.of === 'cogs' || row.teeth.length <= 4)) bicycle.kind[row.of] = row.teeth.length;
    },
    words: (row) => `teeth of the ${row.of}`,
  }),
  defineCommand({
    type: 'putDriveFigure',
    schema: { figure: z.enum(DRIVE_FIGURES), value: z.nullable(driveFigure) },
    apply: (bicycle, row) => setOrDrop(bicycle.driveFigures, row.figure, row.value),
    words: (row) => plain(row.figure),
  }),
  defineCommand({
    type: 'sayDriveFamily',
    schema: { part: z.enum(DRIVE_FAMILIES), family: z.nullable(id) },
    apply: (bicycle, row) => setOrDrop(bicycle.driveFamilies, row.part, row.family),
    words: (row) => `family of the ${plain(row.part)}`,
  }),
  defineCommand({
    type: 'putShiftRound',
    schema: { round: shiftRound },
    apply: (bicycle, { round }) => put(bicycle.shiftRounds, round),
    words: ({ round }) => (round.turns === 0 ? 'a round of shifts' : 'the barrel is turned'),
    // Turning the barrel asks for the gears again; feeling a shift does not.
    work({ round }, before) {
      const isNew = before.shiftRounds.every((each) => each.id !== round.id);
      return isNew && round.turns !== 0 ? [work('derailleur.rear', 'adjusted')] : [];
    },
  }),
  defineCommand({
    type: 'dropShiftRounds',
    schema: { rounds: z.array(id).check(z.maxLength(200)) },
    apply(bicycle, row) {
      for (const each of row.rounds) remove(bicycle.shiftRounds, each);
    },
    words: () => 'indexing is begun anew',
  }),
] as const;

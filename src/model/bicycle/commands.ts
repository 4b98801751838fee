import * as z from 'zod/mini';
import { bicycleKind, BRIEFS } from '@/core/bicycle';
import { defineCommand } from '../command';
import { at, label } from '../fields';
import { fieldNames } from '../phrases';
import { electricDrive, frameSize, provenance, riding } from './part';
import { PURPOSES } from '../purposes';

/** The trays whose assembly hangs on a field of what a bicycle is. */
const TRAYS_OF: Record<string, string[]> = {
  cranks: ['crank.right', 'bottom-bracket'],
  stem: ['headset', 'stem'],
  gears: ['hub.rear', 'cogs', 'freehub'],
  chain: ['hub.rear'],
  cogsOn: ['hub.rear', 'cogs', 'freehub'],
  brakes: ['brake.front', 'brake.rear'],
  frontBrake: ['brake.front'],
  rearBrake: ['brake.rear'],
};

export const commands = [
  defineCommand({
    type: 'renameBicycle',
    schema: { name: label },
    apply(bicycle, { name }) {
      bicycle.name = name;
    },
    words: ({ name }) => `name ${name}`,
  }),
  defineCommand({
    type: 'describeKind',
    schema: { changes: z.partial(bicycleKind) },
    apply(bicycle, { changes }) {
      // What was found in a tray is overruled by what the bicycle is said to be since.
      const said = Object.entries(changes).flatMap(([field, value]) =>
        bicycle.kind[field as keyof typeof changes] === value ? [] : (TRAYS_OF[field] ?? []),
      );
      for (const tray of bicycle.trays) if (said.includes(tray.place)) tray.assembly = null;
      Object.assign(bicycle.kind, changes);
    },
    words: ({ changes }) => `what it is: ${fieldNames(changes)}`,
  }),
  defineCommand({
    type: 'setBrief',
    schema: { brief: z.enum(BRIEFS) },
    apply(bicycle, { brief }) {
      bicycle.brief = brief;
    },
    words: ({ brief }) => `brief ${brief}`,
  }),
  defineCommand({
    type: 'setPurpose',
    schema: { purpose: z.enum(PURPOSES) },
    apply(bicycle, { purpose }) {
      bicycle.purpose = purpose;
    },
    words: ({ purpose }) => `for: ${purpose}`,
  }),
  defineCommand({
    type: 'nameCustomer',
    schema: { customer: z.string().check(z.maxLength(200)) },
    apply(bicycle, { customer }) {
      bicycle.customer = customer;
    },
    words: ({ customer }) => `customer ${customer}`,
  }),
  defineCommand({
    type: 'notePapers',
    schema: { changes: z.partial(provenance) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.provenance, changes),
    words: ({ changes }) => `papers: ${fieldNames(changes)}`,
  }),
  defineCommand({
    type: 'measureFrame',
    schema: { changes: z.partial(frameSize) },
    apply: ({ size }, { changes }) => void Object.assign(size, changes),
    words: ({ changes }) => `size: ${fieldNames(changes)}`,
  }),
  defineCommand({
    type: 'describeDrive',
    schema: { changes: z.partial(electricDrive) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.electricDrive, changes),
    words: ({ changes }) => `electric drive: ${fieldNames(changes)}`,
  }),
  defineCommand({
    type: 'describeRiding',
    schema: { changes: z.partial(riding) },
    apply: (bicycle, { changes }) => void Object.assign(bicycle.riding, changes),
    words: ({ changes }) => `how it is ridden: ${fieldNames(changes)}`,
  }),
  defineCommand({
    type: 'archive',
    schema: { at: z.nullable(at) },
    apply(bicycle, step) {
      bicycle.archivedAt = step.at;
    },
    words: (step) => (step.at === null ? 'back on the floor' : 'put away'),
  }),
] as const;

import * as z from 'zod/mini';
import { RIM_METALS } from '@/core/brakes/brakedOn';
import { FLUIDS } from '@/core/setup/kinds';
import { defineCommand, setOrDrop, work } from '../command';
import { id } from '../fields';
import { plain } from '../phrases';
import { BRAKE_MEASURES, brakeNumber, cutCable, oldCable } from './part';

const place = z.enum(['brake.front', 'brake.rear']);
const END_WORDS = { 'brake.front': 'front brake', 'brake.rear': 'rear brake' } as const;

export const commands = [
  defineCommand({
    type: 'measureBrake',
    schema: { place, changes: z.partialRecord(z.enum(BRAKE_MEASURES), z.nullable(brakeNumber)) },
    apply(bicycle, step) {
      for (const [measure, value] of Object.entries(step.changes))
        setOrDrop(bicycle.brakeNumbers, `${step.place}/${measure}`, value);
    },
    words: (step) => `measures of the ${END_WORDS[step.place]}`,
  }),
  defineCommand({
    type: 'sayFluid',
    schema: { place, fluid: z.nullable(z.enum(FLUIDS)) },
    apply: (bicycle, step) => setOrDrop(bicycle.brakeFluids, step.place, step.fluid),
    words: (step) => (step.fluid ? `${step.fluid} fluid in the ${END_WORDS[step.place]}` : 'the fluid is not known'),
  }),
  defineCommand({
    type: 'sayRimMetal',
    schema: { place, metal: z.nullable(z.enum(RIM_METALS)) },
    apply: (bicycle, step) => setOrDrop(bicycle.rimMetals, step.place, step.metal),
    words: (step) =>
      step.metal ? `the rim at the ${END_WORDS[step.place]} is ${step.metal}` : 'the rim’s metal is not known',
  }),
  defineCommand({
    type: 'cutCables',
    schema: { place: z.enum(['cables.brake', 'cables.gear']), cut: z.record(id, z.nullable(cutCable)) },
    apply(bicycle, step) {
      for (const [run, row] of Object.entries(step.cut)) setOrDrop(bicycle.cutCables, run, row);
    },
    words: (step) => (Object.values(step.cut).some(Boolean) ? 'cables are cut' : 'a cable is cut anew'),
    work: (step) => (Object.values(step.cut).some(Boolean) ? [work(step.place, 'renewed')] : []),
  }),
  defineCommand({
    type: 'measureOldCable',
    schema: { run: id, old: z.nullable(oldCable) },
    apply: (bicycle, step) => setOrDrop(bicycle.oldCables, step.run, step.old),
    words: (step) => `old cable: ${plain(step.run)}`,
  }),
] as const;

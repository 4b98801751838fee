import * as z from 'zod/mini';
import { defineCommand, put, remove, rowOf } from '../command';
import { at, id } from '../fields';
import { STAGES } from '../stages';
import { benchPosition, delivery, minutesEntry, note, photo } from './part';

export const commands = [
  defineCommand({
    type: 'startClock',
    schema: { clock: id, at, stage: z.enum(STAGES), place: z.nullable(id), job: z.optional(id) },
    quiet: true,
    apply(bicycle, { clock, at: startedAt, stage, place, job }) {
      bicycle.clock = { id: clock, startedAt, activeAt: startedAt, stage, place, ...(job && { job }) };
    },
  }),
  defineCommand({
    type: 'touchClock',
    schema: { at },
    quiet: true,
    apply({ clock }, step) {
      if (clock && clock.activeAt < step.at) clock.activeAt = step.at;
    },
  }),
  defineCommand({
    type: 'pauseClock',
    schema: { at },
    quiet: true,
    apply({ clock }, { at: when }) {
      if (clock) clock.pausedAt ??= when;
    },
  }),
  defineCommand({
    type: 'resumeClock',
    schema: { at },
    quiet: true,
    apply({ clock }, { at: when }) {
      if (clock?.pausedAt === undefined) return;
      const stood = Math.max(0, Date.parse(when) - Date.parse(clock.pausedAt)) / 60_000;
      clock.pausedMinutes = (clock.pausedMinutes ?? 0) + stood;
      clock.activeAt = when;
      delete clock.pausedAt;
    },
  }),
  defineCommand({
    type: 'stopClock',
    schema: { entry: z.nullable(minutesEntry) },
    quiet: true,
    apply(bicycle, { entry }) {
      bicycle.clock = null;
      if (entry) put(bicycle.minutes, entry);
    },
  }),
  defineCommand({
    type: 'putMinutes',
    schema: { entry: minutesEntry },
    apply: (bicycle, { entry }) => put(bicycle.minutes, entry),
    words: ({ entry }) => `${Math.round(entry.minutes)} min`,
  }),
  defineCommand({
    type: 'removeMinutes',
    schema: { entry: id },
    apply: (bicycle, { entry }) => remove(bicycle.minutes, entry),
    words: () => 'minutes removed',
  }),
  defineCommand({
    type: 'benchAt',
    schema: { bench: z.nullable(benchPosition) },
    quiet: true,
    apply(bicycle, { bench }) {
      bicycle.bench = bench;
    },
  }),
  defineCommand({
    type: 'addPhoto',
    schema: { photo },
    apply: (bicycle, step) => put(bicycle.photos, step.photo),
    words: () => 'photograph',
  }),
  defineCommand({
    type: 'removePhoto',
    schema: { photo: id },
    apply: (bicycle, step) => remove(bicycle.photos, step.photo),
    words: () => 'photograph removed',
  }),
  defineCommand({
    type: 'addNote',
    schema: { note },
    apply: (bicycle, step) => put(bicycle.notes, step.note),
    words: (step) => (step.note.sound ? 'spoken note' : `note: ${step.note.text.slice(0, 40)}`),
  }),
  defineCommand({
    type: 'withdrawNote',
    schema: { note: id },
    apply(bicycle, step) {
      const found = rowOf(bicycle.notes, step.note);
      if (found) found.withdrawn = true;
    },
    words: () => 'note taken back',
  }),
  defineCommand({
    type: 'putDelivery',
    schema: { delivery },
    apply: (bicycle, step) => put(bicycle.deliveries, step.delivery),
    words: (step) => `${step.delivery.arrivedAt ? 'arrived' : 'ordered'}: ${step.delivery.label}`,
  }),
  defineCommand({
    type: 'removeDelivery',
    schema: { delivery: id },
    apply: (bicycle, step) => remove(bicycle.deliveries, step.delivery),
    words: () => 'order removed',
  }),
] as const;

import type { Draft } from 'immer';
import * as z from 'zod/mini';
import { bicycleKind, withConsequences } from '@/core/bicycle';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { defineCommand, put, remove, setOrDrop, toggled, work } from '../command';
import { id } from '../fields';
import { partPhrase, plain } from '../phrases';
import type { Bicycle } from '../record';
import { trayIn } from './fresh';
import { extraPart, PART_MARKS, seized, soil, trick, type Seized, type Tray } from './part';

const here = (place: string) => placeLabel(place).toLowerCase();
const FATE_WORDS = { stock: 'into stock', scrap: 'scrapped' } as const;

function stuckWords({ part, tried, ended }: Seized): string {
  if (ended) return `${part}: ${ended.how === 'freed' ? 'came free' : 'left as it is'}`;
  return tried.length > 0 ? `tried on ${part}: ${plain(tried.at(-1)!.step)}` : `stuck: ${part}`;
}

/** A part that comes off is the last of those that did; one that is off already keeps its place. */
function layDown({ off }: Draft<Tray>, part: string): void {
  if (!Object.hasOwn(off, part)) off[part] = Math.max(0, ...Object.values(off)) + 1;
}

function cleanPart(bicycle: Draft<Bicycle>, place: string, part: string, clean: boolean): void {
  const tray = trayIn(bicycle, place);
  tray.cleaned = toggled(tray.cleaned, part, clean);
}

export const commands = [
  defineCommand({
    type: 'markStep',
    schema: { place: id, step: id, done: z.boolean(), takes: z.array(id) },
    apply(bicycle, { place, step, done, takes }) {
      const tray = trayIn(bicycle, place);
      tray.doneSteps = toggled(tray.doneSteps, step, done);
      for (const part of takes) {
        if (done) layDown(tray, part);
        else delete tray.off[part];
      }
      if (!done) tray.backIn = tray.backIn.filter((part) => !takes.includes(part));
    },
    words: ({ place, done }) => `${here(place)}: step ${done ? 'done' : 'undone'}`,
    work: ({ place, done, takes }) => (done && takes.length > 0 ? [work(place, 'off')] : []),
  }),
  defineCommand({
    type: 'orderTray',
    schema: { place: id, order: z.array(id) },
    apply(bicycle, { place, order }) {
      const { off } = trayIn(bicycle, place);
      const listed = order.filter((part) => Object.hasOwn(off, part));
      // Only what was moved changes: the others keep their places.
      const ranks = listed.map((part) => off[part]!).sort((a, b) => a - b);
      listed.forEach((part, i) => (off[part] = ranks[i]!));
    },
    words: ({ place }) => `${here(place)}: order in the tray`,
  }),
  /** Parts that lie in a tray by mistake, or that were laid down for another assembly. */
  defineCommand({
    type: 'takeOutOfTray',
    schema: { place: id, parts: z.array(id).check(z.maxLength(1000)) },
    apply(bicycle, { place, parts }) {
      const tray = trayIn(bicycle, place);
      for (const part of parts) delete tray.off[part];
      tray.backIn = tray.backIn.filter((part) => !parts.includes(part));
    },
    words: ({ place, parts }) =>
      `${here(place)}: ${parts.length === 1 ? 'one part' : `${parts.length} parts`} out of the tray`,
  }),
  defineCommand({
    type: 'putBack',
    schema: { place: id, part: id, back: z.boolean() },
    apply(bicycle, { place, part, back }) {
      const tray = trayIn(bicycle, place);
      tray.backIn = toggled(tray.backIn, part, back);
    },
    words: ({ place, back }) => `${here(place)}: ${back ? 'put back' : 'taken off again'}`,
    // Until it went back it was off.
    work: ({ place, back }) => (back ? [work(place, 'off')] : []),
  }),
  /** Which assembly was found at a place, and what that says of the bicycle. What was put down for another stays in the record. */
  defineCommand({
    type: 'chooseAssembly',
    schema: { place: id, assembly: id, says: z.optional(z.partial(bicycleKind)) },
    apply(bicycle, { place, assembly, says }) {
      trayIn(bicycle, place).assembly = assembly;
      if (says) Object.assign(bicycle.kind, withConsequences(bicycle.kind, says));
    },
    words: ({ place, assembly }) => `${here(place)}: ${plain(assembly)}`,
  }),
  defineCommand({
    type: 'markPart',
    schema: { place: id, part: id, mark: z.nullable(z.enum(PART_MARKS)) },
    apply: (bicycle, { place, part, mark }) => setOrDrop(trayIn(bicycle, place).marks, part, mark),
    words: ({ part, mark }) => `${partPhrase(part)}: ${mark ?? 'nothing wrong'}`,
  }),
  defineCommand({
    type: 'addPart',
    schema: { place: id, part: extraPart },
    apply(bicycle, { place, part }) {
      const tray = trayIn(bicycle, place);
      put(tray.extra, part);
      layDown(tray, part.id);
    },
    words: ({ part }) => `found: ${part.label}`,
  }),
  defineCommand({
    type: 'fatePart',
    schema: { place: id, part: id, fate: z.nullable(z.enum(['stock', 'scrap'])) },
    apply: (bicycle, { place, part, fate }) => setOrDrop(trayIn(bicycle, place).fates, part, fate),
    words: ({ part, fate }) => `${partPhrase(part)}: ${fate ? FATE_WORDS[fate] : 'kept'}`,
  }),
  defineCommand({
    type: 'leaveOff',
    schema: { place: id, part: id, off: z.boolean() },
    apply(bicycle, { place, part, off }) {
      const tray = trayIn(bicycle, place);
      tray.leftOff = toggled(tray.leftOff, part, off);
    },
    words: ({ part, off }) => `${partPhrase(part)}: ${off ? 'left off on purpose' : 'not left off'}`,
  }),
  defineCommand({
    type: 'cleanParts',
    schema: { parts: z.array(z.strictObject({ place: id, part: id })).check(z.maxLength(100)), clean: z.boolean() },
    apply(bicycle, { parts, clean }) {
      for (const { place, part } of parts) cleanPart(bicycle, place, part, clean);
    },
    words: ({ parts, clean }) =>
      `${parts.length === 1 ? 'one part' : `${parts.length} parts`} ${clean ? 'clean' : 'not clean'}`,
  }),
  defineCommand({
    type: 'sayHardened',
    schema: { place: id, part: id, hardened: z.nullable(z.boolean()) },
    apply: (bicycle, { place, part, hardened }) => setOrDrop(trayIn(bicycle, place).hardened, part, hardened),
    words: ({ part, hardened }) =>
      `${partPhrase(part)}: ${hardened === null ? 'not asked' : hardened ? 'hardened' : 'not hardened'}`,
  }),
  defineCommand({
    type: 'setSoil',
    schema: { place: id, part: id, soil },
    apply(bicycle, step) {
      trayIn(bicycle, step.place).soils[step.part] = step.soil;
    },
    words: (step) => `soil ${step.soil}`,
  }),
  defineCommand({
    type: 'putSeized',
    schema: { seized },
    apply: (bicycle, step) => put(bicycle.seized, step.seized),
    words: (step) => stuckWords(step.seized),
    work: (step) => (step.seized.ended?.how === 'freed' ? [work(step.seized.place, 'off')] : []),
  }),
  defineCommand({
    type: 'putTrick',
    schema: { trick },
    apply: (bicycle, step) => put(bicycle.tricks, step.trick),
    words: (step) => `trick: ${step.trick.text.slice(0, 40)}`,
  }),
  defineCommand({
    type: 'removeTrick',
    schema: { trick: id },
    apply: (bicycle, step) => remove(bicycle.tricks, step.trick),
    words: () => 'trick removed',
  }),
] as const;

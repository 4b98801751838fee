import * as z from 'zod/mini';
import { own } from '@/core/own';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { defineCommand, put, remove, setOrDrop, toggled, work } from '../command';
import { id } from '../fields';
import { fieldNames, figure } from '../phrases';
import { bearingIn, UNCOUNTED, UNFELT, UNMEASURED } from './fresh';
import { bearing, bearingState, cartridge, sideCount, track } from './part';
import { coneFeel, coneTrial } from './trial';

const here = (place: string) => placeLabel(place).toLowerCase();
const COUNTS = ['out', 'holds', 'in'] as const;

export const commands = [
  defineCommand({
    type: 'countBalls',
    schema: { place: id, side: id, changes: z.partial(sideCount) },
    apply(bicycle, { place, side, changes }) {
      const { balls } = bearingIn(bicycle, place);
      balls[side] = { ...UNCOUNTED, ...own(balls, side), ...changes };
    },
    words({ place, side, changes }) {
      const counts = COUNTS.flatMap((each) =>
        changes[each] === undefined ? [] : [`${changes[each] ?? 'none'} ${each}`],
      );
      const what = counts.length ? counts.join(', ') : `answer ${changes.answer ?? 'taken back'}`;
      return `${here(place)}, ${side}: ${what}`;
    },
  }),
  defineCommand({
    type: 'measureBearing',
    schema: {
      place: id,
      changes: z.partial(
        z.pick(bearing, { ballReadingsMm: true, instrument: true, overBallsMm: true, ballsWere: true, runOn: true }),
      ),
    },
    apply: (bicycle, { place, changes }) => void Object.assign(bearingIn(bicycle, place), changes),
    words({ place, changes }) {
      const last = changes.ballReadingsMm?.at(-1);
      return last === undefined ? `${here(place)}: measured` : `ball ${figure(last)} mm`;
    },
    work: ({ place, changes }) => (changes.ballsWere ? [work(place, 'adjusted')] : []),
  }),
  defineCommand({
    type: 'seeInside',
    schema: { place: id, changes: z.partial(bearing.shape.seen) },
    apply: (bicycle, { place, changes }) => void Object.assign(bearingIn(bicycle, place).seen, changes),
    words({ place, changes }) {
      const seen = Object.entries(changes).map(([part, state]) => `${part} ${state}`);
      return `${here(place)}: ${seen.join(', ')}`;
    },
  }),
  defineCommand({
    type: 'seeTrack',
    schema: { place: id, track: id, state: z.nullable(track) },
    apply: (bicycle, step) => setOrDrop(bearingIn(bicycle, step.place).tracks, step.track, step.state),
    words: (step) => `${here(step.place)}, ${step.track.replace('.', ' ')}: ${step.state ?? 'not looked at'}`,
  }),
  defineCommand({
    type: 'overhaulStep',
    schema: { place: id, step: id, done: z.boolean() },
    apply(bicycle, { place, step, done }) {
      const state = bearingIn(bicycle, place);
      state.doneSteps = toggled(state.doneSteps, step, done);
    },
    words: ({ place, done }) => `${here(place)}: step ${done ? 'done' : 'taken back'}`,
    work: ({ place, done }) => (done ? [work(place, 'adjusted')] : []),
  }),
  defineCommand({
    type: 'noteCartridge',
    schema: { place: id, cartridge: id, changes: z.partial(cartridge) },
    apply(bicycle, step) {
      const { cartridges } = bearingIn(bicycle, step.place);
      cartridges[step.cartridge] = { ...UNMEASURED, ...own(cartridges, step.cartridge), ...step.changes };
    },
    words: (step) => `${here(step.place)}, cartridge ${step.cartridge}: ${fieldNames(step.changes)}`,
  }),
  defineCommand({
    type: 'feelRound',
    schema: { place: id, point: id, feel: z.nullable(coneFeel) },
    apply: (bicycle, { place, point, feel }) => setOrDrop(bearingIn(bicycle, place).round, point, feel),
    words: ({ place, feel }) => `${here(place)}, felt round the turn: ${feel ?? 'taken back'}`,
  }),
  defineCommand({
    type: 'planService',
    schema: { place: id, changes: z.partial(bearing.shape.service) },
    apply: (bicycle, { place, changes }) => void Object.assign(bearingIn(bicycle, place).service, changes),
    words: ({ place }) => `${here(place)}: next service`,
  }),
  defineCommand({
    type: 'measureAxle',
    schema: { place: id, changes: bearing.shape.axle },
    apply: (bicycle, { place, changes }) => void Object.assign(bearingIn(bicycle, place).axle, changes),
    words: ({ changes }) => `axle: ${fieldNames(changes)}`,
  }),
  defineCommand({
    type: 'feelBearing',
    schema: {
      place: id,
      when: z.enum(['before', 'after']),
      changes: z.partial(bearingState),
      /** The day, so that the next service can be counted from the first word on how it is now. */
      on: z.optional(z.iso.date()),
    },
    apply(bicycle, { place, when, changes, on }) {
      const state = bearingIn(bicycle, place);
      state[when] = { ...UNFELT, ...state[when], ...changes };
      if (when === 'after' && on) state.service.doneOn ??= on;
    },
    words({ place, when, changes }) {
      const felt = Object.values(changes).filter((value) => value !== null);
      return `${here(place)} ${when}: ${felt.join(', ')}`;
    },
  }),
  defineCommand({
    type: 'addTrial',
    schema: { place: id, trial: coneTrial },
    apply: (bicycle, { place, trial }) => put(bearingIn(bicycle, place).trials, trial),
    words: ({ trial }) => `trial: ${trial.feel}`,
    work: ({ place }) => [work(place, 'adjusted')],
  }),
  defineCommand({
    type: 'withdrawTrial',
    schema: { place: id, trial: id },
    apply: (bicycle, { place, trial }) => remove(bearingIn(bicycle, place).trials, trial),
    words: () => 'trial taken back',
  }),
] as const;

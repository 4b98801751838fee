import * as z from 'zod/mini';
import { defineCommand, put, remove, rowOf, setOrDrop } from '../command';
import { id } from '../fields';
import { figure, plain } from '../phrases';
import { signedAt } from './order';
import {
  acceptance,
  ending,
  proofMark,
  proofReading,
  recheck,
  secondLook,
  shift,
  signedProof,
  stop,
  wayOut,
  type WayOut,
} from './part';

const OUT_WORDS: Record<WayOut['way'], string> = { ready: 'ready', 'as-it-is': 'as it is', parts: 'for its parts' };

export const commands = [
  defineCommand({
    type: 'markProof',
    schema: { mark: proofMark },
    apply: (bicycle, { mark }) =>
      put(bicycle.proofs, rowOf(bicycle.proofs, mark.id) ? mark : { ...mark, at: signedAt(bicycle, mark.at) }),
    words: ({ mark }) => `proof ${mark.passed ? 'passed' : 'failed'}`,
  }),
  defineCommand({
    type: 'unmarkProof',
    schema: { mark: id },
    apply: (bicycle, { mark }) => remove(bicycle.proofs, mark),
    words: () => 'proof taken back',
  }),
  defineCommand({
    type: 'putProofReading',
    schema: { reading: proofReading },
    apply: (bicycle, step) => put(bicycle.proofReadings, step.reading),
    words: (step) => `read: ${plain(step.reading.reading)}, ${figure(step.reading.value)}`,
  }),
  defineCommand({
    type: 'takeProofReading',
    schema: { reading: id },
    apply: (bicycle, step) => remove(bicycle.proofReadings, step.reading),
    words: () => 'reading taken back',
  }),
  defineCommand({
    type: 'putStop',
    schema: { stop },
    apply: (bicycle, step) => put(bicycle.stops, step.stop),
    words: (step) => `a stop from ${figure(step.stop.speedKmh)} km/h`,
  }),
  defineCommand({
    type: 'takeStop',
    schema: { stop: id },
    apply: (bicycle, step) => remove(bicycle.stops, step.stop),
    words: () => 'stop taken back',
  }),
  defineCommand({
    type: 'sayShifts',
    schema: { shifts: z.record(id, z.nullable(shift)) },
    apply(bicycle, step) {
      for (const [gear, said] of Object.entries(step.shifts)) setOrDrop(bicycle.shifts, gear, said);
    },
    words: (step) => (Object.keys(step.shifts).length === 1 ? 'how a gear took' : 'how the gears took'),
  }),
  defineCommand({
    type: 'putSecondLook',
    schema: { look: secondLook },
    apply: (bicycle, step) => put(bicycle.secondLooks, step.look),
    words: (step) => (step.look.doneAt ? 'second look done' : 'second look dated'),
  }),
  defineCommand({
    type: 'dropSecondLook',
    schema: { look: id },
    apply: (bicycle, step) => remove(bicycle.secondLooks, step.look),
    words: () => 'second look dropped',
  }),
  defineCommand({
    type: 'signProof',
    schema: { signed: signedProof },
    apply: (bicycle, step) => put(bicycle.signed, step.signed),
    words: () => 'the proof is signed',
  }),
  defineCommand({
    type: 'endFinding',
    schema: { ending },
    apply: (bicycle, step) => put(bicycle.endings, step.ending),
    words: ({ ending: { check, how, by } }) =>
      `${plain(check)}: ${how === 'removed' ? 'the part is gone' : `cleared by ${by}`}`,
  }),
  defineCommand({
    type: 'reopenFinding',
    schema: { ending: id },
    apply: (bicycle, step) => remove(bicycle.endings, step.ending),
    words: (step, before) => `open again: ${plain(rowOf(before.endings, step.ending)?.check ?? 'a finding')}`,
  }),
  defineCommand({
    type: 'acceptFinding',
    schema: { acceptance },
    apply: (bicycle, step) => put(bicycle.acceptances, step.acceptance),
    words: (step) => `accepted as it is: ${plain(step.acceptance.check)}`,
  }),
  defineCommand({
    type: 'withdrawAcceptance',
    schema: { acceptance: id },
    apply: (bicycle, step) => remove(bicycle.acceptances, step.acceptance),
    words: (step, before) => `not accepted: ${plain(rowOf(before.acceptances, step.acceptance)?.check ?? 'a finding')}`,
  }),
  defineCommand({
    type: 'recheck',
    schema: { recheck },
    apply: (bicycle, step) => put(bicycle.rechecks, step.recheck),
    words: () => 'two-minute list',
  }),
  defineCommand({
    type: 'goOut',
    schema: { wayOut },
    apply: (bicycle, step) => put(bicycle.waysOut, step.wayOut),
    words: (step) => `goes out: ${OUT_WORDS[step.wayOut.way]}`,
  }),
  defineCommand({
    type: 'comeBack',
    schema: { wayOut: id },
    apply: (bicycle, step) => remove(bicycle.waysOut, step.wayOut),
    words: () => 'has not gone out',
  }),
] as const;

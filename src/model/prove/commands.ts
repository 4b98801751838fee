import { defineCommand, put, remove, rowOf } from '../command';
import { id } from '../fields';
import { plain } from '../phrases';
import { acceptance, ending, proofMark, recheck, wayOut, type WayOut } from './part';

const OUT_WORDS: Record<WayOut['way'], string> = { ready: 'ready', 'as-it-is': 'as it is', parts: 'for its parts' };

export const commands = [
  defineCommand({
    type: 'markProof',
    schema: { mark: proofMark },
    apply: (bicycle, { mark }) => put(bicycle.proofs, mark),
    words: ({ mark }) => `proof ${mark.passed ? 'passed' : 'failed'}`,
  }),
  defineCommand({
    type: 'unmarkProof',
    schema: { mark: id },
    apply: (bicycle, { mark }) => remove(bicycle.proofs, mark),
    words: () => 'proof taken back',
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

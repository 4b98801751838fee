import * as z from 'zod/mini';
import { SEEN_AS, SEEN_WORDS } from '@/core/inspect/seenAs';
import { defineCommand, put, remove, rowOf, work } from '../command';
import { id } from '../fields';
import { plain } from '../phrases';
import { alignment, complaint, observation, recall, type Recall } from './part';
import { evidenceWords } from './words';

const RECALL_WORDS: Record<Recall['result'], string> = {
  none: 'none found',
  recalled: 'it is recalled',
  remedied: 'remedied',
};

export const commands = [
  defineCommand({
    type: 'seenFromNow',
    schema: { seenAs: z.enum(SEEN_AS) },
    apply(bicycle, { seenAs }) {
      bicycle.seenAs = seenAs;
    },
    words: ({ seenAs }) => `from now on seen ${SEEN_WORDS[seenAs]}`,
  }),
  defineCommand({
    type: 'addObservation',
    schema: { observation },
    apply: (bicycle, step) => put(bicycle.observations, step.observation),
    words: (step) => `${plain(step.observation.check)} ${evidenceWords(step.observation.evidence)}`.trim(),
  }),
  defineCommand({
    type: 'withdrawObservation',
    schema: { observation: id },
    apply(bicycle, step) {
      const found = rowOf(bicycle.observations, step.observation);
      if (found) found.withdrawn = true;
    },
    words: (step, before) => `taken back: ${plain(rowOf(before.observations, step.observation)?.check ?? 'an entry')}`,
  }),
  defineCommand({
    type: 'putRecall',
    schema: { recall },
    apply: (bicycle, step) => put(bicycle.recalls, step.recall),
    words: (step) => `recall of the ${step.recall.of}: ${RECALL_WORDS[step.recall.result]}`,
  }),
  defineCommand({
    type: 'removeRecall',
    schema: { recall: id },
    apply: (bicycle, step) => remove(bicycle.recalls, step.recall),
    words: () => 'recall, taken back',
  }),
  defineCommand({
    type: 'putAlignment',
    schema: { alignment },
    apply: (bicycle, step) => put(bicycle.alignments, step.alignment),
    words: (step) => `${plain(step.alignment.line)}: ${step.alignment.result === 'off' ? 'out of line' : 'in line'}`,
    work: (step) => (step.alignment.coldSet ? [work(step.alignment.place, 'adjusted')] : []),
  }),
  defineCommand({
    type: 'removeAlignment',
    schema: { alignment: id },
    apply: (bicycle, step) => remove(bicycle.alignments, step.alignment),
    words: () => 'alignment, taken back',
  }),
  defineCommand({
    type: 'putComplaint',
    schema: { complaint },
    apply: (bicycle, step) => put(bicycle.complaints, step.complaint),
    words: (step) => (step.complaint.closedAt ? 'complaint closed' : 'complaint'),
  }),
  defineCommand({
    type: 'removeComplaint',
    schema: { complaint: id },
    apply: (bicycle, step) => remove(bicycle.complaints, step.complaint),
    words: () => 'complaint removed',
  }),
] as const;

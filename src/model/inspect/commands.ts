import { z } from 'zod';
import { SEEN_AS, SEEN_WORDS } from '@/core/inspect/seenAs';
import { defineCommand, put, remove, rowOf } from '../command';
import { id } from '../fields';
import { plain } from '../phrases';
import { complaint, observation } from './part';
import { evidenceWords } from './words';

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

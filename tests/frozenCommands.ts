import type * as z from 'zod/mini';
import type { command } from '@/model/commands';

/** Commands that a page had not yet saved when it died: one of each kind that signs, decides, takes apart or counts. */
export function commandWords(at: string): z.input<typeof command>[] {
  return [
    { type: 'renameBicycle', name: 'Frozen name' },
    { type: 'setAppraisal', changes: { asking: 12300 } },
    { type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 9 } },
    { type: 'addPhoto', photo: { id: 'p1', step: 'note-order', place: 'hub.front', at } },
    { type: 'signBolt', signature: { id: 'sig1', bolt: 'stem-expander', how: 'wrench', valueNm: 20, at } },
    { type: 'signBolt', signature: { id: 'sig2', bolt: 'pedal-left', how: 'feel', valueNm: null, at } },
    { type: 'markProof', mark: { id: 'proof1', proof: 'brakes-walk', passed: true, how: 'by hand', at } },
    { type: 'markProof', mark: { id: 'proof2', proof: 'hands-off', passed: false, how: 'by hand', at } },
    {
      type: 'decideJob',
      job: {
        id: 'frozen-job',
        rule: null,
        title: 'New bell',
        place: 'bell',
        minutes: { low: 5, likely: 8, high: 12 },
        parts: { low: 300, likely: 500, high: 900 },
        decision: 'drop',
        reason: 'The owner declined',
        done: false,
        approval: { answer: 'no', words: 'on the telephone', at },
      },
    },
    { type: 'markStep', place: 'hub.front', step: 'first', done: true, takes: ['left.locknut'] },
    { type: 'putLooseEnd', looseEnd: { id: 'loose1', place: 'stem', label: 'Stem', at, closedAt: null } },
  ];
}

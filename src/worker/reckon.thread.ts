import { parentPort } from 'node:worker_threads';
import { bodyOf, parseJson, reckon } from '@/core/reckon';
import { calculator } from '@/core/registry';
import type { LaneName } from './subjects';
import type { PassedOn, Question, ThreadAnswer } from './threads';

const STATUS = { ok: 200, refused: 400, 'unknown-id': 404 } as const;

function answer({ id, text }: Question): ThreadAnswer {
  const parsed = parseJson(text);
  if (!parsed.ok) return { status: 400, body: JSON.stringify({ errors: parsed.errors }) };
  const result = reckon(id, parsed.value);
  return { status: STATUS[result.status], body: JSON.stringify(bodyOf(result)) };
}

function told({ question, lane }: { question: Question; lane: LaneName }): ThreadAnswer | PassedOn {
  const isLong = lane === 'quick' && calculator(question.id)?.lane === 'long';
  return isLong ? { lane: 'long' } : answer(question);
}

parentPort?.on('message', (message: { question: Question; lane: LaneName }) => parentPort?.postMessage(told(message)));

import { parentPort } from 'node:worker_threads';
import { bodyOf, parseJson, reckon } from '@/core/reckon';
import type { Question, ThreadAnswer } from './threads';

const STATUS = { ok: 200, refused: 400, 'unknown-id': 404 } as const;

function answer({ id, text }: Question): ThreadAnswer {
  const parsed = parseJson(text);
  if (!parsed.ok) return { status: 400, body: JSON.stringify({ errors: parsed.errors }) };
  const result = reckon(id, parsed.value);
  return { status: STATUS[result.status], body: JSON.stringify(bodyOf(result)) };
}

parentPort?.on('message', (question: Question) => parentPort?.postMessage(answer(question)));

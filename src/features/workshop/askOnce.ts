import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import { Cancelled, type Reckoned } from '@/worker/lanes';

/** A calculator and what it is asked. */
export type Question = { [Id in CalculatorId]: { id: Id; input: QuestionOf<Id> } }[CalculatorId];

const answered = new Map<string, Reckoned>();
/** Questions that are being answered: another view that asks the same waits for the same answer. */
const asked = new Map<string, Promise<Reckoned>>();
const MOST_ANSWERS = 300;
/** What each caller asked last: whoever has turned to another question no longer asks the one before. */
const wanted = new Map<string, string>();

/** What a question is known by. */
export const keyOf = (id: CalculatorId, input: unknown): string => `${id} ${JSON.stringify(input)}`;

/** The answer that is remembered of a question. */
export const answerOf = (key: string): Reckoned | undefined => answered.get(key);

/** What a calculator said, or null where it refused or nothing is there yet. */
export function outputOf<Id extends CalculatorId>(_id: Id, result: Reckoned | 'failed' | null | undefined) {
  return result && result !== 'failed' && result.ok ? (result.output as AnswerOf<Id>) : null;
}

function remember(key: string, result: Reckoned): Reckoned {
  answered.set(key, result);
  if (answered.size > MOST_ANSWERS) answered.delete(answered.keys().next().value!);
  return result;
}

/** What starts the worker comes with the first question. */
const worker = () => import('@/worker/client');

/** Asks in the worker, where nobody is asking the same already, and remembers the answer; `onBetter` hears what is found on the way. Rejects when `caller` asks anew. */
export async function askOnce(caller: string, key: string, onBetter?: (output: unknown) => void): Promise<Reckoned> {
  // Answered for another view since whoever asks was drawn.
  const there = answered.get(key);
  if (there) return there;
  wanted.set(caller, key);
  try {
    return await (waitFor(caller, key) ?? ask(caller, key, onBetter));
  } finally {
    if (wanted.get(caller) === key) wanted.delete(caller);
  }
}

/** The answer that another is waiting for already; asked by `caller` itself when that other has turned away. */
function waitFor(caller: string, key: string): Promise<Reckoned> | undefined {
  return asked.get(key)?.catch((error: unknown) => {
    if (!(error instanceof Cancelled)) throw error;
    // Asked now, a question that `caller` has left would cancel the one it turned to.
    if (wanted.get(caller) !== key) throw error;
    return ask(caller, key);
  });
}

function ask(caller: string, key: string, onBetter?: (output: unknown) => void): Promise<Reckoned> {
  const space = key.indexOf(' ');
  const own = worker()
    .then(({ reckoner }) =>
      reckoner().reckon(
        caller,
        key.slice(0, space) as CalculatorId,
        JSON.parse(key.slice(space + 1)) as never,
        onBetter,
      ),
    )
    .then((result) => remember(key, result))
    .finally(() => {
      if (asked.get(key) === own) asked.delete(key);
    });
  asked.set(key, own);
  return own;
}

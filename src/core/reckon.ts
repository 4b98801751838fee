import { answer, type InputError } from './calculator';
import { calculator, calculatorIds } from './registry';

export type Reckoning =
  | { status: 'ok'; output: unknown }
  | { status: 'refused'; errors: InputError[]; more?: number }
  | { status: 'unknown-id'; errors: InputError[]; ids: string[] };

/** Runs a calculator by its id on unknown input; the way in for worker, command line and HTTP alike. */
export function reckon(id: string, input: unknown): Reckoning {
  const found = calculator(id);
  if (!found) {
    return {
      status: 'unknown-id',
      errors: [{ path: 'id', message: `"${id}" is no calculator; choose one of the ids listed` }],
      ids: calculatorIds(),
    };
  }
  const result = answer(found, input);
  if (result.ok) return { status: 'ok', output: result.output };
  const { errors, more } = result;
  return more === undefined ? { status: 'refused', errors } : { status: 'refused', errors, more };
}

/** A reckoning as every caller outside is told it. */
export function bodyOf(result: Reckoning): unknown {
  if (result.status === 'ok') return result.output;
  const { status: _status, ...body } = result;
  return body;
}

/** Parses JSON text, or says in words that it is none. */
export function parseJson(text: string): { ok: true; value: unknown } | { ok: false; errors: InputError[] } {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch {
    return { ok: false, errors: [{ path: '', message: 'this is not JSON: check brackets, quotes and commas' }] };
  }
}

import * as z from 'zod/mini';

z.config({ jitless: true });

/** A refused field: where it stands (dot-joined, '' for the whole input) and what to do about it. */
export interface InputError {
  path: string;
  message: string;
}

/** A calculator reachable by its id from the worker, the command line and over HTTP. */
export interface Calculator<
  Schema extends z.ZodMiniType = z.ZodMiniType,
  Output = unknown,
  Id extends string = string,
> {
  id: Id;
  title: string;
  /** Where it waits its turn: with those that may take longer than a blink, or with the quick ones that must not wait behind them. */
  lane?: 'long';
  /** A question that is answered: what a reader tries first, and what every calculator is tested with. */
  example: z.input<Schema>;
  input: Schema;
  /** `onBetter` hears better and better answers on the way, where it looks for the best for long. */
  run(input: z.output<Schema>, onBetter?: (output: Output) => void): Output;
}

/** Keeps the types of id, schema and output while checking the shape. */
export function defineCalculator<const Id extends string, Schema extends z.ZodMiniType, Output>(
  calculator: Calculator<Schema, Output, Id>,
): Calculator<Schema, Output, Id> {
  return calculator;
}

/** How many refused fields are told at once; of the rest it is said how many they are. */
const MOST_ERRORS = 20;

/** `more`: how many refused fields besides; left out where all are told. */
export interface Refusal {
  errors: InputError[];
  more?: number;
}
export type Answer<Output = unknown> = { ok: true; output: Output } | ({ ok: false } & Refusal);

/**
 * Parses unknown input with the calculator's schema and runs it.
 * Every refused field is listed at once; the run itself never sees unchecked data.
 */
export function answer<Schema extends z.ZodMiniType, Output>(
  calculator: Calculator<Schema, Output>,
  input: unknown,
  onBetter?: (output: Output) => void,
): Answer<Output> {
  const parsed = calculator.input.safeParse(input, { reportInput: true });
  if (!parsed.success) return { ok: false, ...refusal(parsed.error.issues) };
  return { ok: true, output: calculator.run(parsed.data, onBetter) };
}

function refusal(issues: readonly z.core.$ZodIssue[]): Refusal {
  // Only what is told is put into words: a long list of slips costs no more than a short one.
  const errors = inputErrors(issues.slice(0, MOST_ERRORS));
  const told = errors.slice(0, MOST_ERRORS);
  const more = errors.length - told.length + countErrors(issues.slice(MOST_ERRORS));
  return more > 0 ? { errors: told, more } : { errors: told };
}

function countErrors(issues: readonly z.core.$ZodIssue[]): number {
  return issues.reduce((sum, issue) => sum + (issue.code === 'unrecognized_keys' ? issue.keys.length : 1), 0);
}

/**
 * A rule that spans several fields. It is tried even when another field is already refused, so that all
 * errors come at once; a test that stumbles over a wrongly typed neighbour counts as passed, because that
 * neighbour has its own error. `message` may be built from the value.
 */
export function rule<Schema extends z.ZodMiniType>(
  schema: Schema,
  path: PropertyKey[],
  holds: (value: z.output<Schema>) => boolean,
  message: string | ((value: z.output<Schema>) => string),
): Schema {
  const ofFields = (schema as unknown as { _zod: { def: { type: string } } })._zod.def.type === 'object';
  const checked = schema.check(
    z.refine(
      (value) => {
        // What is no object at all is told so, and nothing is said of fields that it cannot have.
        if (ofFields && (typeof value !== 'object' || value === null || Array.isArray(value))) return true;
        try {
          return holds(value);
        } catch {
          return true;
        }
      },
      {
        path,
        error: (issue) => (typeof message === 'string' ? message : message(issue.input as z.output<Schema>)),
        when: () => true,
      },
    ),
  );
  return checked;
}

/**
 * A rule over rows of a list, each refused at its own path; tried, like `rule`, beside all other errors.
 * `faults` gives the path and what to do about it, for each row that breaks it.
 */
export function rowRule<Schema extends z.ZodMiniType>(
  schema: Schema,
  faults: (value: z.output<Schema>) => { path: (string | number)[]; message: string }[],
): Schema {
  const check = (payload: z.core.ParsePayload) => {
    try {
      for (const { path, message } of faults(payload.value as z.output<Schema>))
        payload.issues.push({ code: 'custom', input: payload.value, path, message });
    } catch {
      // A wrongly typed neighbour has its own error.
    }
  };
  // As the library makes one of a function, and tried whatever else is wrong; its own maker would bring all of its languages.
  return schema.check({ _zod: { check, def: { check: 'custom', when: () => true }, onattach: [] } });
}

/** Zod's issues as dot-joined paths with sentences for a mechanic. */
export function inputErrors(issues: readonly z.core.$ZodIssue[]): InputError[] {
  return issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({
        path: joined([...issue.path, key]),
        message: `"${key}" is not asked for here; check the spelling or leave it out`,
      }));
    }
    return [{ path: joined(issue.path), message: sentence(issue) }];
  });
}

function joined(path: readonly PropertyKey[]): string {
  return path.map(String).join('.');
}

const KINDS: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with named fields',
  null: 'nothing (null)',
};

function sentence(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type': {
      const wanted = KINDS[issue.expected] ?? issue.expected;
      if (issue.input === undefined) return `missing: give ${wanted}`;
      const found = typeof issue.input === 'string' ? `, not the text "${issue.input.slice(0, 40)}"` : '';
      return `give ${wanted}${found}`;
    }
    case 'too_small':
      if (issue.origin === 'array') return `give at least ${String(issue.minimum)}`;
      if (issue.origin === 'string') return 'give at least one character';
      return issue.inclusive
        ? `must be at least ${String(issue.minimum)}`
        : `must be more than ${String(issue.minimum)}`;
    case 'too_big':
      if (issue.origin === 'array') return `give at most ${String(issue.maximum)}`;
      if (issue.origin === 'string') return `use at most ${String(issue.maximum)} characters`;
      return issue.inclusive
        ? `must be at most ${String(issue.maximum)}`
        : `must be less than ${String(issue.maximum)}`;
    case 'invalid_value':
      if (issue.input === undefined) return `missing: choose one of ${issue.values.map(show).join(', ')}`;
      return issue.values.length === 1
        ? `must be ${show(issue.values[0])}`
        : `choose one of ${issue.values.map(show).join(', ')}`;
    case 'not_multiple_of':
      return issue.divisor === 1 ? 'give a whole number' : `must be a multiple of ${issue.divisor}`;
    case 'invalid_format':
      return issue.message.startsWith('Invalid') ? 'is not written as it should be' : issue.message;
    default:
      return issue.message;
  }
}

function show(value: unknown): string {
  return typeof value === 'string' ? value : JSON.stringify(value);
}

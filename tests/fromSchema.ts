import fc from 'fast-check';
import type * as z from 'zod/mini';

/** The parts of a schema's definition that are read here. */
interface Definition {
  type: string;
  shape?: Record<string, z.core.$ZodType>;
  element?: z.core.$ZodType;
  innerType?: z.core.$ZodType;
  keyType?: z.core.$ZodType;
  valueType?: z.core.$ZodType;
  options?: z.core.$ZodType[];
  values?: unknown[];
  entries?: Record<string, string | number>;
  format?: string;
  checks?: { _zod: { def: Check } }[];
}
interface Check {
  check: string;
  minimum?: number;
  maximum?: number;
  value?: number;
  inclusive?: boolean;
  format?: string;
  pattern?: RegExp;
}

const FEW_ROWS = 3;
/** Where a list has no bound of its own. */
const MANY_ROWS = 300;

/** How long lists are: a few rows, or as many as the schema takes. */
export type Rows = 'few' | 'most';
/** Names that are dangerous where a table is asked without care. */
const AWKWARD = ['constructor', 'toString', 'a/b', 'x.y', 'ä', ' '];

const definitionOf = (schema: z.core.$ZodType) => (schema as unknown as { _zod: { def: Definition } })._zod.def;
const checksOf = (definition: Definition) => (definition.checks ?? []).map((each) => each._zod.def);

function numbers(checks: Check[]): fc.Arbitrary<number> {
  let [low, high] = [-1e6, 1e6];
  let step = 0;
  for (const { check, value, inclusive } of checks) {
    // A bound that is not reached is kept clear of by a sliver.
    if (check === 'greater_than') low = Math.max(low, inclusive ? value! : value! + 1e-3);
    if (check === 'less_than') high = Math.min(high, inclusive ? value! : value! - 1e-3);
    if (check === 'multiple_of') step = value!;
  }
  if (high < low) high = low;
  if (step > 0)
    return fc.integer({ min: Math.ceil(low / step), max: Math.floor(high / step) }).map((count) => count * step);
  return fc.oneof(
    fc.constantFrom(low, high),
    fc.integer({ min: 0, max: 1000 }).map((share) => low + ((high - low) * share) / 1000),
  );
}

function texts(definition: Definition, ids?: readonly string[]): fc.Arbitrary<string> {
  const checks = checksOf(definition);
  const format = definition.format ?? checks.find(({ check }) => check === 'string_format')?.format;
  const moment = fc.integer({ min: 0, max: 1e9 }).map((s) => new Date(Date.UTC(2020, 0, 1) + s * 1000).toISOString());
  if (format === 'datetime') return moment;
  if (format === 'date') return moment.map((text) => text.slice(0, 10));
  const pattern = checks.find((each) => each.pattern)?.pattern;
  if (pattern) return fc.stringMatching(new RegExp(pattern.source.replace(/\[\^\\n\]\{1,90\}/, '[a-z]{1,9}')));
  const [min] = checks.filter(({ check }) => check === 'min_length').map(({ minimum }) => minimum!);
  const [max] = checks.filter(({ check }) => check === 'max_length').map(({ maximum }) => maximum!);
  if (ids && min === 1 && max === 64) return fc.constantFrom(...ids);
  const plain = fc.string({ minLength: min ?? 0, maxLength: Math.min(max ?? 12, 12) });
  const awkward = AWKWARD.filter((word) => word.length >= (min ?? 0) && word.length <= (max ?? 99));
  return awkward.length > 0 ? fc.oneof({ weight: 4, arbitrary: plain }, fc.constantFrom(...awkward)) : plain;
}

function objects(shape: Record<string, z.core.$ZodType>, rows: Rows, ids?: readonly string[]): fc.Arbitrary<unknown> {
  const optional = (schema: z.core.$ZodType) => ['optional', 'default', 'prefault'].includes(definitionOf(schema).type);
  const made = fc.record(
    Object.fromEntries(Object.entries(shape).map(([key, schema]) => [key, fromSchema(schema, rows, ids)])),
    {
      requiredKeys: Object.keys(shape).filter((key) => !optional(shape[key]!)),
    },
  );
  if (!['low', 'likely', 'high'].every((key) => key in shape)) return made;
  // A range is in order; the schema says so in a rule that cannot be read from outside.
  return made.map((range) => {
    const { low, likely, high } = range as Record<string, number>;
    const [a, b, c] = [low!, likely!, high!].sort((x, y) => x - y);
    return { ...range, low: a, likely: b, high: c };
  });
}

/**
 * Values that a schema takes, made from the schema itself: the ends of every range, names that every object is born with, a
 * field left out where it may be. Rules that span several fields are not known here; what breaks one is refused in words.
 * `ids` are the names that rows and places bear, where they are to meet.
 */
export function fromSchema(
  schema: z.core.$ZodType,
  rows: Rows = 'few',
  ids?: readonly string[],
): fc.Arbitrary<unknown> {
  const definition = definitionOf(schema);
  const inner = () => fromSchema(definition.innerType!, rows, ids);
  switch (definition.type) {
    case 'object':
      return objects(definition.shape!, rows, ids);
    case 'array': {
      const bound = (name: string, key: 'minimum' | 'maximum') =>
        checksOf(definition).find(({ check }) => check === name)?.[key];
      const least = bound('min_length', 'minimum') ?? 0;
      const most = bound('max_length', 'maximum') ?? MANY_ROWS;
      const few = { minLength: least, maxLength: Math.max(least, Math.min(most, least + FEW_ROWS)) };
      const each = fromSchema(definition.element!, rows, ids);
      // Not left to chance: the generator is shy of long lists.
      return rows === 'few' ? fc.array(each, few) : fc.array(each, { minLength: most, maxLength: most, size: 'max' });
    }
    case 'record':
      return fc
        .array(fc.tuple(fromSchema(definition.keyType!, rows, ids), fromSchema(definition.valueType!, rows, ids)), {
          maxLength: FEW_ROWS,
        })
        .map((pairs) => Object.fromEntries(pairs as [string, unknown][]));
    case 'string':
      return texts(definition, ids);
    case 'number':
      return numbers(checksOf(definition));
    case 'boolean':
      return fc.boolean();
    case 'enum':
      return fc.constantFrom(...Object.values(definition.entries!));
    case 'literal':
      return fc.constantFrom(...definition.values!);
    case 'nullable':
      return fc.option(inner());
    case 'optional':
    case 'default':
    case 'prefault':
      return inner();
    case 'union':
      return fc.oneof(...definition.options!.map((option) => fromSchema(option, rows, ids)));
    case 'unknown':
      return fc.jsonValue({ maxDepth: 1 });
    default:
      throw new Error(`no values are known for ${definition.type}`);
  }
}

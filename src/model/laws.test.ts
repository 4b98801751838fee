import fc from 'fast-check';
import * as z from 'zod/mini';
import { applyCommand, command, seenBy, type Command, type Envelope } from './commands';
import { newBicycle } from './fresh';
import { leaves, value } from './leaf';
import { changedLeaves, laterStands, leafValue, withoutEmptyRows } from './leaves';
import { mergeBicycles } from './merge';
import { bicycleRecord, type Bicycle } from './record';
import { same } from './same';
import { runs } from '../../tests/runs';
import { fromSchema } from '../../tests/fromSchema';

const AT = '2026-11-25T10:00:00.000Z';
const at = (minute: number) => new Date(Date.parse(AT) + minute * 60_000).toISOString();
/** Few names, so that commands meet on the same rows and places. */
const IDS = ['a', 'b'];
const options = (command as unknown as { def: { options: z.ZodMiniObject<{ type: z.ZodMiniLiteral<string> }>[] } }).def
  .options;
/** Those that speak of leaves and not of one field have laws of their own in `merge.test.ts`. */
const kinds = options
  .map((option) => ({ type: option.shape.type.def.values[0]!, made: fromSchema(option, 'few', IDS) }))
  .filter(({ type }) => type !== 'amend' && type !== 'settleConflict');

/** Commands of one kind, as far as its schema takes them. */
function sample({ made }: (typeof kinds)[number], count: number, seed: number): Command[] {
  const fit = fc.sample(made, { numRuns: count * 3, seed }).flatMap((each) => {
    const parsed = command.safeParse(each);
    return parsed.success ? [parsed.data] : [];
  });
  return fit.slice(0, count);
}

/** Two findings that stand, two parts in each tray, and two things identified. */
const seenAndOff = IDS.flatMap((name): Command[] => [
  {
    type: 'addObservation',
    observation: { id: name, check: name, at: AT, evidence: {}, seenAs: 'bought', note: '', withdrawn: false },
  },
  { type: 'markStep', place: name, step: name, done: true, takes: IDS },
  {
    type: 'putIdentified',
    identified: { id: name, kind: name, place: name, standard: name, name, readings: {}, at: AT },
  },
]);
/** What takes away is left out, so that there is something to take away. */
const ground = kinds
  .filter(({ type }) => !/^(withdraw|resume)/.test(type))
  .flatMap((kind) => sample(kind, 2, 7))
  .concat(seenAndOff)
  .reduce(
    (bicycle, step, i) => {
      const next = applyCommand(bicycle, { id: `ground${i}`, bicycle: 'b', at: at(i), command: step });
      const takes = changedLeaves(bicycle, next).some(
        ({ before: was, after: is }) => (was ?? null) !== null && (is ?? null) === null,
      );
      return takes ? bicycle : next;
    },
    newBicycle('b', AT, 'Green tourer'),
  );
/** A bicycle on which something of every kind was done, and that two devices have since the last of it. */
const base: Bicycle = { ...ground, sharedAt: at(400), conflicts: [] };

/** A command as one of two sends it, who has seen no more than the base. */
function given(id: string, minute: number, step: Command): { sent: Envelope; alone: Bicycle; leaves: string[] } {
  const bare = { id, bicycle: 'b', at: at(minute), command: step };
  const seen = seenBy(base, applyCommand(base, bare));
  const touched = Object.keys(seen);
  const sent = { ...bare, seen };
  return { sent, alone: touched.length > 0 ? applyCommand(base, sent) : base, leaves: touched };
}
/** What changes nothing where it is given is not sent. */
const after = (bicycle: Bicycle, { sent, leaves: touched }: ReturnType<typeof given>) =>
  touched.length > 0 ? applyCommand(bicycle, sent) : bicycle;

/** What was entered into a leaf: what it holds, but for what a row is born with. */
const entered = (bicycle: Bicycle, leaf: string) =>
  withoutEmptyRows([{ leaf, after: leafValue(bicycle, leaf) }])[0]?.after;

const isAsked = (bicycle: Bicycle, leaf: string) => bicycle.conflicts.some((row) => row.leaf === leaf);

/** Why two orders may leave a leaf different; null where nothing allows it. */
function reason(leaf: string, one: Bicycle, other: Bicycle): string | null {
  const later = laterStands(leaf);
  if (later !== undefined) return later;
  if (isAsked(one, leaf) && isAsked(other, leaf)) return 'a person is asked';
  // Whoever took it out gives way: what was entered stands, or is asked about where it is gone.
  const [here, there] = [leafValue(one, leaf), leafValue(other, leaf)];
  if (here === undefined && isAsked(one, leaf)) return 'what was entered stands before what was taken out';
  if (there === undefined && isAsked(other, leaf)) return 'what was entered stands before what was taken out';
  return null;
}

describe('every pair of commands commutes, or differs for a stated reason', () => {
  const per = runs(8, 1);
  const samples = kinds.map((kind, i) => ({
    type: kind.type,
    left: sample(kind, per + 1, i + 1).map((step) => given('a', 500, step)),
    right: sample(kind, per + 1, i + 1001).map((step) => given('b', 501, step)),
  }));
  const pairs = samples.flatMap((one, i) =>
    samples.slice(i).flatMap((other) => {
      // Of one kind, or on one part of the record, more are tried.
      const heads = (list: ReturnType<typeof given>[]) =>
        new Set(list.flatMap((each) => each.leaves).map((leaf) => leaf.split('/')[0]));
      const meet = [...heads(one.left)].some((head) => heads(other.right).has(head));
      return one.left
        .slice(0, meet ? undefined : per)
        .map((a, n) => ({ name: `${one.type} and ${other.type}`, a, b: other.right[n % other.right.length]!, meet }));
    }),
  );

  test('in two tabs', () => {
    const wrong: string[] = [];
    for (const { name, a, b } of pairs) {
      const [ab, ba] = [after(a.alone, b), after(b.alone, a)];
      for (const { leaf } of changedLeaves(ab, ba)) if (reason(leaf, ab, ba) === null) wrong.push(`${name}: ${leaf}`);
    }
    expect(wrong).toEqual([]);
  });

  test('on two devices, whichever copy arrives at which', () => {
    const wrong: string[] = [];
    for (const { name, a, b } of pairs.filter(({ meet }) => meet)) {
      const [one, other] = [mergeBicycles(a.alone, b.alone), mergeBicycles(b.alone, a.alone)];
      for (const { leaf } of changedLeaves(one, other)) wrong.push(`${name}: ${leaf}, by who merges`);
      for (const leaf of new Set([...a.leaves, ...b.leaves])) {
        const [merged, was] = [entered(one, leaf), entered(base, leaf)];
        const [here, there] = [entered(a.alone, leaf), entered(b.alone, leaf)];
        if (
          same(here, there)
            ? same(merged, here)
            : same(was, here)
              ? same(merged, there)
              : same(was, there) && same(merged, here)
        )
          continue;
        // Both changed it, to different values: one of them stands, and the other is asked about or was a taking out.
        const stands = same(merged, here) ? there : same(merged, there) ? here : 'neither';
        if (stands === 'neither') wrong.push(`${name}: ${leaf} is neither`);
        else if (stands !== undefined && laterStands(leaf) === undefined && !isAsked(one, leaf))
          wrong.push(`${name}: ${leaf} is lost`);
      }
    }
    expect(wrong).toEqual([]);
  });

  test('every kind of command changes something of the bicycle on which something of every kind was done', () => {
    const changes = (on: Bicycle, step: Command) =>
      changedLeaves(on, applyCommand(on, { id: 'x', bicycle: 'b', at: at(500), command: step })).length > 0;
    // What only takes up what another laid down, as a pause and going on, does it after that other.
    const grounds = [base, ...kinds.flatMap((kind) => sample(kind, 1, 3)).map((step) => given('y', 450, step))].map(
      (each) => ('sent' in each ? after(base, each) : each),
    );
    const idle = kinds.filter((kind) => {
      const steps = sample(kind, 30, 5);
      return !grounds.some((on) => steps.some((step) => changes(on, step)));
    });
    expect(idle.map(({ type }) => type)).toEqual([]);
  });
});

describe('every field of the record says how it changes', () => {
  const { shape } = bicycleRecord;
  test.each(Object.keys(shape))('%s', (name) => expect(leaves.get(shape[name as keyof typeof shape])).toBeDefined());

  /** Lists and tables that lie within fields, and say nothing of themselves. */
  function silent(schema: z.ZodMiniType, path: string): string[] {
    const { def } = schema as unknown as {
      def: { type: string; innerType?: z.ZodMiniType; shape?: Record<string, z.ZodMiniType>; element?: z.ZodMiniType };
    };
    const kind = leaves.get(schema)?.kind;
    if (def.innerType) return silent(def.innerType, path);
    if (kind !== undefined && kind !== 'fields') return [];
    if (def.type === 'object')
      return Object.entries(def.shape!).flatMap(([field, inner]) =>
        kind === 'fields' || path === '' ? silent(inner, `${path}/${field}`) : [],
      );
    if (def.type === 'array' && kind === 'fields')
      return Object.entries((def.element as z.ZodMiniObject).shape as Record<string, z.ZodMiniType>).flatMap(
        ([field, inner]) => silent(inner, `${path}/${field}`),
      );
    return (def.type === 'array' || def.type === 'record') && kind === undefined ? [path] : [];
  }
  test('also every list and table within its fields', () => expect(silent(bicycleRecord, '')).toEqual([]));

  test('a list or a table that says nothing of itself is found', () =>
    expect(silent(z.strictObject({ told: value(z.array(z.string())), strange: z.array(z.string()) }), '')).toEqual([
      '/strange',
    ]));
});

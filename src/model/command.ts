import type { Draft } from 'immer';
import * as z from 'zod/mini';
import type { WorkedOn } from './prove/part';
import type { Bicycle } from './record';

/** What a change does to the bicycle itself, as far as something may have been signed that leans on it. */
export type Work = Omit<WorkedOn, 'id' | 'at'>;

/** One kind of work at a place. Example: `work('hub.front', 'off')`. */
export function work(place: string, kind: WorkedOn['kind'], more: Partial<Work> = {}): Work {
  return { place, kind, bolt: null, job: null, ...more };
}

/** Changes that nobody asks to take back have no words: where the bench stands, that somebody is still at it. */
type Told<Step> =
  { quiet: true; words?: undefined } | { quiet?: undefined; words(step: Step, before: Bicycle): string };

interface Changing<Step> {
  /** Changes the draft. What stands as it should already is left as it is, so that a replay changes nothing. */
  apply(bicycle: Draft<Bicycle>, step: Step): void;
  /** What was worked on by it. Withdrawing a mistake is no work. */
  work?(step: Step, before: Bicycle): Work[];
}

export type CommandSchema<Type extends string, Shape extends z.core.$ZodShape> = z.ZodMiniObject<
  { type: z.ZodMiniLiteral<Type> } & Shape,
  z.core.$strict
>;
export type CommandOf<Type extends string, Shape extends z.core.$ZodShape> = {
  type: Type;
  schema: CommandSchema<Type, Shape>;
} & Told<z.output<CommandSchema<Type, Shape>>> &
  Changing<z.output<CommandSchema<Type, Shape>>>;

/**
 * A change that can be made to a bicycle: its name, its fields, what it does to the record, what it is called when it can be
 * taken back, and what it does to the bicycle itself. Rows carry their ids, so that a replayed command changes nothing.
 *
 * Example: `defineCommand({ type: 'setBrief', schema: { brief: z.enum(BRIEFS) }, apply: …, words: … })`.
 */
export function defineCommand<const Type extends string, Shape extends z.core.$ZodShape>({
  type,
  schema,
  ...rest
}: { type: Type; schema: Shape } & Told<z.output<CommandSchema<Type, Shape>>> &
  Changing<z.output<CommandSchema<Type, Shape>>>): CommandOf<Type, Shape> {
  return { type, schema: z.strictObject({ type: z.literal(type), ...schema }), ...rest };
}

/** Puts a row into its list, in the place of one that bears its id. */
export function put<Row extends { id: string }>(rows: Draft<Row>[], row: Row): void {
  const found = rows.findIndex((old) => old.id === row.id);
  if (found < 0) rows.push(row as Draft<Row>);
  else rows[found] = row as Draft<Row>;
}

export function remove<Row extends { id: string }>(rows: Draft<Row>[], id: string): void {
  const found = rows.findIndex((old) => old.id === id);
  if (found >= 0) rows.splice(found, 1);
}

export function rowOf<Row extends { id: string }>(rows: Row[], id: string): Row | undefined {
  return rows.find((each) => each.id === id);
}

/** A field that is there or is not. */
export function setOrDrop<Value>(fields: Record<string, Value>, name: string, value: Value | null): void {
  if (value === null) delete fields[name];
  else fields[name] = value;
}

/** A list of different words with one that is in it or is not; the very list where it stands so already. */
export function toggled(list: string[], element: string, isIn: boolean): string[] {
  if (list.includes(element) === isIn) return list;
  return isIn ? [...list, element] : list.filter((each) => each !== element);
}

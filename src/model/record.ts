import * as z from 'zod/mini';
import { at, id, type Held } from './fields';
import { kept } from './leaf';
import { stamp } from './stamp';
import * as subjects from './subjects';
import { SCHEMA_VERSION } from './version';

z.config({ jitless: true });

type Subject = (typeof subjects)[keyof typeof subjects];
type Both<Union> = (Union extends unknown ? (each: Union) => void : never) extends (all: infer Every) => void
  ? Every
  : never;
type All = Both<Subject['part']>;
type Shape = { [Field in keyof All]: All[Field] };
/** What the subjects hold of a bicycle. */
export type Parts = Held<Shape>;

/** The parts of all subjects. */
const parts = Object.assign({}, ...Object.values(subjects).map(({ part }) => part)) as Shape;

/** Two values of one field that were entered without knowing of each other; both are kept until a person chooses. */
export const conflict = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(600)),
  leaf: z.string().check(z.maxLength(400)),
  kept: z.unknown(),
  other: z.unknown(),
  at,
});
export type Conflict = z.output<typeof conflict>;

/** One bicycle, whole: what was seen, decided, done and paid. What follows from it is computed and never stored. */
export const bicycleRecord = z.strictObject({
  schemaVersion: kept(z.literal(SCHEMA_VERSION)),
  id: kept(id),
  revision: kept(z.number().check(z.multipleOf(1), z.gte(0))),
  createdAt: kept(at),
  updatedAt: kept(at),
  /** Ids of the last commands, so that a replayed one changes nothing. */
  recent: kept(z.array(id).check(z.maxLength(100))),
  ...parts,
  conflicts: kept(z.array(conflict)),
  /** When, and by which command, each field or row last changed; what a merge decides by. */
  stamps: kept(z.record(z.string().check(z.maxLength(400)), stamp)),
  /** When this bicycle was last sent to or taken from another device; changes after it may collide. */
  sharedAt: kept(z.nullable(at)),
});
export type Bicycle = z.output<typeof bicycleRecord>;

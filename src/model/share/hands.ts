import * as z from 'zod/mini';
import { momentOf } from '../stamps';
import type { Replica } from './replica';

export const HANDS = 'hands';

const words = z.string().check(z.maxLength(80));
/** Where somebody is, and on which device. */
export const whereabouts = z.strictObject({
  /** Who, as they are called in this workshop. */
  name: words,
  /** What their device is called. */
  device: words,
  bicycle: z.nullable(z.string().check(z.maxLength(120))),
  stage: z.nullable(words),
});
export type Whereabouts = z.output<typeof whereabouts>;

/** Somebody, on one device, and when they last did anything there. */
export interface Hand extends Whereabouts {
  id: string;
  at: string;
}

/** Everybody that the folder tells of, the last first. What cannot be read is left out. */
export function handsOf(replica: Replica): Hand[] {
  return replica
    .leavesOf(HANDS)
    .flatMap(({ leaf, value, stamp }): Hand[] => {
      const said = whereabouts.safeParse(value);
      return said.success ? [{ ...said.data, id: leaf, at: momentOf(stamp) }] : [];
    })
    .toSorted((a, b) => (a.at > b.at ? -1 : 1));
}

/** The device of a writer, which is one of its lives. Example: `laptop.a1` → `laptop`. */
export const deviceOf = (writer: string): string => writer.split('.')[0]!;

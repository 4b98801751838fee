import * as z from 'zod/mini';
import type { Replica } from './replica';

export const PHOTOGRAPHS = 'photographs';

/** A photograph or a sound: the sum of its content, under which it lies, and what it is. */
const photograph = z.strictObject({
  sum: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
  type: z.string().check(z.regex(/^(image\/(jpeg|png|webp)|audio\/[\w.+-]+)(;.*)?$/), z.maxLength(80)),
});
export type Photograph = z.output<typeof photograph>;

/** Every photograph that the folder tells of, by its id. What is neither a picture nor a sound is passed over. */
export function photographsOf(replica: Replica): Map<string, Photograph> {
  return new Map(
    replica.leavesOf(PHOTOGRAPHS).flatMap(({ leaf, value }) => {
      const said = photograph.safeParse(value);
      return said.success ? [[leaf, said.data] as const] : [];
    }),
  );
}

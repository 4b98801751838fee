import * as z from 'zod/mini';
import type { Replica } from './replica';

const PHOTOGRAPHS = 'photographs';

/** The record that tells of a photograph: one for all whose ids begin alike, so that a new one writes little anew. Example: `4f1c…` → `photographs/4f`. */
export const photographRecord = (id: string): string =>
  `${PHOTOGRAPHS}/${id
    .slice(0, 2)
    .toLowerCase()
    .replaceAll(/[^0-9a-z]/g, '_')}`;

/** A photograph or a sound: the sum of its content, under which it lies, and what it is. */
const photograph = z.strictObject({
  sum: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
  type: z.string().check(z.regex(/^(image\/(jpeg|png|webp)|audio\/[\w.+-]+)(;.*)?$/), z.maxLength(80)),
});
export type Photograph = z.output<typeof photograph>;

/** Every photograph that the folder tells of, by its id. What is neither a picture nor a sound is passed over. */
export function photographsOf(replica: Replica): Map<string, Photograph> {
  return new Map(
    replica
      .recordNames()
      .filter((record) => record.startsWith(`${PHOTOGRAPHS}/`))
      .flatMap((record) => replica.leavesOf(record))
      .flatMap(({ leaf, value }) => {
        const said = photograph.safeParse(value);
        return said.success ? [[leaf, said.data] as const] : [];
      }),
  );
}

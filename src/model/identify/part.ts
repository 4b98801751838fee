import * as z from 'zod/mini';
import { at, type Held, id } from '../fields';
import { rows } from '../leaf';

/** What a part turned out to be, with the readings that said so. */
export const identified = z.strictObject({
  id,
  kind: id,
  place: id,
  standard: z.string().check(z.minLength(1), z.maxLength(200)),
  name: z.string().check(z.minLength(1), z.maxLength(200)),
  readings: z.record(id, z.union([z.number(), z.string().check(z.maxLength(40))])),
  at,
});
export type Identified = z.output<typeof identified>;

/** What parts turned out to be. */
export const part = {
  identified: rows(z.array(identified), { most: 500, words: 'parts told by the gauges', where: 'the gauge drawer' }),
};

export const fresh = (): Held<typeof part> => ({ identified: [] });

import { z } from 'zod';
import { at, type Held, id, label, person } from '../fields';
import { fields, rows } from '../leaf';

export const signature = z.strictObject({
  id,
  bolt: id,
  how: z.enum(['wrench', 'feel']),
  valueNm: z.number().gt(0).max(300).nullable(),
  at,
  by: person.default(''),
  /** By feel: its hold was tried. */
  holdTest: z.boolean().default(false),
});
export type Signature = z.output<typeof signature>;

/** Something put together "for now", to be tightened before anyone rides. */
export const looseEnd = z.strictObject({ id, place: id, label, at, closedAt: at.nullable() });
export type LooseEnd = z.output<typeof looseEnd>;

/** Bolts: their sizes, their signatures, what is loose for now. */
export const part = {
  signatures: rows(z.array(signature), { most: 5000, words: 'signatures', where: 'Rebuild', order: 'at' }),
  looseEnds: rows(z.array(looseEnd), { most: 1000, words: 'loose ends', where: 'Rebuild', order: 'at' }),
  /** Sizes of bolts that differ from bicycle to bicycle, as they were chosen, by bolt. */
  boltSizes: fields(z.record(id, z.string().max(40)), { words: 'the size of a bolt' }),
};

export const fresh = (): Held<typeof part> => ({ signatures: [], looseEnds: [], boltSizes: {} });

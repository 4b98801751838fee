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

/** A fastener as it was chosen; nothing where it is the usual one. */
export const fastener = z.strictObject({
  size: z.string().max(40).nullable(),
  thread: z.string().max(60).nullable(),
  engagedMm: z.number().gt(0).max(200).nullable(),
  /** The strength class on its head, such as 8.8. */
  strength: z.string().max(20).nullable(),
  washer: z.string().max(60).nullable(),
  threadlock: z.string().max(60).nullable(),
  /** The figure that the part itself bears, which goes before any table. */
  ownMinNm: z.number().gt(0).max(300).nullable(),
  ownMaxNm: z.number().gt(0).max(300).nullable(),
});
export type Fastener = z.output<typeof fastener>;

/** A fastener of which nothing was chosen. */
export const USUAL_FASTENER: Fastener = {
  size: null,
  thread: null,
  engagedMm: null,
  strength: null,
  washer: null,
  threadlock: null,
  ownMinNm: null,
  ownMaxNm: null,
};

/** Bolts: their fasteners, their signatures, what is loose for now. */
export const part = {
  signatures: rows(z.array(signature), { most: 5000, words: 'signatures', where: 'Rebuild', order: 'at' }),
  looseEnds: rows(z.array(looseEnd), { most: 1000, words: 'loose ends', where: 'Rebuild', order: 'at' }),
  /** Fasteners that differ from bicycle to bicycle, as they were chosen, by bolt. */
  fasteners: fields(z.record(id, fastener), { words: 'a fastener' }),
};

export const fresh = (): Held<typeof part> => ({ signatures: [], looseEnds: [], fasteners: {} });

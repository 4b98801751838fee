import * as z from 'zod/mini';
import { COMPOUNDS } from '@/core/rebuild/joints';
import { at, type Held, id, label, person } from '../fields';
import { fields, rows, value } from '../leaf';

export const signature = z.strictObject({
  id,
  bolt: id,
  how: z.enum(['wrench', 'feel']),
  valueNm: z.nullable(z.number().check(z.gt(0), z.lte(300))),
  at,
  by: z._default(person, ''),
  /** By feel: its hold was tried. */
  holdTest: z._default(z.boolean(), false),
  /** Worked on here, or only looked at in the round. */
  what: z._default(z.enum(['done', 'checked']), 'done'),
  /** It was under its figure when the round came to it. */
  foundLoose: z._default(z.boolean(), false),
});
export type Signature = z.output<typeof signature>;

/** What went into a joint, where somebody said so. */
export const jointFill = z.strictObject({ used: z.enum(COMPOUNDS), at, by: z._default(person, '') });
export type JointFill = z.output<typeof jointFill>;

/** How deep a post or a quill stands, and what its mark asks for. */
const depthMm = z.nullable(z.number().check(z.gt(0), z.lte(500)));
export const insertion = z.strictObject({ insertedMm: depthMm, minimumMm: depthMm });
export type Insertion = z.output<typeof insertion>;

/** What tells how a rider sits: the saddle over the crank, behind it, from saddle to bar, and the bar over the ground. */
export const FIT_MEASURES = ['saddle-height', 'saddle-setback', 'reach', 'bar-height'] as const;
export type FitMeasure = (typeof FIT_MEASURES)[number];
const fitMm = z.nullable(z.number().check(z.gte(-300), z.lte(1500)));
/** One measure as it was before the strip, and as it is given back. */
export const fitOf = z.strictObject({ beforeMm: fitMm, givenMm: fitMm });
export type FitOf = z.output<typeof fitOf>;

/** What is known of the rider, from whom the place to sit is reckoned. */
export const RIDER_FIGURES = ['height', 'inside-leg', 'forearm', 'crank'] as const;
export type RiderFigure = (typeof RIDER_FIGURES)[number];
const riderMm = z.number().check(z.gte(50), z.lte(2300));

/** What stands on a threadless steerer, by what it is; its spacers are told one by one. */
export const STACK_PARTS = ['steerer', 'head-tube', 'headset', 'stem'] as const;
export type StackPart = (typeof STACK_PARTS)[number];
const stackMm = z.number().check(z.gte(0), z.lte(600));
/** One spacer, and on which side of the stem it is. */
export const spacer = z.strictObject({
  id,
  heightMm: z.number().check(z.gt(0), z.lte(60)),
  side: z.enum(['below', 'above']),
  at,
});
export type Spacer = z.output<typeof spacer>;

/** Something put together "for now", to be tightened before anyone rides. */
export const looseEnd = z.strictObject({ id, place: id, label, at, closedAt: z.nullable(at) });

/** A fastener as it was chosen; nothing where it is the usual one. */
export const fastener = z.strictObject({
  size: z.nullable(z.string().check(z.maxLength(40))),
  thread: z.nullable(z.string().check(z.maxLength(60))),
  engagedMm: z.nullable(z.number().check(z.gt(0), z.lte(200))),
  /** The strength class on its head, such as 8.8. */
  strength: z.nullable(z.string().check(z.maxLength(20))),
  washer: z.nullable(z.string().check(z.maxLength(60))),
  threadlock: z.nullable(z.string().check(z.maxLength(60))),
  /** The figure that the part itself bears, which goes before any table. */
  ownMinNm: z.nullable(z.number().check(z.gt(0), z.lte(300))),
  ownMaxNm: z.nullable(z.number().check(z.gt(0), z.lte(300))),
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
  /** What lies in no tray and was taken off all the same: bars, cables, tape. */
  tookOff: fields(z.record(id, z.boolean())),
  /** What went into which joint, by joint and place. */
  jointFills: fields(z.record(id, jointFill)),
  /** Where the rider sits, by measure; and whether the height of the bar is settled. */
  fit: fields(z.record(id, fitOf)),
  barSettled: value(z.nullable(z.boolean())),
  /** The rider's own figures, by what they are. */
  rider: fields(z.record(id, riderMm), { words: 'the rider' }),
  stack: fields(z.record(id, stackMm), { words: 'on the steerer' }),
  spacers: rows(z.array(spacer), { most: 40, words: 'spacers', where: 'Rebuild', order: 'at' }),
  /** Post and quill, by place. */
  insertions: fields(z.record(id, insertion)),
};

export const fresh = (): Held<typeof part> => ({
  signatures: [],
  looseEnds: [],
  fasteners: {},
  tookOff: {},
  jointFills: {},
  fit: {},
  barSettled: null,
  rider: {},
  stack: {},
  spacers: [],
  insertions: {},
});

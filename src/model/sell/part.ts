import * as z from 'zod/mini';
import { minorUnits } from '@/core/fields';
import { LISTING_PARTS } from '@/core/sell/listingParts';
import { at, id, label, person, text, type Held } from '../fields';
import { fields, rows, value } from '../leaf';

/** A sentence of the listing as a person wrote it, and the record’s own that it stands for. */
export const listingEdit = z.strictObject({ text, of: text });

export const listing = z.strictObject({
  tone: z.enum(['plain', 'warm']),
  length: z.enum(['short', 'full']),
  forWhom: text,
  /** Days that such a one stands at the usual price, what a day on the floor costs, and the fee of whoever sells it. */
  usualDays: z.number().check(z.gt(0), z.lte(3650)),
  heldPerDay: minorUnits,
  feePercent: z.number().check(z.gte(0), z.lt(100)),
  /** What is asked for it, and since when. */
  ask: z.nullable(minorUnits),
  askedOn: z.nullable(z.iso.date()),
  /** A step down that has its date. */
  stepTo: z.nullable(minorUnits),
  stepOn: z.nullable(z.iso.date()),
});

/** Something to be had with it, at a surcharge or for nothing. */
export const option = z.strictObject({ id, label, price: minorUnits });
/** A question that came back, and its answer, which goes into the text. */
export const buyersQuestion = z.strictObject({ id, at, asked: label, answer: text });
/** An offer, by whom and to the hour. */
export const offer = z.strictObject({
  id,
  at,
  amount: minorUnits,
  who: person,
  answer: z.nullable(z.enum(['taken', 'declined'])),
});
export type Offer = z.output<typeof offer>;

/** Money that keeps it for somebody, until a day. */
export const deposit = z.strictObject({
  amount: minorUnits,
  who: person,
  on: z.iso.date(),
  until: z.nullable(z.iso.date()),
});
/** A buyer’s test ride: what stays as security, and when it came back. */
export const testRide = z.strictObject({ id, at, who: person, left: label, backAt: z.nullable(at) });

/** A bicycle that came back after it was sold: why, and what that took. */
export const comeback = z.strictObject({
  id,
  at,
  cause: label,
  minutes: z.number().check(z.gte(0), z.lte(10_080)),
  parts: minorUnits,
  refund: minorUnits,
});
export type Comeback = z.output<typeof comeback>;

/** How a dealer’s tax falls; never guessed. */
export const TAX_SCHEMES = ['none', 'all', 'margin'] as const;
export const dealing = z.strictObject({
  scheme: z.nullable(z.enum(TAX_SCHEMES)),
  percent: z.number().check(z.gte(0), z.lt(100)),
  warranty: text,
  receipt: z.nullable(z.string().check(z.maxLength(80))),
});

/** What was kept from the tip, beside money: counted where a house counts it. */
export const saved = z.strictObject({
  weightKg: z.nullable(z.number().check(z.gt(0), z.lte(200))),
  partsReused: z.nullable(z.number().check(z.multipleOf(1), z.gte(0), z.lte(1000))),
  learners: z.nullable(z.number().check(z.multipleOf(1), z.gte(0), z.lte(1000))),
  learningHours: z.nullable(z.number().check(z.gte(0), z.lte(10_000))),
});

/** Selling: words, price, offers, papers, and what comes back. */
export const part = {
  listing: fields(listing, { words: 'the listing' }),
  listingEdits: fields(z.partialRecord(z.enum(LISTING_PARTS), listingEdit), { words: 'a sentence of the listing' }),
  saleOptions: rows(z.array(option), { most: 30, words: 'options', where: 'Hand over' }),
  notOriginal: rows(z.array(z.strictObject({ id, label })), {
    most: 60,
    words: 'parts that are not original',
    where: 'Hand over',
  }),
  buyersQuestions: rows(z.array(buyersQuestion), { most: 100, words: 'questions', where: 'Hand over', order: 'at' }),
  offers: rows(z.array(offer), { most: 200, words: 'offers', where: 'Hand over', order: 'at' }),
  deposit: value(z.nullable(deposit), { words: 'the deposit' }),
  testRides: rows(z.array(testRide), { most: 100, words: 'test rides', where: 'Hand over', order: 'at' }),
  comebacks: rows(z.array(comeback), { most: 50, words: 'comebacks', where: 'Hand over', order: 'at' }),
  dealing: fields(dealing, { words: 'how it is sold' }),
  saved: fields(saved, { words: 'what was saved' }),
  /** What was packed for carriage, and what the receiver puts together: steps that are done. */
  packing: fields(z.record(id, z.literal(true)), { words: 'the packing' }),
};

export const fresh = (): Held<typeof part> => ({
  listing: {
    tone: 'plain',
    length: 'full',
    forWhom: '',
    usualDays: 14,
    heldPerDay: 100,
    feePercent: 0,
    ask: null,
    askedOn: null,
    stepTo: null,
    stepOn: null,
  },
  listingEdits: {},
  saleOptions: [],
  notOriginal: [],
  buyersQuestions: [],
  offers: [],
  deposit: null,
  testRides: [],
  comebacks: [],
  dealing: { scheme: null, percent: 0, warranty: '', receipt: null },
  packing: {},
  saved: { weightKg: null, partsReused: null, learners: null, learningHours: null },
});

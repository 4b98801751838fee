import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { minorUnits } from '../fields';
import { row, type WorkingRow } from '../verdict';
import { CABLE_KINDS, CABLE_WORDS, type CableKind } from './kinds';
import { planCuts, type Cut, type CutPlan, type Piece, type StockLength } from './planCuts';

const id = z.string().check(z.minLength(1), z.maxLength(64));
const lengthMm = z.number().check(z.gt(0), z.lte(100_000));
const head = z.string().check(z.minLength(1), z.maxLength(40));

const input = z.strictObject({
  pieces: z
    .array(z.strictObject({ id, lengthMm, kind: z.optional(z.enum(CABLE_KINDS)), head: z.optional(head) }))
    .check(
      z.maxLength(40),
      z.refine((pieces) => new Set(pieces.map((piece) => piece.id)).size === pieces.length, {
        error: 'two pieces have one id',
      }),
    ),
  stock: z
    .array(
      z.strictObject({
        id,
        lengthMm,
        count: z.number().check(z.multipleOf(1), z.gte(0), z.lte(1000)),
        price: minorUnits.check(z.describe('of one such length; what lies in the drawer has 0')),
        maxPieces: z.nullable(z.number().check(z.multipleOf(1), z.gte(1), z.lte(40))),
        kind: z.optional(z.enum(CABLE_KINDS)),
        heads: z.optional(z.array(head).check(z.maxLength(2))),
      }),
    )
    .check(
      z.maxLength(60),
      z.refine((stock) => new Set(stock.map((each) => each.id)).size === stock.length, {
        error: 'two lengths of stock have one id',
      }),
    ),
  kerfMm: z._default(z.number().check(z.gte(0), z.lte(20)), 0).check(z.describe('lost at each cut')),
  spareMm: z._default(z.number().check(z.gte(0), z.lte(1000)), 0).check(z.describe('added to each piece')),
  keepFromMm: z
    ._default(z.number().check(z.gte(0), z.lte(100_000)), 300)
    .check(z.describe('from this length on a rest is kept, and is no waste')),
});

export interface CutList {
  cuts: Cut[];
  cost: number;
  wasteMm: number;
  /** Pieces that nothing which is there gives: these are to be bought. */
  shortfall: string[];
  proven: boolean;
  reasons: string[];
  working: WorkingRow[];
}

/** Why a piece is wanting: nothing of its kind, no head of its form, all too short, or all of it gone to others. */
function whyNot(piece: Piece, stock: readonly StockLength[], takesMm: number): string {
  const called = piece.kind ? CABLE_WORDS[piece.kind as CableKind] : 'cable';
  const alike = stock.filter(({ kind, count }) => kind === piece.kind && count > 0);
  if (alike.length === 0) return `${piece.id}: no ${called} is there.`;
  const headed = alike.filter(({ heads }) => piece.head === undefined || heads?.includes(piece.head));
  if (headed.length === 0) return `${piece.id}: no ${called} with such a head (${piece.head}).`;
  if (headed.every(({ lengthMm: long }) => long < takesMm))
    return `${piece.id}: every ${called} is too short for ${takesMm} mm.`;
  return `${piece.id}: what there is of ${called} goes to other pieces.`;
}

/**
 * From what a bicycle's cables are cut: most pieces, then the most of their length, then the least money, the least waste,
 * and the fewest lengths opened. Kind and head agree or nothing is cut: index outer is never used for a brake.
 *
 * Each piece takes length + spare + kerf; a rest under `keepFromMm` is waste. Up to ten pieces the list is proven by weighing every
 * set of pieces against every length; beyond that it is improved ten pieces at a time and said not to be proven.
 *
 * Units: mm, minor units of money. Errors: two pieces of one id, lengths below zero. Source: arithmetic; the workshop's order of what
 * matters. Example: 700 and 900 mm from a rest of 1,700 in the drawer: nothing is bought, 100 mm are waste.
 */
function run({ pieces, stock, kerfMm, spareMm, keepFromMm }: z.output<typeof input>): CutList {
  const takes = (piece: Piece) => piece.lengthMm + spareMm + kerfMm;
  const plan: CutPlan = planCuts(pieces, stock, { takes, keepFromMm });
  const wanting = pieces.filter((piece) => plan.shortfall.includes(piece.id));
  return {
    ...plan,
    reasons: [
      pieces.length === 0
        ? 'Nothing is to be cut.'
        : wanting.length === 0
          ? `Everything is cut from ${plan.cuts.length === 1 ? 'one length' : `${plan.cuts.length} lengths`}.`
          : `${wanting.length} of ${pieces.length} ${wanting.length === 1 ? 'is' : 'are'} wanting.`,
      ...wanting.map((piece) => whyNot(piece, stock, takes(piece))),
      ...(plan.proven ? [] : ['More than ten pieces: good, and not proven to be the best.']),
    ],
    working: [
      row('n', 'pieces cut', pieces.length - wanting.length),
      row(
        'L',
        'their length with spare and kerf',
        sumOf(pieces.filter((each) => !wanting.includes(each)).map(takes)),
        'mm',
      ),
      row('w', `waste, rests under ${keepFromMm} mm`, plan.wasteMm, 'mm'),
      row('k', 'lengths opened', plan.cuts.length),
    ],
  };
}

const sumOf = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0);

export const cablesCutList = defineCalculator({
  id: 'cables.cutList',
  title: 'From what a bicycle’s cables are cut',
  example: {
    pieces: [
      { id: 'rear brake', lengthMm: 1400, kind: 'brake-outer' },
      { id: 'front brake', lengthMm: 700, kind: 'brake-outer' },
    ],
    stock: [{ id: 'coil', lengthMm: 5000, count: 1, price: 0, maxPieces: null, kind: 'brake-outer' }],
  },
  input,
  run,
});

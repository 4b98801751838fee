import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { TONES, type Radius } from '../sectionTypes';
import fittingsJson from './fittings.json';
import sectionPartsJson from './sectionParts.json';

const radius = z.string().check(z.regex(/^(?:(?:axle|circle|shell)(?:[+-]\d+(?:\.\d+)?)?|\d+(?:\.\d+)?)$/));

function radiusOf(written: string): Radius {
  const [, of, plus] = /^([a-z]*)(.*)$/.exec(written)!;
  return { of: (of || null) as Radius['of'], plusMm: Number(plus || 0) };
}

/**
 * What lies round the balls of an assembly: nuts, washers, caps, shells. `at` names a row, from which both ends are
 * counted outwards, or two rows (`left>right`), from which the ends are counted inwards.
 */
export const fittingRows = parseTable(
  z.strictObject({
    assemblies: z.array(z.string()),
    label: z.string(),
    part: z.nullable(z.string()),
    at: z.string().check(z.regex(/^[a-z]+(>[a-z]+)?$/)),
    fromMm: z.number(),
    toMm: z.number(),
    inner: radius,
    outer: radius,
    tone: z.enum(TONES),
    moves: z.boolean(),
    ...provenance,
  }),
  fittingsJson,
).map((row) => ({
  ...row,
  at: row.at.split('>') as [string, string?],
  inner: radiusOf(row.inner),
  outer: radiusOf(row.outer),
}));

/** What the axle, a track, a row of balls or a cartridge of a section is in the tray of its assembly. */
export const sectionPartRows = parseTable(
  z.strictObject({
    assemblies: z.array(z.string()),
    piece: z.enum(['axle', 'cup', 'cone', 'balls', 'cartridge']),
    row: z.nullable(z.string()),
    part: z.string(),
    ...provenance,
  }),
  sectionPartsJson,
);

import * as z from 'zod/mini';
import { turnedTable, provenance } from '../../table';
import { TONES, type Radius } from '../sectionTypes';
import fittingsJson from './fittings.json';

const radius = z.pipe(
  z.string().check(z.regex(/^(?:(?:axle|circle|shell)(?:[+-]\d+(?:\.\d+)?)?|\d+(?:\.\d+)?)$/)),
  z.transform((written): Radius => {
    const [, of, plus] = /^([a-z]*)(.*)$/.exec(written)!;
    return { of: (of || null) as Radius['of'], plusMm: Number(plus || 0) };
  }),
);

/**
 * What lies round the balls of an assembly: nuts, washers, caps, shells. `at` names a row, from which both ends are
 * counted outwards, or two rows (`left>right`), from which the ends are counted inwards.
 */
export const fittingRows = turnedTable(
  z.strictObject({
    assemblies: z.pipe(
      z.string(),
      z.transform((joined) => joined.split('|')),
    ),
    label: z.string(),
    at: z.pipe(
      z.string().check(z.regex(/^[a-z]+(>[a-z]+)?$/)),
      z.transform((at) => at.split('>') as [string, string?]),
    ),
    fromMm: z.number(),
    toMm: z.number(),
    inner: radius,
    outer: radius,
    tone: z.enum(TONES),
    moves: z.pipe(
      z.enum(['yes', 'no']),
      z.transform((word) => word === 'yes'),
    ),
    ...provenance,
  }),
  fittingsJson,
);

import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './cablePull.json';

const size = z.nullable(z.number());

/** Which shifters pull how much, and which derailleurs make how much of it; friction levers have no click. */
export const cablePulls = parseTable(
  z.strictObject({
    familyKey: z.string(),
    use: z.string(),
    cogs: size,
    cogPitchMm: size,
    cablePullMmPerClick: size,
    rearDerailleurActuationRatio: size,
    derailleurMoveMmPerClick: size,
    differencePercent: size,
    eraFrom: size,
    eraTo: size,
    note: z.nullable(z.string()),
    ...provenance,
  }),
  json,
);

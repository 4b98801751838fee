import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import neverTogetherJson from './neverTogether.json';
import processesJson from './processes.json';

const list = (joined: string | null) => (joined === null ? [] : joined.split('|'));

/** What each process takes in handling, what comes after it, and what to look out for. */
export const processes = new Map(
  parseTable(
    z.strictObject({
      process: z.string(),
      handlingMinutes: z.number(),
      /** Acid makes hard steel brittle: whether each part is hardened is asked before it goes in. */
      asksHardened: z.enum(['yes', 'no']),
      /** It leaves wax or polish behind: never where a brake works. */
      leavesFilm: z.enum(['yes', 'no']),
      after: z.string(),
      /** What follows for what rusts bare, and for what is kept by wax. */
      afterOil: z.nullable(z.string()),
      afterWax: z.nullable(z.string()),
      cautions: z.nullable(z.string()),
      ...provenance,
    }),
    processesJson,
  ).map((row) => [
    row.process,
    {
      ...row,
      after: list(row.after),
      afterOil: list(row.afterOil),
      afterWax: list(row.afterWax),
      cautions: list(row.cautions),
    },
  ]),
);

/** Cleaners that must not meet. */
export const neverTogether = parseTable(
  z.strictObject({ process: z.string(), with: z.string(), why: z.string(), ...provenance }),
  neverTogetherJson,
);

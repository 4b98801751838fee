import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import buildOrderJson from './buildOrder.json';
import onlyOnJson from './onlyOn.json';

/** Facts that a constraint may wait for besides an assembly. */
export const BUILD_FACTS = ['settled', 'torqued', 'trued', 'measured'] as const;
export type BuildFact = (typeof BUILD_FACTS)[number];

const lists = (cell: string[] | null) => (cell ?? []).filter(Boolean);

/** What has to be together, or true, before something else goes on, and why. */
export const buildOrderRows = parseTable(
  z.strictObject({
    before: z.nullable(z.array(z.string())),
    fact: z.nullable(z.enum(BUILD_FACTS)),
    after: z.array(z.string()),
    /** Of a pair only what lies at this end of the bicycle. */
    end: z.enum(['no', 'front', 'rear']),
    why: z.string(),
    ...provenance,
  }),
  buildOrderJson,
).map((row) => ({ ...row, before: lists(row.before) }));
export type BuildOrderRow = (typeof buildOrderRows)[number];

/** What only goes on: nothing of it lay in a tray. */
export const onlyOnRows = parseTable(
  z.strictObject({
    id: z.string(),
    place: z.string(),
    title: z.string(),
    applies: z.nullable(z.string()),
    ...provenance,
  }),
  onlyOnJson,
);

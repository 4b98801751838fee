import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { COMPOUNDS, JOINTS } from '../joints';
import compoundsJson from './compounds.json';

/** What may be known of a joint besides its materials. */
const CIRCUMSTANCES = ['loose', 'taper=dry', 'taper=greased'] as const;

/** What goes into which joint; the first row that fits counts. */
export const compoundRows = parseTable(
  z.strictObject({
    joints: z.nullable(z.array(z.enum(JOINTS))),
    /** The family of either material. */
    material: z.nullable(z.string()),
    circumstance: z.nullable(z.enum(CIRCUMSTANCES)),
    /** The family of the other material; `metal` is any. */
    other: z.nullable(z.string()),
    compound: z.enum(COMPOUNDS),
    where: z.nullable(z.string()),
    never: z.nullable(z.array(z.string())),
    why: z.string(),
    ...provenance,
  }),
  compoundsJson,
);
export type CompoundRow = (typeof compoundRows)[number];

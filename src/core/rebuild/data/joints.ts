import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { JOINTS } from '../joints';
import jointsJson from './joints.json';

/** The joints of a bicycle. A material is a name of the table of materials, or what the bicycle says it is: `@frame`, `@post`. */
export const jointRows = parseTable(
  z.strictObject({
    id: z.string(),
    joint: z.enum(JOINTS),
    place: z.string(),
    label: z.string(),
    a: z.string(),
    b: z.string(),
    applies: z.nullable(z.string()),
    ...provenance,
  }),
  jointsJson,
);

import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './holdTests.json';

const rows = parseTable(z.strictObject({ place: z.string(), how: z.string(), ...provenance }), json);

/** How the hold of what is fixed at a place is tried, by the place. */
export const holdTests: ReadonlyMap<string, string> = new Map(rows.map(({ place, how }) => [place, how]));

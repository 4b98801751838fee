import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { cablePulls } from '../identify/data/cablePull';
import { bodies, chains } from './data/fits';
import { cogSets, hubGears } from './data/usual';

export interface UsualDrive {
  cogSets: { label: string; teeth: number[] }[];
  hubGears: { id: string; label: string; ratios: number[] }[];
  /** Families of the table of cable pulls, with the cogs that each has shifters for. */
  families: { id: string; use: string; cogs: number[] }[];
  /** Chains and what cogs go on, as "drive.fits" is asked of them. */
  chains: { id: string; label: string }[];
  bodies: { id: string; label: string }[];
}

/**
 * What is usually met: sets of cogs of so many, gear hubs with their ratios, families of shifters and derailleurs.
 *
 * Units: teeth, ratios. Errors: none beyond the bounds. Source: the tables of cog sets, hub gears and cable pulls. Example: `{"cogs":9}` → the sets of
 * nine.
 */
export const driveUsual = defineCalculator({
  id: 'drive.usual',
  title: 'Sets of cogs, hub gears and families as they are usually met',
  example: { cogs: 9 },
  input: z.strictObject({
    cogs: z
      ._default(z.nullable(z.number().check(z.multipleOf(1), z.gte(1), z.lte(14))), null)
      .check(z.describe('how many; null for all sets')),
  }),
  run({ cogs }): UsualDrive {
    return {
      cogSets: cogSets
        .filter((set) => cogs === null || set.cogs === cogs)
        .map(({ label, teeth }) => ({ label, teeth })),
      hubGears: hubGears.map(({ id, label, ratios }) => ({ id, label, ratios })),
      families: [...new Set(cablePulls.map(({ familyKey }) => familyKey))].map((id) => {
        const rows = cablePulls.filter(({ familyKey }) => familyKey === id);
        return { id, use: rows[0]!.use, cogs: rows.flatMap((row) => row.cogs ?? []) };
      }),
      chains: chains.map(({ id, label }) => ({ id, label })),
      bodies: bodies.map(({ id, label }) => ({ id, label })),
    };
  },
});

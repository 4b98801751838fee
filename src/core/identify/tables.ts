import * as z from 'zod/mini';
import { parseTable } from '../table';
import { stands, termsOf } from './search';
import ballsJson from '../balls/data/balls.json';
import ballSetsJson from '../balls/data/ballSets.json';
import cartridgesJson from '../bearings/data/cartridges.json';
import { defineCalculator } from '../calculator';
import bottomBracketsJson from './data/bottomBrackets.json';
import cablePullJson from './data/cablePull.json';
import freewheelsJson from './data/freewheels.json';
import headsetsJson from './data/headsets.json';
import hubAxlesJson from './data/hubAxles.json';
import hubMountsJson from './data/hubMounts.json';
import lubricantsJson from './data/lubricants.json';
import nipplesJson from './data/nipples.json';
import overLocknutJson from './data/overLocknut.json';
import pedalsJson from './data/pedals.json';
import postsAndBarsJson from './data/postsAndBars.json';
import rimPropertiesJson from './data/rimProperties.json';
import rimWidthsJson from './data/rimWidths.json';
import spokesJson from './data/spokes.json';
import spokeTensionsJson from './data/spokeTensions.json';
import wheelSizesJson from './data/wheelSizes.json';

type Cell = string | number | null;
const row = z.record(z.string(), z.union([z.string(), z.number(), z.null()]));

const TABLES: { id: string; label: string; rows: Record<string, Cell>[] }[] = (
  [
    ['bottom-brackets', 'Bottom brackets', bottomBracketsJson],
    ['headsets', 'Headsets', headsetsJson],
    ['hub-axles', 'Hub axles', hubAxlesJson],
    ['over-locknut', 'Over-locknut widths', overLocknutJson],
    ['freewheels', 'Freewheels and fixed cogs', freewheelsJson],
    ['hub-mounts', 'What a hub takes', hubMountsJson],
    ['pedals', 'Pedal threads', pedalsJson],
    ['posts-and-bars', 'Posts, stems and bars', postsAndBarsJson],
    ['wheel-sizes', 'Wheel sizes', wheelSizesJson],
    ['rim-widths', 'Rim and tyre widths', rimWidthsJson],
    ['spokes', 'Spokes', spokesJson],
    ['nipples', 'Nipples', nipplesJson],
    ['spoke-tensions', 'Spoke tensions', spokeTensionsJson],
    ['rims', 'Rims', rimPropertiesJson],
    ['balls', 'Balls', ballsJson],
    ['ball-sets', 'Balls by place', ballSetsJson],
    ['cartridges', 'Cartridge bearings', cartridgesJson],
    ['lubricants', 'Lubricants', lubricantsJson],
    ['cable-pull', 'Cable pull', cablePullJson],
  ] as const
).map(([id, label, json]) => ({ id, label, rows: parseTable(row, json) }));

const MOST_ROWS = 60;

const input = z.strictObject({
  search: z
    ._default(z.string().check(z.maxLength(80)), '')
    .check(z.describe('words and sizes, each of which must stand in the row: 24 tpi, 3/16, 27.2, italian')),
  table: z._default(z.nullable(z.string().check(z.maxLength(40))), null),
});

export interface FoundRow {
  table: string;
  label: string;
  cells: Record<string, string | number>;
}

/**
 * Rows of the shipped tables in which every word and every size of the search stands, at most sixty: words by their
 * beginning, sizes by what they measure. Errors: none but a shape that does not fit.
 * Example: `{ search: 'italian 24' }` finds the Italian bottom bracket and freewheel.
 */
export const identifyTables = defineCalculator({
  id: 'identify.tables',
  title: 'Look something up in the tables',
  example: { search: 'italian 24' },
  input,
  run({ search, table }): { rows: FoundRow[]; found: number; tables: { id: string; label: string; rows: number }[] } {
    const terms = termsOf(search);
    const rows = TABLES.filter((each) => table === null || each.id === table).flatMap(({ id, label, rows: all }) =>
      all
        .filter((cells) => terms.every((term) => stands(term, label, cells)))
        .map((cells): FoundRow => ({
          table: id,
          label,
          cells: Object.fromEntries(
            Object.entries(cells).filter((each): each is [string, string | number] => each[1] !== null),
          ),
        })),
    );
    return {
      rows: rows.slice(0, MOST_ROWS),
      found: rows.length,
      tables: TABLES.map(({ id, label, rows: all }) => ({ id, label, rows: all.length })),
    };
  },
});

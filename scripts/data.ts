/** `npm run data`: turns the CSV tables under data/ into the JSON that the core reads. */
import { writeFileSync } from 'node:fs';
import { readTable, TABLES } from './tables';

for (const table of TABLES) {
  const rows = readTable(table);
  writeFileSync(table.json, `${JSON.stringify(rows, null, 1)}\n`);
  console.log(`${table.csv}: ${rows.length} rows`);
}

/** Reads every table as the core does, each row against its schema; `tables.mjs` calls it for what it has just made. */
import { readdirSync } from 'node:fs';
import { checking } from '../src/core/table';

checking.tables = true;
const readers = readdirSync('src/core', { recursive: true, encoding: 'utf8' }).filter((path) =>
  /data[\\/]\w+\.ts$/.test(path),
);
for (const path of readers)
  try {
    await import(`../src/core/${path.replace(/\\/g, '/')}`);
  } catch (error) {
    console.error(`src/core/${path}: ${error instanceof Error ? error.message : String(error)}`);
    process.exitCode = 1;
  }

/** The tables under data/ and the JSON that the core reads, which is made from them and not kept. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';

// Whatever runs it stands at the root of the project.
const at = (path) => resolve(path);
const camel = (name) => name.replace(/_(\w)/g, (_all, letter) => letter.toUpperCase());

/**
 * Every table: a CSV of a subject's folder, and what other subjects add to it. `data/bells/inspect.checks.csv` adds rows to
 * `data/inspect/checks.csv`.
 */
export function tables() {
  const files = readdirSync(at('data'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .flatMap(({ name }) =>
      readdirSync(at(`data/${name}`))
        .filter((file) => file.endsWith('.csv'))
        .map((file) => ({ csv: `data/${name}/${file}`, parts: file.slice(0, -4).split('.'), subject: name })),
    )
    .sort((a, b) => (a.csv < b.csv ? -1 : 1));
  const added = files.filter(({ parts }) => parts.length > 1);
  const own = files
    .filter(({ parts }) => parts.length === 1)
    .map(({ csv, parts: [name], subject }) => ({
      csv,
      json: `src/core/${subject}/data/${camel(name)}.json`,
      added: added.filter(({ parts }) => parts[0] === subject && parts[1] === name).map((file) => file.csv),
    }));
  const known = new Set(own.flatMap((table) => table.added));
  const lost = added.filter(({ csv }) => !known.has(csv));
  if (lost.length > 0) throw new Error(`${lost[0].csv}: there is no such table to add to`);
  return own;
}

const isNumber = (cell) => /^-?\d+(\.\d+)?$/.test(cell);
/** What a column is, where its header says so. */
const KINDS = {
  text: (cell) => cell,
  list: (cell) => cell.split('|'),
  flag(cell) {
    if (cell !== 'yes' && cell !== 'no') throw new Error(`“${cell}” is neither yes nor no`);
    return cell === 'yes';
  },
};

async function linesOf(csv) {
  const { default: papa } = await import('papaparse');
  const { data, errors, meta } = papa.parse(readFileSync(at(csv), 'utf8'), { header: true, skipEmptyLines: true });
  if (errors.length > 0) throw new Error(`${csv}: ${errors.map((e) => `row ${e.row}: ${e.message}`).join('; ')}`);
  return { lines: data, fields: meta.fields };
}

/**
 * The rows of a table: headers become camel case, empty cells null. A column is of numbers where every cell is one; `:text`,
 * `:list` (by `|`) or `:flag` (yes, no) behind its name says otherwise.
 */
export async function rowsOf({ csv, added = [] }) {
  const { lines, fields } = await linesOf(csv);
  for (const more of added) {
    const other = await linesOf(more);
    if (String(other.fields) !== String(fields)) throw new Error(`${more}: its columns are not those of ${csv}`);
    lines.push(...other.lines);
  }
  const columns = fields.map((header) => {
    const [name, kind] = header.trim().split(':');
    if (kind !== undefined && !KINDS[kind]) throw new Error(`${csv}: no column is of the kind “${kind}”`);
    const numbers = kind === undefined && lines.every((line) => line[header] === '' || isNumber(line[header]));
    return { header, name: camel(name), read: kind ? KINDS[kind] : numbers ? Number : KINDS.text };
  });
  return lines.map((line) =>
    Object.fromEntries(
      columns.map(({ header, name, read }) => [name, line[header] === '' ? null : read(line[header])]),
    ),
  );
}

/** What the JSON hangs on: the tables, the rows’ schemas, and what makes one of the other. */
function sourceHash(all) {
  const schemas = readdirSync(at('src/core'), { recursive: true, encoding: 'utf8' })
    .filter((path) => /data[\\/]\w+\.ts$/.test(path))
    .map((path) => `src/core/${path}`);
  const hash = createHash('sha256');
  const sources = [...all.flatMap(({ csv, added }) => [csv, ...added]), ...schemas, 'scripts/tables.mjs'];
  for (const file of sources.sort((a, b) => (a < b ? -1 : 1))) hash.update(`${file}\n`).update(readFileSync(at(file)));
  return hash.digest('hex');
}

const STAMP = 'src/core/tables.stamp';

/** Makes the JSON of every table where a source has changed since, and has it checked. Says nothing on stdout. */
export async function makeTables() {
  const all = tables();
  const hash = sourceHash(all);
  const isMade = () => existsSync(at(STAMP)) && readFileSync(at(STAMP), 'utf8') === hash;
  if (isMade() && all.every(({ json }) => existsSync(at(json)))) return;
  for (const table of all) {
    const text = `${JSON.stringify(await rowsOf(table))}\n`;
    mkdirSync(dirname(at(table.json)), { recursive: true });
    if (!existsSync(at(table.json)) || readFileSync(at(table.json), 'utf8') !== text)
      writeFileSync(at(table.json), text);
  }
  const { spawnSync } = await import('node:child_process');
  const checked = spawnSync(process.execPath, [at('node_modules/tsx/dist/cli.mjs'), at('scripts/checkTables.ts')], {
    encoding: 'utf8',
  });
  if (checked.status !== 0) throw new Error(`A table is not as its rows are read.\n${checked.stderr}`);
  writeFileSync(at(STAMP), hash);
}

if (process.argv[1]?.endsWith('tables.mjs'))
  makeTables().catch((error) => {
    console.error(error.message);
    process.exit(1);
  });

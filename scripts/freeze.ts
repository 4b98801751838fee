/**
 * `npm run freeze`: lays the made-up workshop down as this version writes it (records, journal, export, schema), before the
 * record is raised. What is frozen is never written again.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { commandWords } from '../tests/frozenCommands';
import { demoWorkshop } from '../src/model/demo/workshop';
import { applyCommand, command as anyCommand, type Envelope } from '../src/model/commands';
import { workshopJsonSchema } from '../src/model/exchange/bundle';
import { SCHEMA_VERSION } from '../src/model/version';
import { stockItem } from '../src/model/stock/item';
import { packBicycles } from '../src/store/archive/pack';

const AT = '2026-11-25T10:00:00.000Z';
const at = (name: string) => `tests/fixtures/${name}`;
const records = at(`records-${SCHEMA_VERSION}.json`);
if (existsSync(records)) throw new Error(`version ${SCHEMA_VERSION} is frozen already`);

const { bicycles: made, settings } = demoWorkshop(new Date(AT));
const journal: Envelope[] = commandWords(AT).map((command, i) => ({
  id: `frozen-${i}`,
  bicycle: made[0]!.id,
  at: AT,
  command: anyCommand.parse(command),
}));
// What the first has in a journal, the second has in its record already.
const bicycles = made.map((bicycle, i) =>
  i !== 1
    ? bicycle
    : commandWords(AT).reduce(
        (done, command, n) =>
          applyCommand(done, { id: `done-${i}-${n}`, bicycle: bicycle.id, at: AT, command: anyCommand.parse(command) }),
        bicycle,
      ),
);
const earlier = JSON.parse(readFileSync(at('records-5.json'), 'utf8')) as { stock: unknown[] };
const stock = earlier.stock.map((row) => stockItem.parse(row));
const write = (name: string, value: unknown) => writeFileSync(name, JSON.stringify(value));
write(records, { version: SCHEMA_VERSION, settings, stock, bicycles, journal });
write(at(`workshop-${SCHEMA_VERSION}.schema.json`), workshopJsonSchema());

const photograph = new Blob([readFileSync('docs/screenshots/floor.png')], { type: 'image/png' });
void packBicycles({ readPhoto: () => Promise.resolve(photograph.slice(0, 900, 'image/jpeg')) }, bicycles, {
  scope: 'workshop',
  settings,
  currency: settings.currency,
  at: AT,
  stock,
}).then(async ({ zip }) => writeFileSync(at(`export-${SCHEMA_VERSION}.zip`), new Uint8Array(await zip.arrayBuffer())));

/** `npm run schema`: writes the published JSON Schema of `workshop.json`. */
import { writeFileSync } from 'node:fs';
import { workshopJsonSchema } from '../src/model/exchange/bundle';

export const SCHEMA_PATH = 'docs/format/workshop.schema.json';

writeFileSync(SCHEMA_PATH, `${JSON.stringify(workshopJsonSchema(), null, 2)}\n`);

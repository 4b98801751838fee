/** `npm run schema`: writes the published JSON Schemas of `workshop.json` and of a shared folder's files. */
import { writeFileSync } from 'node:fs';
import { workshopJsonSchema } from '../src/model/exchange/bundle';
import { shareJsonSchema } from '../src/model/share/change';

export const SCHEMA_PATH = 'docs/format/workshop.schema.json';
export const SHARE_SCHEMA_PATH = 'docs/format/share.schema.json';

writeFileSync(SCHEMA_PATH, `${JSON.stringify(workshopJsonSchema(), null, 2)}\n`);
writeFileSync(SHARE_SCHEMA_PATH, `${JSON.stringify(shareJsonSchema(), null, 2)}\n`);

import type { Bicycle } from '@/model/record';
import { summaryOf } from '@/model/summaryOf';
import type { Summary } from '@/model/summary';
import type { Around } from './around';
import type { Birth } from './birth';
import { createChanges, type Changes } from './changes';
import type { Exported } from './exported';
import type { Hidden } from './hidden';
import { createRecords, type Records } from './records';
import { createShown, type Shown } from './shown';

/** What deals with bicycles as a whole: reading, changing, showing them. */
export interface Whole extends Shown {
  records: Records;
  changes: Changes;
  /** The row of a bicycle on the floor. */
  summaryOf(bicycle: Bicycle, earlier?: Summary): Summary;
}

/** Made when the first bicycle is opened: a page that only lists them does without its record and its commands. */
export function createWhole(around: Around, birth: Birth, exported: Exported, hidden: Hidden): Whole {
  const records = createRecords(around.database);
  const shown = createShown(around.store, (bicycle) => changes.withWaiting(bicycle));
  const changes: Changes = createChanges({
    ...around,
    ...shown,
    ...hidden,
    records,
    countChange: exported.countChange,
    isGone: birth.isGone,
  });
  return { ...shown, records, changes, summaryOf };
}

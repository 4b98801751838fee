import { openBicycleWith, type Opened } from './open';
import { olderVersion, type Raw } from './stored';

const asItIs = (record: Raw) => record;
/** The steps from older versions are loaded where one is met. */
const steps = () => import('./steps');

/** As `openBicycle`, for a page. */
export async function openBicycleLater(stored: unknown): Promise<Opened> {
  return openBicycleWith(stored, olderVersion(stored) === null ? asItIs : (await steps()).raiseBicycle);
}

/** The history beside a record, as today reads it. */
export async function historyLater(history: unknown, record: unknown): Promise<unknown> {
  const from = olderVersion(record);
  return from === null ? history : (await steps()).raiseHistory(history, from);
}

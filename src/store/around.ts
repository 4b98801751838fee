import type { Store, Trouble } from './state';
import type { Surroundings } from './surroundings';

/** What every part of a workshop works with. */
export interface Around extends Surroundings {
  store: Store;
  /** Tells what is wrong, or withdraws it with null. */
  tell(kind: Trouble, words: string | null): void;
  /** Does one task after the other; one that fails does not stop the ones behind it. */
  enqueue(task: () => Promise<void>): Promise<void>;
}

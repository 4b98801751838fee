import type { Replica } from '@/model/share/replica';

/** What hangs on all that is known, worked out anew only where something was made known since. */
export function whenKnown<Value>(replica: Pick<Replica, 'version'>, work: () => Value): () => Value {
  let kept: { version: number; value: Value } | null = null;
  return () => {
    if (kept?.version !== replica.version) kept = { version: replica.version, value: work() };
    return kept.value;
  };
}

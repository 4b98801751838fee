'use client';
import { useEffect, useSyncExternalStore } from 'react';
import type { BuyAppraisal } from '@/core/buy/appraise';
import { limitChange, type LimitChange } from '@/core/buy/limitChange';

/** The last limit of each bicycle while the application is open, and how it came to be that: a change is told wherever it is next looked at. */
const last = new Map<string, { found: BuyAppraisal; change: LimitChange | null }>();
const listeners = new Set<() => void>();

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function note(bicycle: string, found: BuyAppraisal): void {
  const was = last.get(bicycle);
  if (was?.found === found) return;
  last.set(bicycle, { found, change: (was && limitChange(was.found, found)) ?? was?.change ?? null });
  listeners.forEach((listener) => listener());
}

/** Why the limit of a bicycle is another than it was; null where it never changed. */
export function useLimitChange(bicycle: string, found: BuyAppraisal | null): LimitChange | null {
  useEffect(() => {
    if (found) note(bicycle, found);
  }, [bicycle, found]);
  return useSyncExternalStore(
    listen,
    () => last.get(bicycle)?.change ?? null,
    () => null,
  );
}

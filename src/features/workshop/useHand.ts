'use client';
import { useSyncExternalStore } from 'react';
import { useSettings } from './WorkshopProvider';

const KEY = 'ergasto:at-the-bench';
const listeners = new Set<() => void>();
/** Where the browser keeps nothing, for as long as the page is open. */
let unkept: string | null = null;

function chosen(): string | null {
  try {
    return localStorage.getItem(KEY) ?? unkept;
  } catch {
    return unkept;
  }
}

function listen(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

export interface Hand {
  /** Who is at the bench: the name that stands beside what is signed, declined, accepted or cleared. */
  name: string;
  id: string;
  people: { id: string; name: string }[];
  choose(id: string): void;
}

/** Who is at the bench, chosen once on this device; the first of the list until then. */
export function useHand(): Hand {
  const { people } = useSettings();
  const kept = useSyncExternalStore(listen, chosen, () => null);
  const { id = '', name = '' } = people.find((person) => person.id === kept) ?? people[0] ?? {};
  return {
    name,
    id,
    people,
    choose(next) {
      unkept = next;
      try {
        localStorage.setItem(KEY, next);
      } catch {
        // Kept for as long as the page is open.
      }
      listeners.forEach((listener) => listener());
    },
  };
}

'use client';
import { startTransition, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Bicycle } from '@/model/record';
import { BEADS, questionOf, useDeclared, type Bead, type Declared, type Known, type ThreadPart } from './declared';
import { useAnswers } from './useAnswers';
import { useToday } from './useToday';

const loading = new WeakMap<readonly Declared[], Promise<ThreadPart[]>>();

function partsOf(declared: readonly Declared[]): Promise<ThreadPart[]> {
  const known = loading.get(declared);
  if (known) return known;
  const parts = Promise.all(declared.flatMap(({ thread }) => thread?.() ?? []));
  loading.set(declared, parts);
  // Without the network they may not come; they are asked for again the next time.
  parts.catch(() => loading.delete(declared));
  return parts;
}

/** What is next in a thread: what is under way, else the first that lies ahead of all that was begun; null at its end. */
export function nextBead(beads: readonly Bead[]): Bead | null {
  const last = beads.findLastIndex(({ state }) => state !== 'ahead');
  return beads.find(({ state }) => state === 'under way') ?? beads[last + 1] ?? null;
}

/** The beads of a place in the order of the work, from what each subject tells and was answered. */
export function threadOf(
  parts: readonly ThreadPart[],
  answers: readonly unknown[],
  bicycle: Bicycle,
  known: Known & { place: string },
): Bead[] {
  return parts
    .flatMap((part, i) => part.beads(bicycle, { ...known, answer: (answers[i] ?? null) as null }))
    .toSorted((a, b) => BEADS.indexOf(a.id) - BEADS.indexOf(b.id));
}

/** The thread of a place, from what each subject tells of it; empty while it is not there, and where none tells anything. */
export function useThread(bicycle: Bicycle, place: string | null, known: Known): Bead[] {
  const declared = useDeclared();
  const [parts, setParts] = useState<ThreadPart[]>([]);
  const today = useToday();
  useEffect(() => {
    let left = false;
    if (place !== null)
      void partsOf(declared).then(
        (loaded) => !left && startTransition(() => setParts(loaded)),
        () => undefined,
      );
    return () => {
      left = true;
    };
  }, [declared, place]);
  // A tap draws what it is of first, and the thread once that stands.
  const at = useDeferredValue(place);
  const shown = useDeferredValue(bicycle);
  const { settings, lookOver, trays } = known;
  const questions = useMemo(
    () => (at === null ? [] : parts.map(({ asks }) => questionOf(asks, shown, { settings, today }))),
    [at, parts, shown, settings, today],
  );
  const answers = useAnswers(questions);
  const beads = useMemo(
    () => (at === null ? [] : threadOf(parts, answers, shown, { settings, lookOver, trays, place: at })),
    [at, parts, answers, shown, settings, lookOver, trays],
  );
  return at === place ? beads : NONE;
}

const NONE: Bead[] = [];

'use client';
import { createContext, use, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { TurnInput } from '@/core/strip/turn';
import type { Tapped } from './pen';

/** What is at hand within the place that is open: the parts, and which way what is turned goes. */
export interface HandNow {
  parts: readonly string[];
  turn: TurnInput | null;
}

const NOTHING: HandNow = { parts: [], turn: null };

interface Between {
  hand: HandNow;
  tell(hand: HandNow): void;
  tapped: Tapped | null;
  tap(tapped: Tapped): void;
}

const HandContext = createContext<Between>({
  hand: NOTHING,
  tell: () => undefined,
  tapped: null,
  tap: () => undefined,
});

/** Lets the drawing and the stage beside it speak: the stage says what is at hand, the drawing what was tapped. */
export function HandProvider({ children }: { children: ReactNode }) {
  const [hand, tell] = useState<HandNow>(NOTHING);
  const [tapped, tap] = useState<Tapped | null>(null);
  // A tap on the same part again is another tap.
  const between = useMemo(() => ({ hand, tell, tapped, tap: (next: Tapped) => tap({ ...next }) }), [hand, tapped]);
  return <HandContext value={between}>{children}</HandContext>;
}

/** For the drawing: what is at hand, and the way to say that a part was tapped. */
export function useHandNow(): Pick<Between, 'hand' | 'tap'> {
  return use(HandContext);
}

/** For a stage: says what is at hand for as long as it is open. */
export function useTellHand(parts: readonly string[], turn: TurnInput | null): void {
  const { tell } = use(HandContext);
  const said = JSON.stringify({ parts, turn });
  useEffect(() => {
    tell(JSON.parse(said) as HandNow);
    return () => tell(NOTHING);
  }, [tell, said]);
}

/** For a stage: hears what was tapped on the drawing. */
export function useTapped(onTap: (tapped: Tapped) => void): void {
  const { tapped } = use(HandContext);
  const heard = useRef(tapped);
  const latest = useRef(onTap);
  useEffect(() => {
    latest.current = onTap;
  });
  useEffect(() => {
    if (tapped === null || tapped === heard.current) return;
    heard.current = tapped;
    latest.current(tapped);
  }, [tapped]);
}

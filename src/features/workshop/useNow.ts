'use client';
import { useEffect, useState } from 'react';

/** The time of day, again every `everyMs`. */
export function useNow(everyMs = 1000): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const ticking = setInterval(() => setNow(new Date()), everyMs);
    return () => clearInterval(ticking);
  }, [everyMs]);
  return now;
}

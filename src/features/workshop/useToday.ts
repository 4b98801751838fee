'use client';
import { useEffect, useState } from 'react';
import { localDay } from '@/model/localDay';

const LOOK_EVERY_MS = 30_000;

/** The workshop's day, `2026-11-27`; it changes while a page stays open over midnight. */
export function useToday(): string {
  const [today, setToday] = useState(() => localDay(new Date()));
  useEffect(() => {
    const looking = setInterval(() => setToday(localDay(new Date())), LOOK_EVERY_MS);
    return () => clearInterval(looking);
  }, []);
  return today;
}

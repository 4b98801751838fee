'use client';
import { useEffect, useState } from 'react';

/** Keeps the screen awake while the bench is open; says whether the machine agreed. */
export function useAwake(): 'awake' | 'may-sleep' {
  const [state, setState] = useState<'awake' | 'may-sleep'>('may-sleep');
  useEffect(() => {
    const wake = (navigator as Partial<Navigator>).wakeLock;
    if (!wake) return;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    async function ask(): Promise<void> {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await wake!.request('screen');
        if (gone) await lock.release();
        else setState('awake');
        lock.addEventListener('release', () => setState('may-sleep'));
      } catch {
        setState('may-sleep');
      }
    }
    void ask();
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release().catch(() => undefined);
    };
  }, []);
  return state;
}

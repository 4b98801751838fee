'use client';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import type { Progress } from '@/store/archive/progress';
import type { RecordsJob } from '@/store/recordsClient';

/** What is being done with the records, or what came of it. */
export type Doing =
  | { busy: string; progress: Progress | null; silent: boolean; /** It ends by itself before long. */ brief?: true }
  | { said: ReactNode }
  | { wrong: string }
  | null;

const client = () => import('@/store/recordsClient');

/**
 * Long work on the records, in a worker of its own: what it is doing, how far it is, and how to stop it. A job that is kept
 * holds what it has read until it is let go.
 */
export function useRecordsJob() {
  const [doing, setDoing] = useState<Doing>(null);
  const kept = useRef<RecordsJob | null>(null);
  const stop = useCallback(() => {
    kept.current?.end();
    kept.current = null;
  }, []);
  useEffect(() => stop, [stop]);

  /** Runs a piece of work; null when it was stopped or went wrong, which is told in `wrong`'s words then. */
  const run = useCallback(
    async <Answer>(
      busy: string,
      ask: Parameters<RecordsJob['run']>[0],
      { wrong, keep = false }: { wrong: string | ((error: unknown) => string); keep?: boolean },
    ): Promise<Answer | null> => {
      setDoing({ busy, progress: null, silent: false });
      const { recordsJob, Stopped } = await client();
      const job = (kept.current ??= recordsJob());
      try {
        const answer = await job.run(ask, {
          onProgress: (progress) => setDoing({ busy, progress, silent: false }),
          onSilent: () => setDoing((now) => (now && 'busy' in now ? { ...now, silent: true } : now)),
        });
        setDoing(null);
        if (!keep) stop();
        return answer as Answer;
      } catch (error) {
        stop();
        setDoing(
          error instanceof Stopped ? { said: 'Stopped.' } : { wrong: typeof wrong === 'string' ? wrong : wrong(error) },
        );
        return null;
      }
    },
    [stop],
  );
  return { doing, setDoing, run, stop };
}

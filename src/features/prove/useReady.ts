'use client';
import type { Ready } from '@/core/prove/ready';
import { unanswered } from '@/model/prove/proving';
import { evidenceInput } from '@/model/prove/readings';
import { readyQuestion } from '@/model/prove/readyQuestion';
import type { Bicycle } from '@/model/record';
import { boltsInput } from '@/model/rebuild/questions';
import { useJobs } from '../workshop/useJobs';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings } from '../workshop/WorkshopProvider';

/** What the law says of the bicycle; null while it is being reckoned. */
export function useReady(bicycle: Bicycle): Ready | null {
  const settings = useSettings();
  const today = useToday();
  const { lookOver, complaints, jobs, refused: strange } = useJobs(bicycle);
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle, settings));
  const { output: proved } = useReckon('prove.proofs', { kind: bicycle.kind });
  const { output: read } = useReckon('prove.evidence', evidenceInput(bicycle));
  const known = lookOver && output && complaints && jobs && proved && read;
  const { output: ready, errors } = useReckon(
    'prove.ready',
    known
      ? readyQuestion(
          bicycle,
          { lookOver, bolts: output.bolts, complaints, jobs, proofs: proved.proofs, against: read.against },
          settings,
          today,
        )
      : null,
  );
  const refused = strange ?? errors[0]?.message;
  if (refused) return unanswered(refused);
  return known ? ready : null;
}

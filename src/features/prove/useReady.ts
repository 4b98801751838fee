'use client';
import type { Ready } from '@/core/prove/ready';
import { unanswered } from '@/model/prove/proving';
import { readyQuestion } from '@/model/prove/readyQuestion';
import type { Bicycle } from '@/model/record';
import { jobsInput } from '@/model/decide/questions';
import { complaintsInput } from '@/model/inspect/questions';
import { boltsInput } from '@/model/rebuild/questions';
import { useFindings } from '../workshop/useFindings';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings } from '../workshop/WorkshopProvider';

/** What the law says of the bicycle; null while it is being reckoned. */
export function useReady(bicycle: Bicycle): Ready | null {
  const settings = useSettings();
  const today = useToday();
  const lookOver = useFindings(bicycle);
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle));
  const { output: complaints, errors: strange } = useReckon('inspect.openComplaints', complaintsInput(bicycle));
  const { output: decided } = useReckon('decide.jobs', lookOver && jobsInput(bicycle, lookOver.findings));
  const { output: proved } = useReckon('prove.proofs', { kind: bicycle.kind });
  const known = lookOver && output && complaints && decided && proved;
  const { output: ready, errors } = useReckon(
    'prove.ready',
    known
      ? readyQuestion(
          bicycle,
          { lookOver, bolts: output.bolts, complaints: complaints.open, jobs: decided.jobs, proofs: proved.proofs },
          settings,
          today,
        )
      : null,
  );
  const [refused] = [...strange, ...errors];
  if (refused) return unanswered(refused.message);
  return known ? ready : null;
}

import type { ProposedJob } from '@/core/decide/jobs';
import type { LookOver } from '@/core/inspect/lookOver';
import type { OpenComplaints } from '@/core/inspect/openComplaints';
import type { Ready } from '@/core/prove/ready';
import type { Bolt } from '@/core/rebuild/bolts';
import { readyQuestion } from '@/model/prove/readyQuestion';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { jobsInput } from '@/model/decide/questions';
import { complaintsInput } from '@/model/inspect/questions';
import { boltsInput } from '@/model/rebuild/questions';

/** Asks one calculator; null where it refuses. */
export type Ask = <Output>(id: string, input: unknown) => Promise<Output | null>;

/** What the law says of a bicycle that is on no page: the same question, asked one after the other. */
export async function askLaw(
  ask: Ask,
  bicycle: Bicycle,
  lookOver: LookOver,
  settings: WorkshopSettings,
  today: string,
): Promise<Ready | null> {
  const bolts = await ask<{ bolts: Bolt[] }>('rebuild.bolts', boltsInput(bicycle));
  const complaints = await ask<OpenComplaints>('inspect.openComplaints', complaintsInput(bicycle));
  const decided = await ask<{ jobs: ProposedJob[] }>('decide.jobs', jobsInput(bicycle, lookOver.findings));
  if (!bolts || !complaints || !decided) return null;
  const reckoned = { lookOver, bolts: bolts.bolts, complaints: complaints.open, jobs: decided.jobs };
  return ask<Ready>('prove.ready', readyQuestion(bicycle, reckoned, settings, today));
}

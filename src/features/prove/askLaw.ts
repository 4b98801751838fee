import type { LookOver } from '@/core/inspect/lookOver';
import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import type { Ready } from '@/core/prove/ready';
import { evidenceInput } from '@/model/prove/readings';
import { readyQuestion } from '@/model/prove/readyQuestion';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { jobsInput } from '@/model/decide/questions';
import { complaintsInput } from '@/model/inspect/questions';
import { boltsInput } from '@/model/rebuild/questions';

/** Asks one calculator; null where it refuses. */
export type Ask = <Id extends CalculatorId>(id: Id, input: QuestionOf<Id>) => Promise<AnswerOf<Id> | null>;

/** What the findings and the rider ask for, of a bicycle that is on no page. */
export async function askJobs(ask: Ask, bicycle: Bicycle, lookOver: LookOver) {
  const complaints = await ask('inspect.openComplaints', complaintsInput(bicycle, lookOver));
  const decided = complaints && (await ask('decide.jobs', jobsInput(bicycle, lookOver.findings, complaints.open)));
  return decided && { complaints: complaints.open, jobs: decided.jobs };
}

/** What the law says of a bicycle that is on no page: the same question, asked one after the other. */
export async function askLaw(
  ask: Ask,
  bicycle: Bicycle,
  lookOver: LookOver,
  asked: NonNullable<Awaited<ReturnType<typeof askJobs>>>,
  settings: WorkshopSettings,
  today: string,
): Promise<Ready | null> {
  const bolts = await ask('rebuild.bolts', boltsInput(bicycle, settings));
  const proved = await ask('prove.proofs', { kind: bicycle.kind });
  const read = await ask('prove.evidence', evidenceInput(bicycle));
  if (!bolts || !proved || !read) return null;
  const reckoned = { lookOver, bolts: bolts.bolts, ...asked, proofs: proved.proofs, against: read.against };
  return ask('prove.ready', readyQuestion(bicycle, reckoned, settings, today));
}

'use client';
import type { ProposedJob } from '@/core/decide/jobs';
import type { LookOver } from '@/core/inspect/lookOver';
import type { OpenComplaints } from '@/core/inspect/openComplaints';
import { jobsInput } from '@/model/decide/questions';
import { complaintsInput } from '@/model/inspect/questions';
import type { Bicycle } from '@/model/record';
import { useFindings } from './useFindings';
import { useReckon } from './useReckon';

export interface Asked {
  lookOver: LookOver | null;
  /** What stands open of what the rider said. */
  complaints: OpenComplaints['open'] | null;
  /** What findings and complaints ask for; null until they are there. */
  jobs: ProposedJob[] | null;
  /** What the worker refused, which is a fault of the record. */
  refused: string | null;
}

const NONE: OpenComplaints['open'] = [];

/** The findings, the open complaints, and the jobs that both ask for. */
export function useJobs(bicycle: Bicycle): Asked {
  const lookOver = useFindings(bicycle);
  // Most bicycles have no complaint, and nothing is asked about none.
  const said = bicycle.complaints.some(({ closedAt }) => closedAt === null);
  const { output, errors } = useReckon(
    'inspect.openComplaints',
    said && lookOver ? complaintsInput(bicycle, lookOver) : null,
  );
  const complaints = said ? (output?.open ?? null) : NONE;
  const { output: decided } = useReckon(
    'decide.jobs',
    lookOver && complaints ? jobsInput(bicycle, lookOver.findings, complaints) : null,
  );
  return { lookOver, complaints, jobs: decided?.jobs ?? null, refused: errors[0]?.message ?? null };
}

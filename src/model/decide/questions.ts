import type { LookOver } from '@/core/inspect/lookOver';
import type { OpenComplaints } from '@/core/inspect/openComplaints';
import type { Bicycle } from '../record';

/** From this share on a complaint counts as traced to the fault that leads it. */
export const TRACED_FROM = 0.6;

/** The question for `decide.jobs`: what the findings ask for, and what the rider said. */
export function jobsInput(bicycle: Bicycle, findings: LookOver['findings'], complaints: OpenComplaints['open']) {
  return {
    brief: bicycle.brief,
    kind: bicycle.kind,
    findings: findings
      .filter((finding) => finding.verdict !== null)
      .map(({ check, label, place, verdict, outcome, reasons }) => ({
        check,
        label,
        place,
        verdict,
        outcome,
        reasons,
      })),
    complaints: complaints
      .filter(({ probability }) => probability >= TRACED_FROM)
      .map(({ id, said, fault }) => ({ id, said, fault })),
  };
}

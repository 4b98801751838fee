import type { LookOver } from '@/core/inspect/lookOver';
import type { Bicycle } from '../record';

/** The question for `decide.jobs`: what the findings ask for. */
export function jobsInput(bicycle: Bicycle, findings: LookOver['findings']) {
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
  };
}

'use client';
import type { Check } from '@/core/inspect/check';
import { isKnown, latestObservations } from '@/model/inspect/latest';
import { defineBench, NO_STEP, type StepProps } from '../workshop/declared';
import { CheckAsk } from './CheckAsk';

/** What a check asks for at the bench, and what it came to. */
function AskCheck({ bicycle, send, step, answer, lookOver }: StepProps<{ checks: Check[] }>) {
  const check = answer.checks.find((each) => each.id === step.id)!;
  return <CheckAsk bicycle={bicycle} send={send} check={check} lookOver={lookOver} large />;
}

/** Every check as a step of its own. */
export const lookOverBench = defineBench<'inspect.checks'>({
  asks: { id: 'inspect.checks', of: ({ kind }) => ({ kind }) },
  steps(bicycle, { answer, lookOver }) {
    const seen = latestObservations(bicycle);
    const findings = new Map((lookOver?.findings ?? []).map((finding) => [finding.check, finding]));
    return (answer?.checks ?? []).map((check) => ({
      ...NO_STEP,
      id: check.id,
      place: check.place,
      title: check.label,
      aside: check.how,
      done:
        (findings.get(check.id)?.state ?? 'not-looked-at') !== 'not-looked-at' &&
        isKnown(seen.get(check.id), findings.get(check.id)),
    }));
  },
  Ask: AskCheck,
});

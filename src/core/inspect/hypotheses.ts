import { knowledge } from './knowledge';

/** What may be wrong, with how often it is met, and the chances of every complaint and outcome over it: dense rows, so that a step is arithmetic only. */
export interface Hypotheses {
  faults: { id: string; label: string; unsafe: boolean }[];
  priors: Float64Array;
  complaints: Map<string, Float64Array>;
  /** For each test, for each outcome, the chances over all faults. */
  tests: Map<string, { outcomes: string[]; chances: Float64Array[] }>;
}

function tabulate(): Hypotheses {
  const known = knowledge;
  const at = new Map(known.faults.map((fault, i) => [fault.id, i]));
  const complaints = new Map(
    known.complaints.map(({ id }) => [id, new Float64Array(known.faults.length).fill(known.complaintDefault)]),
  );
  for (const { complaint, fault, p } of known.complaintGivenFault) complaints.get(complaint)![at.get(fault)!] = p;
  const tests = new Map(
    known.tests.map((test) => [
      test.id,
      {
        outcomes: test.outcomes.map((outcome) => outcome.id),
        chances: test.outcomes.map(() => new Float64Array(known.faults.length)),
      },
    ]),
  );
  for (const { test, fault, outcome, p } of known.outcomeGivenFault) {
    const found = tests.get(test)!;
    found.chances[found.outcomes.indexOf(outcome)]![at.get(fault)!] = p;
  }
  return { faults: known.faults, priors: Float64Array.from(known.faults, (fault) => fault.prior), complaints, tests };
}

/** One fault at a time: the diagnosis's own beliefs, made once. */
export const singleFaults: Hypotheses = tabulate();

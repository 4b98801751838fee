import { answer } from '@/core/calculator';
import type { Diagnosis } from '@/core/inspect/conclude';
import { inspectDiagnose } from '@/core/inspect/diagnose';
import { knowledge } from '@/core/inspect/knowledge';
import { uniformStream } from '@/core/money/streams';

type Policy = 'telling' | 'cheapest';

export function draw<Row>(next: () => number, rows: readonly Row[], weight: (row: Row) => number): Row {
  let left = next() * rows.reduce((sum, row) => sum + weight(row), 0);
  for (const row of rows) {
    left -= weight(row);
    if (left <= 0) return row;
  }
  return rows.at(-1)!;
}

/** A bicycle with one hidden fault and what its rider says of it, drawn from the diagnosis's own beliefs. */
export function drawCase(next: () => number): { fault: string; complaints: string[] } {
  for (;;) {
    const { id: fault } = draw(next, knowledge.faults, (each) => each.prior);
    const given = new Map(
      knowledge.complaintGivenFault.filter((row) => row.fault === fault).map((row) => [row.complaint, row.p]),
    );
    const complaints = knowledge.complaints
      .filter(({ id }) => next() < (given.get(id) ?? knowledge.complaintDefault))
      .map(({ id }) => id);
    if (complaints.length > 0) return { fault, complaints };
  }
}

function ask(complaints: string[], results: { test: string; outcome: string }[], blur: number): Diagnosis {
  const told = answer(inspectDiagnose, { complaints, results, blur });
  if (!told.ok) throw new Error(JSON.stringify(told.errors));
  return told.output;
}

/** Tests until it is settled or nothing is left that is worth its minutes; what it names and the minutes that took. */
export function solve(
  next: () => number,
  hidden: { fault: string; complaints: string[] },
  policy: Policy,
  blur: number,
  believed = 0,
): { named: string; minutes: number; settled: boolean } {
  const results: { test: string; outcome: string }[] = [];
  let minutes = 0;
  for (;;) {
    const now = ask(hidden.complaints, results, believed);
    if (now.verdict !== 'keep-testing' || (policy === 'telling' && now.enough))
      return { named: now.faults[0]!.id, minutes, settled: now.settled };
    const test =
      policy === 'telling'
        ? now.next[0]!.test
        : [...now.next].sort((a, b) => a.minutes - b.minutes || (a.test < b.test ? -1 : 1))[0]!.test;
    const known = knowledge.tests.find((each) => each.id === test)!;
    const blurred = next() < blur;
    const outcome = draw(next, known.outcomes, ({ id }) =>
      blurred
        ? 1
        : knowledge.outcomeGivenFault.find(
            (row) => row.test === test && row.fault === hidden.fault && row.outcome === id,
          )!.p,
    );
    results.push({ test, outcome: outcome.id });
    minutes += known.minutes;
  }
}

/** Right answers and mean minutes of both ways over the same hidden bicycles. */
export function diagnosisTrial(cases: number, blur: number, believed = 0) {
  const score = { telling: { right: 0, minutes: 0 }, cheapest: { right: 0, minutes: 0 } };
  for (let i = 0; i < cases; i++) {
    const hidden = drawCase(uniformStream(i + 1, 'case'));
    for (const policy of ['telling', 'cheapest'] as const) {
      const told = solve(uniformStream(i + 1, `outcomes ${policy}`), hidden, policy, blur, believed);
      if (told.named === hidden.fault) score[policy].right++;
      score[policy].minutes += told.minutes;
    }
  }
  const of = (policy: Policy) => ({ right: score[policy].right / cases, minutes: score[policy].minutes / cases });
  return { telling: of('telling'), cheapest: of('cheapest') };
}

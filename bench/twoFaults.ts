import { answer } from '@/core/calculator';
import { inspectDiagnose } from '@/core/inspect/diagnose';
import { inspectDiagnoseAfter } from '@/core/inspect/diagnoseAfter';
import { singleFaults } from '@/core/inspect/hypotheses';
import { knowledge } from '@/core/inspect/knowledge';
import { NONE } from '@/core/inspect/twoFaults';
import { uniformStream } from '@/core/money/streams';
import { diagnosisTests } from '@/core/inspect/data/diagnosis';
import { draw } from './diagnosis';

type Result = { test: string; outcome: string };
interface Hidden {
  first: string;
  /** The other cause, or none. */
  second: string;
  complaints: string[];
}

const usual = new Map(diagnosisTests.map(({ id, usual: chances }) => [id, chances.split('|').map(Number)]));
const faultAt = new Map(knowledge.faults.map(({ id }, i) => [id, i]));
const chancesOf = (test: string, fault: string): number[] =>
  singleFaults.tests.get(test)!.chances.map((row) => row[faultAt.get(fault)!]!);
const complains = (complaint: string, fault: string) => singleFaults.complaints.get(complaint)![faultAt.get(fault)!]!;

/**
 * Outcomes of a test on a bicycle with two causes, exactly: each cause shows an outcome by itself; where both show the
 * usual one that is seen, where one shows a sign the sign is, and of two different signs either. No leak is taken out: it
 * is not the formula of `inspect.diagnoseAfter`.
 */
function exactly(test: string, causes: readonly string[]): number[] {
  const [p, q] = causes.map((fault) => chancesOf(test, fault));
  if (!q) return p!;
  const u = usual.get(test)!;
  const normal = u.indexOf(Math.max(...u));
  const seen = p!.map(() => 0);
  for (const [a, pa] of p!.entries())
    for (const [b, qb] of q.entries()) {
      const shown = a === normal ? [b] : b === normal || a === b ? [a] : [a, b];
      for (const each of shown) seen[each]! += (pa * qb) / shown.length;
    }
  return seen;
}

const heard = (complaint: string, causes: readonly string[]) =>
  1 - causes.reduce((left, fault) => left * (1 - complains(complaint, fault)), 1);

/** A bicycle with one cause or two, at even odds, and what its rider says. */
function drawTwo(next: () => number): Hidden {
  for (;;) {
    const first = draw(next, knowledge.faults, (each) => each.prior).id;
    const others = knowledge.faults.filter(({ id }) => id !== first);
    const second = next() < 0.5 ? NONE : draw(next, others, (each) => each.prior).id;
    const causes = second === NONE ? [first] : [first, second];
    const complaints = knowledge.complaints.filter(({ id }) => next() < heard(id, causes)).map(({ id }) => id);
    if (complaints.length > 0) return { first, second, complaints };
  }
}

function make(next: () => number, test: string, { first, second }: Hidden): Result {
  const chances = exactly(test, second === NONE ? [first] : [first, second]);
  const { outcomes } = singleFaults.tests.get(test)!;
  return {
    test,
    outcome: draw(
      next,
      outcomes.map((id, i) => ({ id, p: chances[i]! })),
      ({ p }) => p,
    ).id,
  };
}

const minutesOf = new Map(knowledge.tests.map(({ id, minutes }) => [id, minutes]));

/** From complaint to the first cause, and from there to the second or to none: as a page takes a person through. */
function byPages(next: () => number, hidden: Hidden): { second: string; minutes: number } {
  const results: Result[] = [];
  let minutes = 0;
  const go = (test: string) => {
    results.push(make(next, test, hidden));
    minutes += minutesOf.get(test)!;
  };
  for (;;) {
    const told = answer(inspectDiagnose, { complaints: hidden.complaints, results });
    if (!told.ok) throw new Error(JSON.stringify(told.errors));
    if (told.output.verdict !== 'keep-testing' || told.output.enough) break;
    go(told.output.next[0]!.test);
  }
  // The first cause is known from here on: it was found, or came to light when what was named turned out sound.
  for (;;) {
    const told = answer(inspectDiagnoseAfter, { complaints: hidden.complaints, results, known: [hidden.first] });
    if (!told.ok) throw new Error(JSON.stringify(told.errors));
    if (told.output.verdict !== 'keep-testing' || told.output.enough)
      return { second: told.output.faults[0]!.id, minutes };
    go(told.output.next[0]!.test);
  }
}

/** The first cause known, every other weighed by the exact chances of the pair, no complaint or outcome approximated. */
function exhaustively(next: () => number, hidden: Hidden): { second: string; minutes: number } {
  const others = knowledge.faults.filter(({ id }) => id !== hidden.first);
  const whole = others.reduce((sum, { prior }) => sum + prior, 0);
  const pairs = [
    { second: NONE, causes: [hidden.first], p: 0.5 },
    ...others.map(({ id, prior }) => ({ second: id, causes: [hidden.first, id], p: (0.5 * prior) / whole })),
  ];
  const table = new Map(knowledge.tests.map(({ id }) => [id, pairs.map(({ causes }) => exactly(id, causes))]));
  const normalised = (rows: number[]) => {
    const sum = rows.reduce((total, p) => total + p, 0);
    return rows.map((p) => p / sum);
  };
  const entropy = (rows: number[]) => -rows.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0);
  let belief = normalised(
    pairs.map(({ p, causes }) => hidden.complaints.reduce((odds, complaint) => odds * heard(complaint, causes), p)),
  );
  let minutes = 0;
  const done = new Set<string>();
  for (;;) {
    const now = entropy(belief);
    const best = knowledge.tests
      .filter(({ id }) => !done.has(id))
      .map(({ id, minutes: takes }) => {
        const rows = table.get(id)!;
        const then = rows[0]!.reduce((sum, _, o) => {
          const after = belief.map((p, i) => p * rows[i]![o]!);
          const chance = after.reduce((total, p) => total + p, 0);
          return sum + (chance > 0 ? chance * entropy(normalised(after)) : 0);
        }, 0);
        return { id, perMinute: (now - then) / takes };
      })
      .sort((a, b) => b.perMinute - a.perMinute)[0];
    const top = Math.max(...belief);
    if (top >= 0.9 || !best || best.perMinute < 0.004) return { second: pairs[belief.indexOf(top)]!.second, minutes };
    const { outcome } = make(next, best.id, hidden);
    const o = singleFaults.tests.get(best.id)!.outcomes.indexOf(outcome);
    belief = normalised(belief.map((p, i) => p * table.get(best.id)![i]![o]!));
    done.add(best.id);
    minutes += minutesOf.get(best.id)!;
  }
}

/** How often the second cause, or that there is none, is named right, with the minutes that it took. */
export function twoFaultsTrial(cases: number) {
  const score = { pages: { right: 0, minutes: 0 }, exact: { right: 0, minutes: 0 }, noneSaid: 0 };
  for (let i = 0; i < cases; i++) {
    const hidden = drawTwo(uniformStream(i + 1, 'two'));
    const pages = byPages(uniformStream(i + 1, 'two pages'), hidden);
    const exact = exhaustively(uniformStream(i + 1, 'two exact'), hidden);
    score.pages.right += Number(pages.second === hidden.second) / cases;
    score.pages.minutes += pages.minutes / cases;
    score.exact.right += Number(exact.second === hidden.second) / cases;
    score.exact.minutes += exact.minutes / cases;
    score.noneSaid += Number(hidden.second === NONE) / cases;
  }
  return score;
}

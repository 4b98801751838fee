import { diagnosisTests } from './data/diagnosis';
import { singleFaults, type Hypotheses } from './hypotheses';
import { knowledge } from './knowledge';

/** Nothing else is wrong. */
export const NONE = 'none';
const NONE_PRIOR = 0.5;

/** What a test shows of a bicycle that has nothing to do with it, by test. */
const usual = new Map(diagnosisTests.map(({ id, usual: chances }) => [id, chances.split('|').map(Number)]));

/** Chances lie within these, as in the tables: no single answer closes a case. */
const within = (p: number) => Math.min(0.99, Math.max(0.01, p));

/** The share of a cause that comes on top of what shows anyhow: 1 − (1 − p)/(1 − leak). */
const onTop = (p: number, leak: number) => Math.max(0, 1 - (1 - p) / (1 - leak));

/** Either of two causes brings it, or it shows anyhow: the noisy-or, 1 − (1 − p)(1 − q)/(1 − leak). */
export const eitherBrings = (p: number, q: number, leak: number): number =>
  within(1 - ((1 - p) * (1 - q)) / (1 - leak));

/**
 * Outcomes of a test under two causes. The outcome that is usual is no sign: it shows where neither cause brings a sign,
 * p₀·q₀/u₀. The signs share the rest by what either cause brings on top of the usual; where neither brings any, as the two
 * rows do on the mean. With a cause that says nothing (q = u) it is p.
 */
export function outcomesOfBoth(p: readonly number[], q: readonly number[], u: readonly number[]): number[] {
  const normal = u.indexOf(Math.max(...u));
  const quiet = within((p[normal]! * q[normal]!) / u[normal]!);
  const weights = p.map((each, i) => (i === normal ? 0 : u[i]! + onTop(each, u[i]!) + onTop(q[i]!, u[i]!)));
  const whole = weights.reduce((sum, each) => sum + each, 0);
  return p.map((_, i) => (i === normal ? quiet : ((1 - quiet) * weights[i]!) / whole));
}

const rowOf = (test: string, fault: number) => singleFaults.tests.get(test)!.chances.map((chances) => chances[fault]!);

/** Chances of a bicycle that has all of these faults and nothing else: complaints by id, outcomes by test. */
export interface Known {
  complaints: Map<string, number>;
  tests: Map<string, number[]>;
}

/** What faults that are known explain, each folded onto the one before. */
export function explained(known: readonly string[]): Known {
  const at = known.map((id) => knowledge.faults.findIndex((fault) => fault.id === id));
  const leak = knowledge.complaintDefault;
  return {
    complaints: new Map(
      [...singleFaults.complaints].map(([id, chances]) => [
        id,
        at.reduce((p, fault) => eitherBrings(p, chances[fault]!, leak), leak),
      ]),
    ),
    tests: new Map(
      knowledge.tests.map(({ id }) => {
        const u = usual.get(id)!;
        const [first, ...more] = at.map((fault) => rowOf(id, fault));
        return [id, more.reduce((p, q) => outcomesOfBoth(p, q, u), first ?? u)];
      }),
    ),
  };
}

/**
 * The other faults, each together with those that are known, and nothing else at even odds. The rest share the other half
 * as they are met. `still` are complaints that stayed once the known ones were mended: these explain them no more.
 */
export function besides(known: readonly string[], still: readonly string[] = []): Hypotheses {
  const { complaints, tests } = explained(known);
  const others = knowledge.faults.flatMap((fault, i) => (known.includes(fault.id) ? [] : [{ fault, i }]));
  const whole = others.reduce((sum, { fault }) => sum + fault.prior, 0);
  return {
    faults: [{ id: NONE, label: 'Nothing else', unsafe: false }, ...others.map(({ fault }) => fault)],
    priors: Float64Array.from([NONE_PRIOR, ...others.map(({ fault }) => ((1 - NONE_PRIOR) * fault.prior) / whole)]),
    complaints: new Map(
      [...complaints].map(([id, explains]) => {
        const chances = singleFaults.complaints.get(id)!;
        const leak = knowledge.complaintDefault;
        const p = still.includes(id) ? leak : explains;
        return [id, Float64Array.from([p, ...others.map(({ i }) => eitherBrings(p, chances[i]!, leak))])];
      }),
    ),
    tests: new Map(
      [...tests].map(([id, p]) => {
        const rows = [p, ...others.map(({ i }) => outcomesOfBoth(p, rowOf(id, i), usual.get(id)!))];
        const { outcomes } = singleFaults.tests.get(id)!;
        return [id, { outcomes, chances: outcomes.map((_, o) => Float64Array.from(rows, (row) => row[o]!)) }];
      }),
    ),
  };
}

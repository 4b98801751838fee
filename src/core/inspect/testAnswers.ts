import { grouped } from '../grouped';
import { blurOf, testChecks } from './data/heard';
import type { Finding } from './lookOver';
import { knowledge } from './knowledge';

/** A test of the diagnosis that a finding answers already. */
export interface TestAnswer {
  test: string;
  outcome: string;
  /** How often what was found out by such means is not so: what the answer is worth as evidence. */
  blur: number;
  check: string;
  label: string;
  at: string | null;
}

/** The words by which a finding may answer a test: its verdict, its outcome, its state, and how it feels. */
export function wordsOf({
  verdict,
  outcome,
  state,
  evidence,
}: Pick<Finding, 'verdict' | 'outcome' | 'state' | 'evidence'>): string[] {
  return [
    ...(verdict ? [verdict] : []),
    ...(outcome ? [outcome] : []),
    `state-${state}`,
    ...(evidence?.feel ? [`feel-${evidence.feel}`] : []),
    ...(evidence?.play ? [`play-${evidence.play}`] : []),
  ];
}

type Told = Pick<
  Finding,
  'check' | 'label' | 'verdict' | 'outcome' | 'state' | 'evidence' | 'means' | 'again' | 'ended' | 'gone' | 'heard'
>;

/**
 * The tests that findings answer. A test that found something is answered by any of its checks; one that found nothing only
 * where every check that it speaks of, and that the bicycle has, says so. What was found before cleaning counts as a look.
 *
 * Example: a crank arm loose on record → "push each arm in and out" came out as "one loose".
 */
export function testAnswers(findings: readonly Told[]): TestAnswer[] {
  const by = new Map(
    findings
      .filter(({ gone, ended, state }) => !gone && !ended && state !== 'not-looked-at')
      .map((each) => [each.check, each]),
  );
  const had = new Set(findings.map(({ check }) => check));
  return [...grouped(testChecks, ({ test }) => test)].flatMap(([test, rows]): TestAnswer[] => {
    const nothing = knowledge.tests.find(({ id }) => id === test)?.outcomes[0]?.id;
    const said = (row: (typeof rows)[number]) => {
      const finding = by.get(row.check);
      return finding && wordsOf(finding).some((word) => row.said.includes(word)) ? finding : null;
    };
    const answered = (row: (typeof rows)[number], finding: Told): TestAnswer => ({
      test,
      outcome: row.outcome,
      blur: blurOf.get(finding.again ? 'eye' : (finding.means ?? 'eye'))!,
      check: finding.check,
      label: finding.label,
      at: finding.heard?.at ?? null,
    });
    for (const row of rows) {
      const finding = row.outcome === nothing ? null : said(row);
      if (finding) return [answered(row, finding)];
    }
    const clean = rows.filter(({ outcome, check }) => outcome === nothing && had.has(check));
    const found = clean.map((row) => ({ row, finding: said(row) }));
    if (clean.length === 0 || found.some(({ finding }) => finding === null)) return [];
    // A chain of answers is as good as its weakest.
    return [
      found
        .map(({ row, finding }) => answered(row, finding!))
        .reduce((weakest, each) => (each.blur > weakest.blur ? each : weakest)),
    ];
  });
}

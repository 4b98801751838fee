export const MISMATCH_ANSWERS = ['lost', 'split', 'came-short', 'came-overfull', 'cage-to-loose'] as const;
export type MismatchAnswer = (typeof MISMATCH_ANSWERS)[number];

export interface BallCounts {
  out: number | null;
  holds: number | null;
  in: number | null;
  answer: MismatchAnswer | null;
}

export interface CountCheck {
  /** What does not agree, in words; null when all that is known agrees. */
  question: string | null;
  /** The answers that can explain it. */
  answers: MismatchAnswer[];
  settled: boolean;
}

/**
 * Whether the three numbers of one side agree: balls that came out, what the cup holds when filled, what went in.
 * Any two that differ are asked about; a mismatch is settled by an answer that can explain it, and a last count in
 * that differs from what the cup holds is never settled by silence.
 *
 * A retainer that is given up for loose balls lets more of them in. Example: out nine, holds nine, in eight → asked,
 * answered by lost.
 */
export function checkCounts(counts: BallCounts, caged = false): CountCheck {
  const { out, holds, in: put, answer } = counts;
  const questions: string[] = [];
  const answers = new Set<MismatchAnswer>();
  if (out !== null && holds !== null && out < holds) {
    questions.push(`${out} came out and the cup holds ${holds}`);
    for (const possible of ['came-short', 'lost', 'split'] as const) answers.add(possible);
    if (caged) answers.add('cage-to-loose');
  }
  if (out !== null && holds !== null && out > holds) {
    questions.push(`${out} came out and the cup holds only ${holds}`);
    answers.add('came-overfull');
  }
  const due = holds ?? out;
  if (put !== null && due !== null && put < due) {
    questions.push(`${put} went in where ${due} belong`);
    for (const possible of ['lost', 'split'] as const) answers.add(possible);
  }
  if (put !== null && due !== null && put > due) {
    questions.push(`${put} went in where ${due} belong`);
    answers.add('came-overfull');
    if (caged) answers.add('cage-to-loose');
  }
  return {
    question: questions.length ? `${questions.join('; ')}.` : null,
    answers: [...answers],
    settled: questions.length === 0 || (answer !== null && answers.has(answer)),
  };
}

/** Balls to put in: what the cup holds when filled, else what came out. */
export function ballsDue(counts: BallCounts): number | null {
  return counts.holds ?? counts.out;
}

/**
 * Whether rows that are usually alike came out alike. Rows of other ball sizes are never compared; one answer at either
 * row settles it. A row out of which nothing came is asked about: was there nothing, or was it not counted? Example: twelve out of the inner row and eleven out of the outer one of a pedal → asked.
 */
export function checkAlike(
  rows: { id: string; label: string; fractionIn: string; usual: number | null; counts: BallCounts }[],
): CountCheck {
  const known = rows.filter((row) => row.counts.out !== null);
  const none = known.find((row) => row.counts.out === 0 && row.usual !== 0);
  if (none)
    return {
      question: `${none.label}: none came out${none.usual === null ? '' : `, and ${none.usual} of ${none.fractionIn} in are usual`}.`,
      answers: ['lost', 'came-short'],
      settled: none.counts.answer === 'lost' || none.counts.answer === 'came-short',
    };
  const odd = known.find(
    (row) =>
      row.fractionIn === known[0]!.fractionIn &&
      row.usual === known[0]!.usual &&
      row.counts.out !== known[0]!.counts.out,
  );
  if (!odd) return { question: null, answers: [], settled: true };
  const [first] = known;
  const answers: MismatchAnswer[] = ['lost', 'split', 'came-short', 'came-overfull'];
  return {
    question: `${first!.label}: ${first!.counts.out} out; ${odd.label.toLowerCase()}: ${odd.counts.out}. They are usually alike.`,
    answers,
    settled: known.some((row) => row.counts.answer !== null),
  };
}

import type { Age } from '@/core/buy/age';
import type { Fit } from '@/core/buy/fit';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Ready } from '@/core/prove/ready';
import type { ProofEvidence } from '@/core/prove/evidence';
import type { QuestionOf } from '@/core/questions';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { lastWayOut } from '../prove/proving';
import { provedPairs } from '../prove/pairs';
import type { Bicycle } from '../record';

/** What calculators say of a bicycle, which its listing tells. */
export interface ListingKnown {
  fit: Fit | null;
  age: Age | null;
  lookOver: Pick<LookOver, 'findings'> | null;
  evidence: ProofEvidence | null;
  ready: Pick<Ready, 'ready' | 'missing' | 'provedOn'> | null;
  /** Money as it is written. */
  money(minor: number): string;
}

const FLAWS = new Set(['watch', 'service', 'replace', 'unsafe']);
const MOST = 400;
const cut = (words: string) => words.slice(0, MOST);

/** What was found and stands as it is: open, or accepted by somebody. A finding that has ended is none. */
function flawsOf({ acceptances }: Bicycle, { lookOver }: ListingKnown): string[] {
  return (
    (lookOver?.findings ?? [])
      // What the torque round found loose was tightened: that is no flaw of the bicycle.
      .filter(({ check, state, ended }) => FLAWS.has(state) && !ended && check !== 'bolts')
      .map(({ check, label, reasons }) => {
        const accepted = acceptances.findLast((row) => row.check === check);
        return cut(accepted?.words ? `${label}: ${accepted.words}` : `${label}: ${reasons[0] ?? 'seen'}`).replace(
          /[.]$/,
          '',
        );
      })
  );
}

/** Places of which something new came onto the bicycle. */
function renewedOf({ worked, jobs }: Bicycle): string[] {
  const done = new Set(jobs.filter((job) => job.done).map(({ place }) => place));
  return [...new Set(worked.filter(({ kind }) => kind === 'renewed').map(({ place }) => place))]
    .filter((place) => !done.has(place))
    .map(placeLabel);
}

/** The question for `sell.listing`: nothing but what the record knows, and what was reckoned from it. */
export function listingInput(bicycle: Bicycle, known: ListingKnown): QuestionOf<'sell.listing'> {
  const { size, listing, saleOptions, notOriginal, buyersQuestions, jobs, name, kind } = bicycle;
  const out = lastWayOut(bicycle);
  const age = known.age?.likely ?? known.age?.possible ?? null;
  const pairs = known.evidence ? provedPairs(bicycle, known.evidence).worked : [];
  const isReady = known.ready?.ready === true;
  return {
    name: name.trim() || 'A bicycle',
    kind,
    use: size.sizeMm === null ? null : size.use,
    sizeMm: size.sizeMm,
    riderMm: size.sizeMm !== null && known.fit ? { low: known.fit.riderMm.low, high: known.fit.riderMm.high } : null,
    age: age && { from: age.from, to: age.to, by: (known.age?.evidence ?? []).map(({ feature }) => cut(feature)) },
    done: jobs.filter((job) => job.decision === 'keep' && job.done).map(({ title }) => title),
    renewed: renewedOf(bicycle),
    measured: pairs.flatMap(({ place, what, before, after }) =>
      after === null ? [] : [{ label: cut(what ? `${placeLabel(place)}, ${what}` : placeLabel(place)), before, after }],
    ),
    flaws: flawsOf(bicycle, known),
    notOriginal: notOriginal.map(({ label }) => label),
    way: out?.way ?? (isReady ? 'ready' : null),
    provedOn: isReady ? (known.ready?.provedOn ?? null) : null,
    open: (known.ready?.missing ?? []).filter(({ blocks }) => blocks).map(({ words }) => cut(words)),
    forWhom: listing.forWhom.slice(0, MOST),
    options: saleOptions.map(({ label, price }) => ({ label, price: price > 0 ? `+ ${known.money(price)}` : '' })),
    answers: buyersQuestions
      .filter(({ answer }) => answer.trim() !== '')
      .map(({ asked, answer }) => ({ asked: cut(asked), answer: cut(answer) })),
    price: listing.ask === null ? null : known.money(listing.ask),
    tone: listing.tone,
    length: listing.length,
  };
}

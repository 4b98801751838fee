/** What is measured without a browser: the calculators at work, hidden hubs set, hidden faults found. */
import { bearingsAdjustCone } from '../src/core/bearings/adjustCone';
import { answer } from '../src/core/calculator';
import { moneyAppraise } from '../src/core/money/appraise';
import { NOTHING_LEARNT } from '../src/core/money/learnt';
import { buyAppraise } from '../src/core/buy/appraise';
import { decideJobs } from '../src/core/decide/jobs';
import { cablesCutList } from '../src/core/cables/cutList';
import { inspectDiagnose } from '../src/core/inspect/diagnose';
import { handEvidence } from '../src/core/inspect/check';
import { checksFor } from '../src/core/inspect/checks';
import { inspectLookOver } from '../src/core/inspect/lookOver';
import { USUAL_COSTS } from '../src/model/buy/fresh';
import { newBicycle } from '../src/model/fresh';
import { USUAL_SETTINGS } from '../src/model/settings/usual';
import { appraisalInput } from '../src/model/buy/questions';
import { diagnosisTrial } from './diagnosis';
import { twoFaultsTrial } from './twoFaults';
import { setHubs } from './hubs';
import { line, timed } from './line';
import { cartridgeShare, identify, plan, washLoads } from './strip';

const HUBS = 200;

export function measureCalculators(): void {
  const appraisal = {
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    target: { kind: 'hourly', amount: 1500 },
    costs: USUAL_COSTS.map(({ label, kind, chance, parts, minutes }) => ({ label, kind, chance, parts, minutes })),
  };
  const trials = (['tight', 'tight', 'loose', 'tick', 'tight', 'tick', 'smooth', 'tick'] as const).map((feel, i) => ({
    turnDeg: i === 0 ? 0 : feel === 'tight' ? -30 : 14,
    feel,
    clamped: i > 4,
  }));

  line(
    'appraisal, 20,000 trials, Node',
    `${timed(15, () => answer(moneyAppraise, appraisal)).toFixed(0)} ms`,
    'aim under 150 ms',
  );
  line(
    'cone advice after 8 trials, Node',
    `${timed(15, () => answer(bearingsAdjustCone, { pitchMm: 1, allowanceDeg: 12, trials })).toFixed(0)} ms`,
    'aim under 50 ms',
  );

  let wash = 0;
  line('wash planned: 60 parts, 3 baths, Node', `${timed(25, () => plan(++wash)).toFixed(1)} ms`, 'aim under 50 ms');
  const outers = (count: number) => ({
    pieces: Array.from({ length: count }, (_, i) => ({
      id: `p${i}`,
      lengthMm: 200 + ((i * 137) % 900),
      kind: 'brake-outer' as const,
    })),
    stock: [
      { id: 'coil', lengthMm: 5000, count: 8, price: 800, maxPieces: null, kind: 'brake-outer' as const },
      { id: 'rest', lengthMm: 900, count: 5, price: 0, maxPieces: null, kind: 'brake-outer' as const },
    ],
  });
  for (const count of [8, 10, 40])
    line(
      `cut list: ${count} pieces of a kind, Node`,
      `${timed(5, () => answer(cablesCutList, outers(count))).toFixed(0)} ms`,
      count <= 10 ? 'proven' : 'not proven',
    );
  const washes = washLoads(40);
  line(
    'loads of 40 such washes',
    `${washes.loads}`,
    `${washes.bound} by volume alone; times and processes keep some apart`,
  );
  line('what is it, one question, Node', `${timed(25, identify).toFixed(1)} ms`, 'aim under 10 ms');
  const told = cartridgeShare(0.03, 20);
  line(
    'cartridges told by a caliper off by 0.03 mm',
    `${(told.share * 100).toFixed(2)} %`,
    `aim 99 %; ${told.counted} sizes, ${told.level} more differ only in their angles`,
  );

  const seller = newBicycle('b', '2026-11-25T10:00:00.000Z', 'A bicycle');
  seller.appraisal = { ...seller.appraisal, asking: 14000, resale: { low: 26000, likely: 30000, high: 34000 } };
  let tapped = 0;
  line(
    'door check, one tap: lines, ceiling, lifts, Node',
    `${timed(15, () =>
      answer(
        buyAppraise,
        appraisalInput(
          {
            ...seller,
            door: { tyres: { answer: tapped++ % 2 ? 'bad' : 'fine', at: seller.createdAt, by: '' } },
          },
          USUAL_SETTINGS,
          NOTHING_LEARNT,
          { lookOver: { findings: [] }, jobs: [] },
        ),
      ),
    ).toFixed(0)} ms`,
    'aim under 150 ms',
  );
  line(
    'diagnosis, one step, Node',
    `${timed(40, () =>
      answer(inspectDiagnose, { complaints: ['creak'], results: [{ test: 'saddle-twist', outcome: 'quiet' }] }),
    ).toFixed(1)} ms`,
    'aim under 20 ms',
  );
  const everything = answer(inspectLookOver, {
    found: checksFor(seller.kind).map((check) => ({
      check: check.id,
      evidence: handEvidence(check, 'service', seller.kind),
    })),
  });
  if (!everything.ok) throw new Error('the look-over refused its own evidence');
  const findings = everything.output.findings.map(({ check, label, place, verdict, outcome, reasons }) => ({
    check,
    label,
    place,
    verdict,
    outcome,
    reasons,
  }));
  line(
    `re-proposing every job of a bicycle with ${findings.length} findings, Node`,
    `${timed(25, () => answer(decideJobs, { brief: 'rideable', findings })).toFixed(1)} ms`,
    'aim under 30 ms',
  );
}

export function measureHubs(): void {
  const usual = { dragMeanDeg: 5, dragSdDeg: 4, bandScale: 1, allowanceDeg: 0 };
  const truths = {
    'as believed': usual,
    'with a skewer, 12°': { ...usual, allowanceDeg: 12 },
    'drag 9±6': { ...usual, dragMeanDeg: 9, dragSdDeg: 6 },
    'drag 9±6 with a skewer': { ...usual, dragMeanDeg: 9, dragSdDeg: 6, allowanceDeg: 12 },
    'bands a third narrower': { ...usual, bandScale: 2 / 3 },
    'bands a third wider': { ...usual, bandScale: 4 / 3 },
  };
  for (const [name, truth] of Object.entries(truths)) {
    const show = (run: ReturnType<typeof setHubs>) =>
      `median ${run.medianTrials}, mean ${run.meanTrials.toFixed(2)} trials (p90 ${run.p90Trials}), ${(run.shareRight * 100).toFixed(1)} % right`;
    line(
      `${HUBS} hidden hubs, ${name}`,
      show(setHubs(HUBS, truth, 'adviser')),
      `aim ≤3, ≤3.8, ≥94 %; fixed steps, same stop: ${show(setHubs(HUBS, truth, 'fixed'))}`,
    );
  }
}

export function measureDiagnosis(): void {
  for (const [name, blur, believed] of [
    ['as believed', 0, 0],
    ['outcomes blurred by a fifth, and not known to be', 0.2, 0],
    ['outcomes blurred by a fifth, and known to be', 0.2, 0.2],
    ['as believed, and thought blurred by a fifth', 0, 0.2],
  ] as const) {
    const { telling, cheapest } = diagnosisTrial(1000, blur, believed);
    const show = (each: typeof telling) => `${(each.right * 100).toFixed(1)} % right, ${each.minutes.toFixed(1)} min`;
    line(
      `1,000 hidden faults, ${name}`,
      show(telling),
      `cheapest test first, same stop: ${show(cheapest)}; ${((100 * telling.minutes) / cheapest.minutes).toFixed(0)} % of its minutes`,
    );
  }
  const { pages, exact, noneSaid } = twoFaultsTrial(400);
  const show = (each: typeof pages) => `${(each.right * 100).toFixed(1)} % right, ${each.minutes.toFixed(1)} min`;
  line(
    '400 hidden second causes, the first known',
    show(pages),
    `exhaustive Bayes over the pairs: ${show(exact)}; saying "none" always: ${(noneSaid * 100).toFixed(1)} %`,
  );
}

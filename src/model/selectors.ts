import { emptyMap, own } from '@/core/own';
import type { BuyAppraiseInput } from '@/core/buy/appraise';
import { MOST_TAUGHT } from '@/core/buy/doorLine';
import type { Evidence } from '@/core/inspect/evidence';
import type { LookOver } from '@/core/inspect/lookOver';
import type { SeenAs } from '@/core/inspect/seenAs';
import { stillSaying } from '@/core/inspect/means';
import { judgeTorque } from '@/core/rebuild/judgeTorque';
import type { Bolt, BoltsInput } from '@/core/rebuild/bolts';
import type { AppraiseInput } from '@/core/money/appraise';
import type { ResultInput } from '@/core/money/result';
import { isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import { newTray, UNCOUNTED } from './fresh';
import type { Bicycle, Job, Observation, SideCount, Tray, WorkshopSettings } from './record';

/** What the workshop's other bicycles teach an appraisal. */
export interface Taught {
  door: Bicycle['door'];
  minutesAt: Record<string, number>;
}

/** What one bicycle teaches the next: its answers at the door, and the minutes of work put down by place. */
export function taughtBy(bicycle: Bicycle): Taught {
  const minutesAt = emptyMap<number>();
  for (const { place, stage, minutes } of bicycle.minutes)
    if (place && stage !== 'look-over') minutesAt[place] = (minutesAt[place] ?? 0) + minutes;
  return { door: bicycle.door, minutesAt };
}

/** What many bicycles teach of each line of the door check, small however many there are. */
export type Lessons = Record<string, { looked: number; bad: number; minutesAt: Record<string, number[]> }>;

/** Lessons gathered from what single bicycles teach, oldest first. */
export function gatherLessons(rows: Iterable<Taught>): Lessons {
  const lessons: Lessons = emptyMap();
  for (const { door, minutesAt } of rows)
    for (const [line, answer] of Object.entries(door)) {
      const lesson = (lessons[line] ??= { looked: 0, bad: 0, minutesAt: emptyMap() });
      lesson.looked += 1;
      if (answer !== 'bad') continue;
      lesson.bad += 1;
      for (const [place, minutes] of Object.entries(minutesAt))
        lesson.minutesAt[place] = [...(lesson.minutesAt[place] ?? []), minutes].slice(-MOST_TAUGHT);
    }
  return lessons;
}

/** What the seller said, by question, as far as it was asked. */
export function saidBySeller({ lead }: Pick<Bicycle, 'lead'>): Record<string, string> {
  const { kept, indoors, crashed, ridden } = lead;
  return Object.fromEntries(
    Object.entries({ kept, indoors, crashed, ridden }).flatMap(([question, answer]) =>
      answer === null ? [] : [[question, answer]],
    ),
  );
}

/** What an hour of hands counts here: the customer's rate on a customer's bicycle, else the wage wanted, else the house's own; 0 where none is set. */
export function wageOf(
  bicycle: Pick<Bicycle, 'purpose' | 'appraisal'>,
  settings: Pick<WorkshopSettings, 'labourPerHour' | 'customerPerHour'>,
): number {
  const { target } = bicycle.appraisal;
  if (bicycle.purpose === 'customer') return settings.customerPerHour;
  return target.kind === 'hourly' ? target.amount : settings.labourPerHour;
}

/** The question for `buy.appraise`. The travel counts until the bicycle is bought, and only where a distance is known. */
export function appraisalInput(bicycle: Bicycle, settings: WorkshopSettings, taught: Lessons): BuyAppraiseInput {
  const { asking, resale, otherCosts, target, confidence, lines } = bicycle.appraisal;
  const { distanceKm, costPerKm, haggle } = bicycle.lead;
  return {
    kind: bicycle.kind,
    door: bicycle.door,
    said: saidBySeller(bicycle),
    taught,
    forParts: bicycle.brief === 'donor',
    lines: lines.map(({ id, label, kind, chance, parts, minutes }) => ({ id, label, kind, chance, parts, minutes })),
    currency: settings.currency,
    asking,
    resale,
    otherCosts,
    labourPerHour: settings.labourPerHour,
    target,
    confidence,
    travel: bicycle.purchase || distanceKm === null ? null : { distanceKm, costPerKm, haggle },
  };
}

/** The question for `money.samples`, with the costs as the appraisal reckoned them. */
export function samplesInput(
  bicycle: Bicycle,
  settings: WorkshopSettings,
  costs: AppraiseInput['costs'],
): AppraiseInput {
  const { resale, otherCosts } = bicycle.appraisal;
  // What a slider moves stays out of the question, so that a drag asks nothing.
  return {
    currency: settings.currency,
    asking: 0,
    resale,
    otherCosts,
    costs,
    target: { kind: 'profit', amount: 0 },
  };
}

/** The same question once jobs are decided: the kept jobs are the costs, and the price paid is what was asked. */
export function decidedInput(
  bicycle: Bicycle,
  settings: WorkshopSettings,
  jobs: Pick<Job, 'id' | 'title' | 'parts' | 'minutes'>[],
): AppraiseInput {
  const { asking, resale, otherCosts, target, confidence } = bicycle.appraisal;
  return {
    currency: settings.currency,
    resale,
    otherCosts,
    target,
    confidence,
    labourPerHour: settings.labourPerHour,
    asking: bicycle.purchase?.paid ?? asking,
    costs: jobs.map(({ id, title, parts, minutes }) => ({
      id,
      label: `${title} (${id})`,
      kind: 'fault' as const,
      chance: 1,
      parts,
      minutes,
    })),
  };
}

/** The question for `rebuild.bolts`: what the bicycle is, what was found in its trays, the sizes that were chosen. */
export function boltsInput(bicycle: Pick<Bicycle, 'kind' | 'trays' | 'boltSizes'>): BoltsInput {
  return { kind: bicycle.kind, assemblies: chosenAssemblies(bicycle), sizes: bicycle.boltSizes };
}

/** The question for `money.result`. */
export function resultInput(bicycle: Bicycle, settings: WorkshopSettings): ResultInput {
  return {
    currency: settings.currency,
    sale: bicycle.sale.price,
    fee: bicycle.sale.fee,
    purchase: bicycle.purchase?.paid ?? 0,
    lines: bicycle.lines.map(({ label, kind, paid, packQty, usedQty }) => ({ label, kind, paid, packQty, usedQty })),
    minutes: workedMinutes(bicycle),
    labourPerHour: settings.labourPerHour,
  };
}

/** All minutes put down on a bicycle. */
export function workedMinutes(bicycle: Bicycle): number {
  return bicycle.minutes.reduce((sum, entry) => sum + entry.minutes, 0);
}

/** The last observation of each check that has not been withdrawn. */
export function latestObservations(bicycle: Bicycle): Map<string, Observation> {
  return new Map(bicycle.observations.filter((row) => !row.withdrawn).map((row) => [row.check, row]));
}

/** The question for `inspect.lookOver`. */
export function lookOverInput(bicycle: Bicycle, settings: WorkshopSettings, today: string) {
  const found: { check: string; evidence: Evidence; seenAs: SeenAs; at: string }[] = [
    ...observationsByCheck(bicycle),
  ].flatMap(([check, rows]) => stillSaying(rows).map(({ evidence, seenAs, at }) => ({ check, evidence, seenAs, at })));
  return {
    kind: bicycle.kind,
    brief: bicycle.brief,
    rules: settings.rules,
    frontBrakeHand: settings.frontBrakeHand,
    today,
    now: bicycle.seenAs,
    found,
    mended: lastMended(bicycle),
    ended: endingsInForce(bicycle),
  };
}

/** The observations of each check that have not been withdrawn, oldest first. */
function observationsByCheck(bicycle: Bicycle): Map<string, Observation[]> {
  const by = new Map<string, Observation[]>();
  for (const row of bicycle.observations) if (!row.withdrawn) by.set(row.check, [...(by.get(row.check) ?? []), row]);
  return by;
}

/** When the last job at each place was done. */
function lastMended(bicycle: Bicycle): { place: string; at: string }[] {
  const last = new Map<string, string>();
  for (const { job, place, at } of bicycle.worked)
    if (job !== null && at > (last.get(place) ?? '')) last.set(place, at);
  return [...last].map(([place, at]) => ({ place, at }));
}

/** What ended something unsafe: it counts for what was seen until then. */
function endingsInForce(bicycle: Bicycle) {
  const latest = latestObservations(bicycle);
  return bicycle.endings
    .filter((end) => end.at >= (latest.get(end.check)?.at ?? ''))
    .map(({ check, how, by, on, paper }) => ({ check, how, by, on, paper }));
}

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

/** The question for `inspect.openComplaints`. */
export function complaintsInput(bicycle: Bicycle) {
  return {
    complaints: bicycle.complaints
      .filter((row) => row.closedAt === null)
      .map(({ id, complaints, results, unavailable }) => ({
        id,
        question: { complaints, results: results.map(({ test, outcome }) => ({ test, outcome })), unavailable },
      })),
  };
}

/** The tray of a place, or an empty one that is not stored until something is put in it. */
export function trayFor(bicycle: Bicycle, place: string): Tray {
  return bicycle.trays.find((tray) => tray.place === place) ?? newTray(place);
}

/** The counts of one row of balls; none where nobody has counted yet. */
export function countsOf(tray: Tray, row: string): SideCount {
  return own(tray.balls, row) ?? UNCOUNTED;
}

/** Which assembly was found where, as far as it was said. */
export function chosenAssemblies(bicycle: Pick<Bicycle, 'trays'>): Record<string, string> {
  return Object.fromEntries(bicycle.trays.flatMap((tray) => (tray.assembly ? [[tray.place, tray.assembly]] : [])));
}

/** Every step of every tray that is done. */
export function doneSteps(bicycle: Bicycle): { place: string; step: string }[] {
  return bicycle.trays.flatMap((tray) => tray.doneSteps.map((step) => ({ place: tray.place, step })));
}

/** Each bolt's last signature, judged against its band. */
export function signedBolts(bicycle: Bicycle, bolts: Bolt[]) {
  const last = new Map(bicycle.signatures.map((row) => [row.bolt, row]));
  return bolts.flatMap((bolt) => {
    const row = last.get(bolt.id);
    return row ? [{ bolt: bolt.id, judgement: judgeTorque(row.valueNm, bolt), row }] : [];
  });
}

/** What has been spent: the purchase, everything paid for and the selling fee. Minor units. */
export function spent(bicycle: Bicycle): number {
  return (bicycle.purchase?.paid ?? 0) + bicycle.lines.reduce((sum, line) => sum + line.paid, 0) + bicycle.sale.fee;
}

/** Whether a bearing was taken apart, and nothing of it is back nor anything noted of how it is now. */
function isOpenBearing(tray: Tray): boolean {
  return isBearing(tray.place) && tray.order.length > 0 && tray.backIn.length === 0 && !tray.after;
}

/** What a bicycle waits for, in the order of the work: the first stage that has not been begun or is not finished. */
export function nextThing(bicycle: Bicycle): { stage: Bicycle['minutes'][number]['stage']; words: string } {
  const looked = latestObservations(bicycle).size;
  const kept = bicycle.jobs.filter((row) => row.decision === 'keep');
  const apart = bicycle.trays.find((tray) => isOpenBearing(tray));
  if (bicycle.sale.price !== null) return { stage: 'hand-over', words: 'Sold: look at what it earned' };
  const customer = bicycle.purpose === 'customer';
  if (!bicycle.purchase && !customer)
    return { stage: 'buy', words: bicycle.appraisal.asking ? 'Settle on a price' : 'Say what is asked for it' };
  if (looked === 0) return { stage: 'look-over', words: 'Look it over, front to back' };
  if (kept.length === 0)
    return { stage: 'decide', words: customer ? 'Make the estimate, ask the owner' : 'Decide what is done' };
  if (apart) return { stage: 'overhaul', words: `${placeLabel(apart.place)} lies open in its tray` };
  if (kept.some((row) => !row.done))
    return { stage: 'strip', words: `${kept.filter((row) => !row.done).length} jobs to do` };
  if (bicycle.signatures.length === 0) return { stage: 'rebuild', words: 'Torque round' };
  if (bicycle.proofs.length === 0) return { stage: 'prove', words: 'Prove it' };
  return { stage: 'hand-over', words: 'Write the sheet and sell it' };
}

/** Timers that have not been ended, the soonest first. */
export function runningTimers(bicycle: Bicycle): { timer: Bicycle['timers'][number]; dueAtMs: number }[] {
  return bicycle.timers
    .filter((timer) => timer.endedAt === null)
    .map((timer) => ({ timer, dueAtMs: Date.parse(timer.startedAt) + timer.minutes * 60_000 }))
    .sort((a, b) => a.dueAtMs - b.dueAtMs);
}

import type { Evidence } from '@/core/inspect/evidence';
import { stillSaying } from '@/core/inspect/means';
import type { SeenAs } from '@/core/inspect/seenAs';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import { latestObservations } from './latest';
import type { Observation } from './part';

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

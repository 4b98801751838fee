import type { LookOver } from '@/core/inspect/lookOver';
import type { Bolt } from '@/core/rebuild/bolts';
import type { BuildOrderInput } from '@/core/rebuild/order';
import type { Assembly } from '@/core/strip/tray';
import { bearingFor } from '../bearings/bearingFor';
import { workedSteps } from '../bearings/questions';
import { openBolts, partsAway } from '../prove/readyQuestion';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import { trayFor } from '../strip/trays';
import { ONLY_ON } from './onlyOn';

/** Whether a bearing was opened on the bench and is not felt again since: what turns on it waits. */
function isOpenBearing(bicycle: Bicycle, place: string): boolean {
  const bearing = bearingFor(bicycle, place);
  const worked = workedSteps(bearing).some((step) => step !== 'feel');
  return bearing.after === null && (worked || bearing.trials.length > 0);
}

/** Jobs that say that a wheel does not run true yet. */
const isTruing = ({ place, decision, done }: Bicycle['jobs'][number]) =>
  decision === 'keep' && !done && /^(rim|spokes)\./.test(place);

/** What the record says of the facts that an order waits for; what it says nothing of is left out, and taken as true. */
export function buildFactsOf(
  bicycle: Bicycle,
  bolts: readonly Bolt[],
  lookOver: LookOver | null,
  settings: WorkshopSettings,
): NonNullable<BuildOrderInput['facts']> {
  const cranks = bolts.filter(({ place, fastener }) => place.startsWith('crank.') && fastener !== 'pedal');
  const open = openBolts(bicycle, cranks, settings);
  const hanger = lookOver?.findings.find(({ place, measured }) => place === 'hanger' && measured !== null);
  return {
    ...(bicycle.barSettled === null ? {} : { settled: bicycle.barSettled }),
    ...(cranks.length === 0 ? {} : { torqued: open.size === 0 }),
    ...(hanger ? { measured: hanger.measured === true } : {}),
    ...(bicycle.jobs.some(isTruing) ? { trued: false } : {}),
  };
}

/**
 * The question for `rebuild.order`: what is together, what is not here and why, and what has to be true. A tray is together
 * while nothing of it is out and its bearing is not left open; what lies in no tray is together unless it was said to be off.
 */
export function orderInput(
  bicycle: Bicycle,
  assemblies: readonly Assembly[],
  bolts: readonly Bolt[],
  lookOver: LookOver | null,
  settings: WorkshopSettings,
): BuildOrderInput {
  const together: NonNullable<BuildOrderInput['together']> = [];
  const missing: NonNullable<BuildOrderInput['missing']> = [];
  for (const { id: assembly, place } of assemblies) {
    const { out, missing: gone, inBath } = partsAway(bicycle, trayFor(bicycle, place));
    const isOrdered = bicycle.deliveries.some((row) => row.arrivedAt === null && row.place === place);
    if (gone.length > 0 || (isOrdered && out.length > 0)) missing.push({ assembly, place, why: 'not here' });
    else if (inBath.length > 0) missing.push({ assembly, place, why: 'in the bath' });
    else if (out.length === 0 && isOpenBearing(bicycle, place)) missing.push({ assembly, place, why: 'open' });
    else if (out.length === 0) together.push({ assembly, place });
  }
  for (const [assembly, { place }] of Object.entries(ONLY_ON))
    if (!bicycle.tookOff[assembly]) together.push({ assembly, place });
  return { kind: bicycle.kind, together, missing, facts: buildFactsOf(bicycle, bolts, lookOver, settings) };
}

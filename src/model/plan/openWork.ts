import { addMinutes, parseISO } from 'date-fns';
import { ORDINARY } from '@/core/buy/doorLine';
import type { OpenWork } from '@/core/plan/work';
import { isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import { bearingFor } from '../bearings/bearingFor';
import { runningTimers } from '../clean/timers';
import type { Bicycle } from '../record';
import type { Tray } from '../strip/part';

const NOTHING = { minutes: null, parts: 0, notBefore: null, latest: null, buys: null, waitsFor: null } as const;
/** A delivery is at hand from the morning after its day. */
const MORNING = 'T08:00:00';

/** Parts of a tray that are to go back and have not. */
function outOf({ off, backIn, leftOff, fates }: Tray): string[] {
  return Object.keys(off).filter((part) => !backIn.includes(part) && !leftOff.includes(part) && !(part in fates));
}

/** Whether it is here to be worked on: bought or a customer’s, and neither sold, gone nor put by. */
const isHere = ({ purchase, purpose, sale, waysOut, archivedAt }: Bicycle) =>
  (purchase !== null || purpose === 'customer') && sale.price === null && waysOut.length === 0 && archivedAt === null;

function jobsOf(bicycle: Bicycle): OpenWork[] {
  const bought = new Set(bicycle.lines.map(({ job }) => job));
  const waits = bicycle.deliveries.filter(({ arrivedAt }) => arrivedAt === null);
  return bicycle.jobs
    .filter(({ decision, done }) => decision === 'keep' && !done)
    .map((job): OpenWork => {
      const delivery = waits.find(({ place }) => place === job.place);
      const asked = bicycle.purpose === 'customer' && job.approval === null;
      const waitsFor = asked ? 'the owner’s word' : delivery && delivery.dueOn === null ? delivery.label : null;
      return {
        ...NOTHING,
        id: `job:${job.id}`,
        kind: 'job',
        place: job.place,
        label: job.title,
        minutes: job.minutes.likely > 0 ? job.minutes : { low: 5, likely: 10, high: 20 },
        buys: job.parts.likely > 0 && !delivery && !bought.has(job.id) ? job.parts.likely : null,
        notBefore: delivery?.dueOn ? `${delivery.dueOn}${MORNING}` : null,
        waitsFor,
      };
    });
}

function traysOf(bicycle: Bicycle): OpenWork[] {
  const soaking = new Set(bicycle.timers.filter(({ endedAt }) => endedAt === null).flatMap(({ parts }) => parts));
  let unwashed = 0;
  let rusty = 0;
  const rows = bicycle.trays.flatMap((tray): OpenWork[] => {
    const out = outOf(tray);
    if (out.length === 0) return [];
    const dirty = out.filter((part) => !tray.cleaned.includes(part) && !soaking.has(`${tray.place}/${part}`));
    // What is hardened never meets acid, and what nobody has asked after is not put there either.
    const toVinegar = dirty.filter((part) => tray.soils[part] === 'rust' && tray.hardened[part] === false);
    rusty += toVinegar.length;
    unwashed += dirty.length - toVinegar.length;
    const label = placeLabel(tray.place);
    const isJob = bicycle.jobs.some(
      ({ decision, done, place }) => decision === 'keep' && !done && place === tray.place,
    );
    const isOpen = isBearing(tray.place) && !bearingFor(bicycle, tray.place).after && !isJob;
    return [
      ...(isOpen
        ? [
            {
              ...NOTHING,
              id: `overhaul:${tray.place}`,
              kind: 'overhaul' as const,
              place: tray.place,
              label: `Overhaul: ${label}`,
            },
          ]
        : []),
      {
        ...NOTHING,
        id: `back:${tray.place}`,
        kind: 'back',
        place: tray.place,
        label: `Back together: ${label}`,
        parts: out.length,
      },
    ];
  });
  const count = (parts: number) => (parts === 1 ? 'one part' : `${parts} parts`);
  const soak = (kind: 'vinegar' | 'lift' | 'wash' | 'rinse', label: string, parts: number): OpenWork[] =>
    parts === 0 ? [] : [{ ...NOTHING, id: kind, kind, place: null, label: `${label}: ${count(parts)}`, parts }];
  return [
    ...soak('vinegar', 'Into the vinegar', rusty),
    ...soak('lift', 'Lift out of the vinegar and oil', rusty),
    ...soak('wash', 'Into the bath', unwashed),
    ...soak('rinse', 'Out of the bath and rinse', unwashed),
    ...rows,
  ];
}

/** What is open on a bicycle, as tasks of a plan are made of it: nothing that is typed for the plan, all of it from what the stages know. */
export function openWorkOf(bicycle: Bicycle): OpenWork[] {
  if (!isHere(bicycle)) return [];
  const soaks = runningTimers(bicycle).map(({ timer, dueAtMs }): OpenWork => ({
    ...NOTHING,
    id: `take-out:${timer.id}`,
    kind: 'take-out',
    place: timer.place,
    label: `Take out: ${timer.label}`,
    notBefore: new Date(dueAtMs).toISOString(),
    latest: timer.maxMinutes === null ? null : addMinutes(parseISO(timer.startedAt), timer.maxMinutes).toISOString(),
  }));
  const work = [...soaks, ...traysOf(bicycle), ...jobsOf(bicycle)];
  const isDecided = bicycle.jobs.some(({ decision }) => decision === 'keep') || bicycle.signatures.length > 0;
  if (!isDecided || bicycle.brief === 'donor') return work;
  const last = (kind: 'torque' | 'stand' | 'ride' | 'listing', label: string): OpenWork => ({
    ...NOTHING,
    id: kind,
    kind,
    place: null,
    label,
  });
  const wasProved = bicycle.proofs.length > 0;
  // The ordinary work has its photographs and listing in it.
  const isOrdinary = bicycle.jobs.some(({ rule, decision }) => rule === ORDINARY && decision === 'keep');
  return [
    ...work,
    ...(bicycle.signatures.length === 0 ? [last('torque', 'Torque round')] : []),
    ...(wasProved ? [] : [last('stand', 'Proofs on the stand'), last('ride', 'The ride')]),
    ...(bicycle.purpose !== 'customer' && bicycle.listing.ask === null && !isOrdinary
      ? [last('listing', 'Photographs and listing')]
      : []),
  ];
}

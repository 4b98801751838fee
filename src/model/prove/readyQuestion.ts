import { formatISO, parseISO } from 'date-fns';
import type { ProposedJob } from '@/core/decide/jobs';
import type { LookOver } from '@/core/inspect/lookOver';
import type { ProofEvidence } from '@/core/prove/evidence';
import type { Proof } from '@/core/prove/proofs';
import { ONLY_ON, type OnlyOn } from '../rebuild/onlyOn';
import { judgeMount, mounting } from '@/core/tyres/judgeMount';
import { judgeDepth } from '@/core/rebuild/insertion';
import { slippingClamps } from '@/core/rebuild/slips';
import { proofTroubles } from '@/core/prove/proofTroubles';
import { boltTroubles, lastChanges, type BoltTrouble } from '@/core/prove/boltTroubles';
import { readyInput, type ReadyAsked } from '@/core/prove/readyInput';
import type { Bolt } from '@/core/rebuild/bolts';
import { own } from '@/core/own';
import { isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { Tray } from '../strip/part';
import { runningTimers } from '../clean/timers';
import { decidedJob, otherJobs } from '../decide/decided';
import { ALIGNMENT_LINES, PLACE_OF_LINE } from '../inspect/part';
import { momentOf } from '../stamps';
import { bearingLeaf } from '../leafKey';
import { isSettled, partsOff, trayFor } from '../strip/trays';
import { mountOf } from '../tyres/questions';
import { bearingFor } from '../bearings/bearingFor';

/** What calculators say of the bicycle, which the law leans on. */
export interface Reckoned {
  lookOver: Pick<LookOver, 'findings' | 'safetyPlaces'>;
  bolts: Bolt[];
  complaints: { id: string; said: string; unsafe: boolean }[];
  /** What the findings ask for. */
  jobs: Pick<ProposedJob, 'rule' | 'aka' | 'title' | 'check' | 'need' | 'alternatives'>[];
  /** The proofs that such a bicycle has. */
  proofs: Proof[];
  /** What was read for them and speaks against one of safety. */
  against: ProofEvidence['against'];
}

type Rows<List extends keyof ReadyAsked> = NonNullable<ReadyAsked[List]>;

/** Parts of a tray that are not on the bicycle, by where they are. Left off on purpose is none of these. */
export function partsAway(bicycle: Bicycle, tray: Tray): { out: string[]; missing: string[]; inBath: string[] } {
  const bathed = new Set(runningTimers(bicycle).flatMap(({ timer }) => timer.parts));
  const missing = Object.entries(tray.marks).flatMap(([part, mark]) =>
    mark === 'missing' && !isSettled(tray, part) ? [part] : [],
  );
  const away = partsOff(tray).filter((part) => !missing.includes(part));
  const soaks = (part: string) => bathed.has(`${tray.place}/${part}`);
  return { out: away.filter((part) => !soaks(part)), missing, inBath: away.filter(soaks) };
}

function traysOf(bicycle: Bicycle, { lookOver }: Reckoned): Rows<'trays'> {
  const loose = new Set(bicycle.looseEnds.filter((row) => row.closedAt === null).map((row) => row.place));
  const places = new Set([...bicycle.trays.map((tray) => tray.place), ...loose]);
  const inTrays = [...places].map((place) => {
    const tray = bicycle.trays.find((each) => each.place === place);
    const away = tray ? partsAway(bicycle, tray) : null;
    return {
      id: place,
      label: placeLabel(place),
      place,
      out: away?.out.length ?? 0,
      missing: away?.missing.length ?? 0,
      inBath: away?.inBath.length ?? 0,
      loose: loose.has(place),
      leftOff: (tray?.leftOff ?? []).map((part) => ({
        id: part,
        label: part.replaceAll('-', ' ').replace('.', ', '),
        safety: lookOver.safetyPlaces.includes(place),
      })),
    };
  });
  // What lies in no tray and was taken off keeps it in as any open tray does.
  const tookOff = Object.keys(bicycle.tookOff)
    .filter((piece) => Object.hasOwn(ONLY_ON, piece))
    .map((piece) => ({
      ...ONLY_ON[piece as OnlyOn],
      id: piece,
      out: 1,
      missing: 0,
      inBath: 0,
      loose: false,
      leftOff: [],
    }));
  return [...inTrays, ...tookOff];
}

/** When something was last off a place. */
function lastOff(bicycle: Bicycle, place: string): string {
  return bicycle.worked.reduce(
    (last, row) => (row.place === place && row.kind === 'off' && row.at > last ? row.at : last),
    '',
  );
}

function bearingsOf(bicycle: Bicycle): Rows<'bearings'> {
  const places = [...bicycle.trays, ...bicycle.bearings].map(({ place }) => place).filter(isBearing);
  return [...new Set(places)].map((place) => {
    const tray = trayFor(bicycle, place);
    const { after, trials, doneSteps } = bearingFor(bicycle, place);
    const { out, missing, inBath } = partsAway(bicycle, tray);
    const felt = momentOf(own(bicycle.stamps, bearingLeaf(place, 'after')) ?? '');
    const known = after !== null && after.feel !== 'unknown';
    return {
      id: place,
      label: placeLabel(place),
      opened: Object.keys(tray.off).length + trials.length + doneSteps.length > 0,
      closed: out.length + missing.length + inBath.length === 0,
      // What was felt before it was opened again is no after.
      after: known && felt >= lastOff(bicycle, place),
    };
  });
}

/** The last row that says something, and who else said so before it. */
function lastSaid<Row extends { by: string }>(rows: Row[]): { last: Row | undefined; doneBy: string | undefined } {
  const last = rows.at(-1);
  const doneBy = rows.slice(0, -1).findLast((row) => row.by !== '' && row.by !== last?.by)?.by;
  return { last, doneBy };
}

function boltsOf(bicycle: Bicycle, bolts: Bolt[]): Rows<'bolts'> {
  return bolts.map((bolt) => {
    const tray = bicycle.trays.find((each) => each.place === bolt.place);
    const away = tray ? partsAway(bicycle, tray) : null;
    const { last, doneBy } = lastSaid(bicycle.signatures.filter((row) => row.bolt === bolt.id));
    return {
      id: bolt.id,
      label: bolt.label,
      place: bolt.place,
      safety: bolt.safetyCritical,
      second: bolt.second,
      wrenchAsked: bolt.wrenchAsked,
      minNm: bolt.torqueMinNm,
      maxNm: bolt.torqueMaxNm,
      partOut: away !== null && away.out.length + away.missing.length + away.inBath.length > 0,
      ...(doneBy === undefined ? {} : { doneBy }),
      ...(last
        ? { signed: { how: last.how, valueNm: last.valueNm, holdTest: last.holdTest, at: last.at, by: last.by } }
        : {}),
    };
  });
}

/** A moment as the workshop's clock tells it, so that the day that a proof is counted from is the day on the wall. */
const onTheWall = (at: string): string => formatISO(parseISO(at));

function proofsOf(bicycle: Bicycle, { proofs }: Pick<Reckoned, 'proofs'>): Rows<'proofs'> {
  return proofs.map(({ id, label, kind, safety, second, leansOn }) => {
    const { last, doneBy } = lastSaid(bicycle.proofs.filter((row) => row.proof === id));
    return {
      id,
      label,
      kind,
      safety,
      second,
      leansOn,
      ...(doneBy === undefined ? {} : { doneBy }),
      ...(last
        ? { result: last.passed ? ('passed' as const) : ('failed' as const), at: onTheWall(last.at), by: last.by }
        : { result: null }),
      ...(last?.accepted ? { accepted: last.accepted } : {}),
    };
  });
}

/** What is unsafe by a word of the record that no look-over brings: a recall, a crash, a battery. */
function dangersOf(bicycle: Bicycle): Rows<'findings'> {
  const { recalls, alignments, electricDrive, kind, jointFills, insertions } = bicycle;
  const unsafe = { state: 'unsafe' as const, safety: true, again: false };
  const lastOf = new Map(alignments.map((row) => [`${row.line} ${row.place}`, row]));
  const last = new Map(recalls.map((row) => [`${row.of} ${row.place}`, row]));
  return [
    ...[...last.values()]
      .filter(({ result }) => result === 'recalled')
      .map(({ id, of, place }) => ({
        id: `recall-${id}`.slice(0, 64),
        label: `A recall of the ${of}`,
        place,
        ...unsafe,
      })),
    ...[...lastOf.values()]
      .filter(({ result }) => result === 'off')
      .map(({ id, line, place }) => ({
        id: `alignment-${id}`.slice(0, 64),
        label: `Out of line after a crash: ${line.replaceAll('-', ' ')}`,
        place,
        ...unsafe,
      })),
    ...slippingClamps(kind, jointFills).map(({ id, label, place }) => ({
      id: `joint-${id}`,
      label,
      place,
      ...unsafe,
    })),
    ...Object.entries(insertions)
      .filter(([, depth]) => judgeDepth(depth)?.deepEnough === false)
      .map(([place]) => ({
        id: `depth-${place}`.slice(0, 64),
        label: `${placeLabel(place)}: not as deep as its mark asks`,
        place,
        ...unsafe,
      })),
    ...(kind.electric && electricDrive.battery === 'damaged'
      ? [{ id: 'battery', label: 'A damaged battery', place: 'frame', ...unsafe }]
      : []),
    ...wheelDangers(bicycle).map((danger) => ({ ...danger, ...unsafe })),
  ];
}

/** What of a wheel nobody rides on: a spoke that broke and is not renewed, a lacing that is not whole, a tyre that is not of its rim. */
function wheelDangers(bicycle: Bicycle): Pick<Rows<'findings'>[number], 'id' | 'label' | 'place'>[] {
  const { brokenSpokes, lacings, wheelBuilds } = bicycle;
  const ends = ['front', 'rear'] as const;
  return [
    ...brokenSpokes
      .filter(({ done }) => !done.includes('whole'))
      .map(({ id, end, spoke }) => ({
        id: `spoke-${id}`.slice(0, 64),
        label: `Spoke ${spoke + 1} of the ${end} wheel broke and is not renewed`,
        place: `spokes.${end}`,
      })),
    ...ends
      .filter((end) => lacings[end] !== undefined && lacings[end].laced < (wheelBuilds[end]?.spokes ?? 0))
      .map((end) => ({
        id: `lacing-${end}`,
        label: `The ${end} wheel is being laced: ${lacings[end]!.laced} spokes are in`,
        place: `spokes.${end}`,
      })),
    ...ends.flatMap((end) => {
      const mount = mountOf(bicycle, end);
      const never = mount ? judgeMount(mounting.parse(mount)).never : [];
      return never.length === 0
        ? []
        : [{ id: `tyre-fit-${end}`, label: `The ${end} tyre: ${never[0]!}`.slice(0, 300), place: `tyre.${end}` }];
    }),
  ];
}

function findingsOf(bicycle: Bicycle, { lookOver, against }: Reckoned): Rows<'findings'> {
  const seen = lookOver.findings
    .filter((finding) => finding.state !== 'not-looked-at')
    .map(({ check, label, place, state, safety, again, ended, heard }) => {
      const accepted = bicycle.acceptances.findLast((row) => row.check === check && row.at >= (heard?.at ?? ''));
      return {
        id: check,
        label,
        place,
        state: ended ? ('unsafe' as const) : state,
        safety,
        again,
        ...(ended ? { ended } : {}),
        ...(accepted ? { accepted: { by: accepted.by, on: accepted.on, words: accepted.words } } : {}),
      };
    });
  const read = against.map(({ id, label, place }) => ({
    id,
    label,
    place,
    state: 'unsafe' as const,
    safety: true,
    again: false,
  }));
  return [...seen, ...dangersOf(bicycle), ...read];
}

/** Lines of the alignment that a crash asks for and nobody has measured, and an electric drive that nobody has declared. */
function unaskedOf({ lead, kind, alignments, electricDrive }: Bicycle): Rows<'unlooked'> {
  const measured = new Set(alignments.map(({ line }) => line));
  const crash = lead.crashed === 'yes' ? ALIGNMENT_LINES : [];
  return [
    ...crash
      .filter((line) => !measured.has(line) && !(line === 'hanger' && kind.gears !== 'derailleur'))
      .map((line) => ({
        id: `alignment-${line}`,
        label: `After a crash: ${line.replaceAll('-', ' ')}`,
        place: PLACE_OF_LINE[line],
        safety: line !== 'hanger',
      })),
    ...(kind.electric && electricDrive.way === null
      ? [{ id: 'electric-drive', label: 'The electric drive, declared', place: 'frame', safety: true }]
      : []),
  ];
}

/** Each check that stops, steers or carries and was not looked at; of the rest the places where nothing was. */
function unlookedOf({ lookOver: { findings } }: Reckoned): Rows<'unlooked'> {
  const open = findings.filter((finding) => finding.state === 'not-looked-at');
  const grave = open.filter((finding) => finding.safety);
  const told = new Set(grave.map((finding) => finding.place));
  const places = [...new Set(findings.map((finding) => finding.place))].filter(
    (place) => !told.has(place) && findings.every((f) => f.place !== place || f.state === 'not-looked-at'),
  );
  return [
    ...grave.map(({ check, label, place }) => ({ id: check, label, place, safety: true })),
    ...places.map((place) => ({ id: place, label: placeLabel(place), place, safety: false })),
  ];
}

function jobsOf(bicycle: Bicycle, { jobs, lookOver }: Reckoned): Rows<'jobs'> {
  const unsafe = new Set(lookOver.findings.filter((f) => f.state === 'unsafe').map((f) => f.check));
  const taken = (job: Reckoned['jobs'][number]) => decidedJob(bicycle.jobs, job)?.decision === 'keep';
  const asked = jobs.filter(
    (job) =>
      job.need === 'needed' &&
      // What the brief or the trade of selling asks for keeps nobody from riding.
      job.check !== null &&
      // One way of doing it stands for the others.
      (taken(job) ||
        !jobs.some((other) => other.alternatives && other.alternatives === job.alternatives && taken(other))),
  );
  const rest = otherJobs(bicycle.jobs, asked).filter((job) => job.decision === 'keep' && !job.done);
  return [
    ...asked.map(({ rule, aka, title, check }) => {
      const job = decidedJob(bicycle.jobs, { rule, aka });
      return {
        id: rule,
        label: title,
        needed: true,
        unsafe: check !== null && unsafe.has(check),
        done: job?.done ?? false,
        ...(job?.declined ? { declined: job.declined } : {}),
      };
    }),
    ...rest.map(({ id, title }) => ({ id, label: title, needed: false, unsafe: false, done: false })),
  ];
}

type Rules = Pick<WorkshopSettings, 'wrenchEverywhere' | 'secondEyes'>;

function rulesFor(bicycle: Bicycle, { wrenchEverywhere, secondEyes }: Rules) {
  const customers = wrenchEverywhere === 'customers' && bicycle.purpose === 'customer';
  return { wrenchEverywhere: wrenchEverywhere === 'always' || customers, secondEyes };
}

function changesOf(bicycle: Bicycle): Rows<'changes'> {
  return bicycle.worked.map(({ place, bolt, kind, at }) => ({ place, kind, at, ...(bolt ? { bolt } : {}) }));
}

/** What the law still asks of each bolt, by its id; a bolt that is not in it counts as signed. */
export function openBolts(bicycle: Bicycle, bolts: Bolt[], settings: Rules): Map<string, [BoltTrouble, string][]> {
  const {
    bolts: asked,
    changes,
    rules,
  } = readyInput.parse({
    today: '2000-01-01',
    bolts: boltsOf(bicycle, bolts),
    changes: changesOf(bicycle),
    rules: rulesFor(bicycle, settings),
  });
  const last = lastChanges(changes);
  return new Map(
    asked.flatMap((bolt) => {
      const troubles = boltTroubles(bolt, rules, last);
      return troubles.length > 0 ? [[bolt.id, troubles]] : [];
    }),
  );
}

/** The proofs that do not stand as the law asks, by id: never made, failed, worked on since, or in want of another's eyes. */
export function openProofs(bicycle: Bicycle, proofs: Proof[], settings: Rules): Set<string> {
  const asked = readyInput.parse({
    today: '2000-01-01',
    proofs: proofsOf(bicycle, { proofs }),
    changes: changesOf(bicycle),
    rules: rulesFor(bicycle, settings),
  });
  const last = lastChanges(asked.changes);
  return new Set(
    asked.proofs.flatMap((proof) => (proofTroubles(proof, asked.rules, last).length > 0 ? [proof.id] : [])),
  );
}

/** The law's question of a bicycle, from its record and what is reckoned of it. Nothing else is asked anywhere. */
export function readyQuestion(bicycle: Bicycle, reckoned: Reckoned, settings: Rules, today: string): ReadyAsked {
  const recheck = bicycle.rechecks.at(-1);
  return {
    today,
    rules: rulesFor(bicycle, settings),
    findings: findingsOf(bicycle, reckoned),
    unlooked: [...unlookedOf(reckoned), ...unaskedOf(bicycle)],
    trays: traysOf(bicycle, reckoned),
    complaints: reckoned.complaints.map(({ id, said, unsafe }) => ({ id, label: `“${said}”`.slice(0, 300), unsafe })),
    jobs: jobsOf(bicycle, reckoned),
    bearings: bearingsOf(bicycle),
    bolts: boltsOf(bicycle, reckoned.bolts),
    proofs: proofsOf(bicycle, reckoned),
    changes: changesOf(bicycle),
    ...(recheck ? { recheck: { at: onTheWall(recheck.at), by: recheck.by } } : {}),
  };
}

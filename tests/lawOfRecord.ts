import { checkById, checksFor } from '@/core/inspect/checks';
import type { LookOver } from '@/core/inspect/lookOver';
import { proofsFor } from '@/core/prove/proofs';
import type { StateId } from '@/core/vocabulary/vocabulary';
import type { Observation } from '@/model/inspect/part';
import type { Bicycle } from '@/model/record';
import { asked, boltsOf } from './wholeBicycle';

const ms = (at: string) => Date.parse(at);
const judged = new Map<string, StateId>();

/** One observation judged by itself, as if nothing else had ever been seen. */
function stateOf({ kind, brief }: Bicycle, { check, evidence }: Observation): StateId {
  const key = JSON.stringify([kind, brief, check, evidence]);
  const known = judged.get(key);
  if (known) return known;
  const { findings } = asked<LookOver>('inspect.lookOver', { kind, brief, found: [{ check, evidence }] });
  const state = findings.find((finding) => finding.check === check)?.state ?? 'not-looked-at';
  judged.set(key, state);
  return state;
}

/** Better means have higher figures. */
function means({ evidence: e }: Observation): number {
  if (e.readingsMm?.length || e.lengthMm !== undefined || e.dropsInAtPercent !== undefined || e.gaps?.length) return 2;
  if (e.pairs?.length || e.rimMm !== undefined || e.spinS !== undefined) return 2;
  const byHand = [e.outcome, e.feel, e.play, e.grease, e.cup, e.cone, e.balls, e.left, e.right, e.code];
  return byHand.some((value) => value !== undefined && value !== 'unknown') ? 1 : 0;
}

/** Whether something unsafe about a check stands, told over from each observation on its own. */
function unsafeStands(bicycle: Bicycle, check: string): boolean {
  const rows = bicycle.observations.filter((row) => row.check === check && !row.withdrawn);
  const place = checkById(check)?.place;
  const last = rows.at(-1);
  if (!last) return false;
  if (bicycle.endings.some((end) => end.check === check && ms(end.at) >= ms(last.at))) return false;
  return rows.some((row, i) => {
    if (stateOf(bicycle, row) !== 'unsafe') return false;
    const later = rows.slice(i + 1).filter((other) => stateOf(bicycle, other) !== 'not-looked-at');
    if (later.some((other) => means(other) >= means(row) && stateOf(bicycle, other) !== 'unsafe')) return false;
    const mended = bicycle.worked
      .filter((work) => work.job !== null && work.place === place)
      .map((work) => ms(work.at));
    const since = Math.max(-Infinity, ...mended);
    return !(ms(row.at) <= since && rows.some((other) => ms(other.at) > since));
  });
}

const BEARING = /^(hub|headset|bottom-bracket|pedal|freehub|linkage|pulleys)/;
const lastOf = <Row extends { id: string }>(rows: Row[], of: (row: Row) => boolean) => rows.filter(of).at(-1);

/**
 * Why a bicycle must not be called ready, told over from its record alone: not from the law's question, nor by its
 * calculator. Empty: nothing that is looked for here forbids it.
 */
export function forbidden(bicycle: Bicycle, today: string): string[] {
  const why: string[] = [];
  const never = (words: string, stands: boolean) => void (stands && why.push(words));
  const checks = checksFor(bicycle.kind);
  for (const id of new Set(bicycle.observations.map((row) => row.check)))
    never(`unsafe: ${id}`, checkById(id) !== undefined && unsafeStands(bicycle, id));
  for (const check of checks.filter(({ safety }) => safety)) {
    const rows = bicycle.observations.filter((row) => row.check === check.id && !row.withdrawn);
    const seen = rows.filter((row) => stateOf(bicycle, row) !== 'not-looked-at');
    never(`not looked at: ${check.id}`, seen.length === 0);
    const state = seen.length > 0 ? stateOf(bicycle, seen.at(-1)!) : null;
    const accepted = bicycle.acceptances.some(
      (row) => row.check === check.id && ms(row.at) >= ms(rows.at(-1)?.at ?? ''),
    );
    const cleared = bicycle.endings.some((row) => row.check === check.id && ms(row.at) >= ms(rows.at(-1)?.at ?? ''));
    never(`open: ${check.id}`, (state === 'service' || state === 'replace') && !accepted && !cleared);
  }
  const safetyPlaces = new Set([...checks.filter(({ safety }) => safety).map(({ place }) => place), 'bell', 'lights']);
  for (const tray of bicycle.trays) {
    const back = (part: string) => tray.backIn.includes(part) || tray.leftOff.includes(part);
    const lost = Object.entries(tray.marks).some(([part, mark]) => mark === 'missing' && !back(part));
    const away = lost || Object.keys(tray.off).some((part) => !back(part));
    never(`tray of ${tray.place}`, away);
    never(`left off at ${tray.place}`, tray.leftOff.length > 0 && safetyPlaces.has(tray.place));
    const felt = bicycle.bearings.find((bearing) => bearing.place === tray.place)?.after;
    if (BEARING.test(tray.place))
      never(`bearing ${tray.place}`, Object.keys(tray.off).length > 0 && (felt?.feel ?? 'unknown') === 'unknown');
    for (const bolt of boltsOf(bicycle.kind))
      never(`${bolt.id} lies in a tray`, bolt.safetyCritical && away && bolt.place === tray.place);
  }
  for (const { place, trials, doneSteps, after } of bicycle.bearings)
    never(
      `bearing ${place}`,
      BEARING.test(place) && trials.length + doneSteps.length > 0 && (after?.feel ?? 'unknown') === 'unknown',
    );
  const lastOfEach = <Row>(rows: Row[], name: (row: Row) => string) =>
    new Map(rows.map((row) => [name(row), row])).values();
  for (const row of lastOfEach(bicycle.recalls, ({ of, place }) => `${of} ${place}`))
    never(`recalled: ${row.of}`, row.result === 'recalled');
  for (const row of lastOfEach(bicycle.alignments, ({ line, place }) => `${line} ${place}`))
    never(`out of line: ${row.line}`, row.result === 'off');
  never('a damaged battery', bicycle.kind.electric && bicycle.electricDrive.battery === 'damaged');
  for (const piece of ['cockpit', 'cables', 'tape-or-grips']) never(`off: ${piece}`, bicycle.tookOff[piece] === true);
  const slippery = ['grease', 'anti-seize', 'oil'];
  const isCarbon = bicycle.kind.postMaterial === 'carbon' || bicycle.kind.frameMaterial === 'carbon';
  never('grease on a carbon post', isCarbon && slippery.includes(bicycle.jointFills['seat-post']?.used ?? ''));
  for (const end of ['front', 'rear']) {
    const read = (reading: string) =>
      lastOf(bicycle.proofReadings, (each) => each.when === 'after' && each.reading === `${reading}-${end}`)?.value;
    const [bar, least, most] = [read('pressure'), read('mark-least'), read('mark-most')];
    never(`under its mark: ${end}`, bar !== undefined && least !== undefined && bar < least);
    never(`over its mark: ${end}`, bar !== undefined && most !== undefined && bar > most);
    never(`play at the rim: ${end}`, (read('rim-play') ?? 0) > 0.5);
  }
  const slowest = { dry: { both: 3.4, front: 2.5, rear: 1.6 }, wet: { both: 2, front: 1.5, rear: 1 } };
  for (const brakes of ['both', 'front', 'rear'] as const) {
    const stop = lastOf(bicycle.stops, (each) => each.brakes === brakes);
    never(
      `a stop that fails: ${brakes}`,
      stop !== undefined && (stop.speedKmh / 3.6) ** 2 / (2 * stop.distanceM) < slowest[stop.surface][brakes] - 1e-9,
    );
  }
  const { gears, cogs } = bicycle.kind;
  never(
    'over the end',
    (gears === 'derailleur' || gears === 'hub') && (cogs ?? 2) > 1 && bicycle.shifts['1.2.larger']?.said === 'over',
  );
  for (const [place, { insertedMm, minimumMm }] of Object.entries(bicycle.insertions))
    never(`too shallow: ${place}`, insertedMm !== null && minimumMm !== null && insertedMm < minimumMm);
  for (const { spoke, done } of bicycle.brokenSpokes) never(`broken spoke ${spoke}`, !done.includes('whole'));
  for (const end of ['front', 'rear'] as const) {
    const { lacings, wheelBuilds, tyreFits } = bicycle;
    never(`half laced: ${end}`, (lacings[end]?.laced ?? 48) < (wheelBuilds[end]?.spokes ?? 0));
    const known =
      (end === 'front' ? bicycle.kind.frontBeadSeatMm : bicycle.kind.rearBeadSeatMm) ?? bicycle.kind.beadSeatMm;
    const {
      rimSeatMm: rim = known,
      tyreSeatMm: tyre,
      hooks,
      isHooklessApproved,
      isTubeless,
      hole,
      valve,
    } = tyreFits[end] ?? {};
    never(`a tyre of another rim: ${end}`, tyre !== undefined && Math.abs(rim - tyre) > 0.6);
    never(`no tyre for such a rim: ${end}`, hooks === 'hookless' && isHooklessApproved === false);
    never(`no tube behind straight sides: ${end}`, hooks === 'straight-sided' && isTubeless === true);
    never(`a valve that does not go through: ${end}`, hole === 'narrow' && valve === 'wide');
  }
  never('grease under a stem', slippery.includes(bicycle.jointFills['steerer-clamp']?.used ?? ''));
  never(
    'loose for now',
    bicycle.looseEnds.some((row) => row.closedAt === null),
  );
  for (const bolt of boltsOf(bicycle.kind).filter((each) => each.safetyCritical)) {
    const row = lastOf(bicycle.signatures, (each) => each.bolt === bolt.id);
    never(`unsigned: ${bolt.id}`, !row);
    if (!row) continue;
    const since = bicycle.worked.filter((work) => ms(work.at) > ms(row.at));
    never(
      `worked on since: ${bolt.id}`,
      since.some((w) => (w.kind === 'off' || w.kind === 'renewed') && w.place === bolt.place) ||
        since.some((w) => w.kind === 'set' && w.bolt === bolt.id),
    );
    if (row.how === 'feel') never(`by feel: ${bolt.id}`, !row.holdTest || bolt.wrenchAsked);
    else {
      const { valueNm: value } = row;
      never(`no figure: ${bolt.id}`, value === null && bolt.torqueMaxNm !== null);
      never(`slack: ${bolt.id}`, value !== null && value < (bolt.torqueMinNm ?? 0) * (1 - 1e-9));
      never(`over: ${bolt.id}`, value !== null && value > (bolt.torqueMaxNm ?? Infinity) * (1 + 1e-9));
    }
  }
  const signed: number[] = [];
  for (const proof of proofsFor(bicycle.kind)) {
    const mark = lastOf(bicycle.proofs, (each) => each.proof === proof.id);
    if (!proof.safety) {
      never(`failed: ${proof.id}`, mark?.passed === false && mark.accepted === null);
      continue;
    }
    never(`not passed: ${proof.id}`, mark?.passed !== true);
    if (!mark?.passed) continue;
    signed.push(ms(mark.at));
    const reopens = proof.kind === 'ride' ? ['renewed'] : ['off', 'adjusted', 'renewed'];
    never(
      `proved before the last work: ${proof.id}`,
      bicycle.worked.some((w) => reopens.includes(w.kind) && proof.leansOn.includes(w.place) && ms(w.at) > ms(mark.at)),
    );
  }
  const recheck = bicycle.rechecks.at(-1);
  const newest = Math.max(Math.min(...signed), recheck ? ms(recheck.at) : -Infinity);
  never('grown old', signed.length > 0 && ms(`${today}T00:00:00Z`) - newest > 28 * 86_400_000);
  return why;
}

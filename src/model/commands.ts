import { own } from '@/core/own';
import { produce, type Draft } from 'immer';
import { z } from 'zod';
import { bicycleKind, BRIEFS } from '@/core/bicycle';
import { SEEN_AS } from '@/core/inspect/seenAs';
import { minorUnits } from '@/core/fields';
import {
  appraisal,
  bearingState,
  comparable,
  complaint,
  cartridge,
  coneTrial,
  benchPosition,
  costLine,
  delivery,
  frameSize,
  job,
  lead,
  looseEnd,
  minutesEntry,
  moneyLine,
  note,
  observation,
  photo,
  proofMark,
  extraPart,
  finish,
  identified,
  PART_MARKS,
  provenance,
  PURPOSES,
  riding,
  seized,
  sideCount,
  signature,
  STAGES,
  timer,
  tray,
  trick,
  type Bicycle,
  type Tray,
} from './record';
import { acceptance, ending, inWriting, recheck, wayOut, type WorkedOn } from './provingRows';
import { workDone } from './workDone';
import { changedLeaves, leafValue, same, withLeaves } from './leaves';
import { newTray, UNCOUNTED, UNMEASURED } from './fresh';
import { stampOf } from './stamps';

const id = z.string().min(1).max(64);
const at = z.iso.datetime();
const place = id;

/** Every change that can be made to a bicycle. Rows carry their ids, so that a replayed command changes nothing. */
export const command = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('renameBicycle'), name: z.string().min(1).max(120) }),
  z.strictObject({ type: z.literal('describeKind'), changes: bicycleKind.partial() }),
  z.strictObject({ type: z.literal('setBrief'), brief: z.enum(BRIEFS) }),
  z.strictObject({ type: z.literal('setAppraisal'), changes: appraisal.omit({ lines: true }).partial() }),
  z.strictObject({ type: z.literal('putCostLine'), line: costLine }),
  z.strictObject({ type: z.literal('removeCostLine'), line: id }),
  z.strictObject({ type: z.literal('setPurpose'), purpose: z.enum(PURPOSES) }),
  z.strictObject({ type: z.literal('nameCustomer'), customer: z.string().max(200) }),
  z.strictObject({ type: z.literal('describeLead'), changes: lead.partial() }),
  z.strictObject({ type: z.literal('notePapers'), changes: provenance.partial() }),
  z.strictObject({ type: z.literal('measureFrame'), changes: frameSize.partial() }),
  /** What the door check says of one line; null takes the answer back. */
  z.strictObject({ type: z.literal('answerDoor'), line: id, answer: z.enum(['fine', 'bad']).nullable() }),
  z.strictObject({ type: z.literal('seeFeature'), feature: id, seen: z.boolean() }),
  z.strictObject({ type: z.literal('putComparable'), comparable }),
  z.strictObject({ type: z.literal('removeComparable'), comparable: id }),
  z.strictObject({ type: z.literal('putComplaint'), complaint }),
  z.strictObject({ type: z.literal('removeComplaint'), complaint: id }),
  z.strictObject({ type: z.literal('seenFromNow'), seenAs: z.enum(SEEN_AS) }),
  z.strictObject({ type: z.literal('approveJob'), job: id, approval: job.shape.approval }),
  z.strictObject({ type: z.literal('recordPurchase'), paid: minorUnits.nullable(), at }),
  z.strictObject({ type: z.literal('addObservation'), observation }),
  z.strictObject({ type: z.literal('withdrawObservation'), observation: id }),
  z.strictObject({ type: z.literal('decideJob'), job }),
  z.strictObject({ type: z.literal('removeJob'), job: id }),
  z.strictObject({ type: z.literal('finishJob'), job: id, done: z.boolean() }),
  z.strictObject({ type: z.literal('markStep'), place, step: id, done: z.boolean(), takes: z.array(id) }),
  z.strictObject({ type: z.literal('orderTray'), place, order: z.array(id) }),
  z.strictObject({ type: z.literal('putBack'), place, part: id, back: z.boolean() }),
  z.strictObject({ type: z.literal('countBalls'), place, side: id, changes: sideCount.partial() }),
  /** Which assembly was found at a place. What was put down for another stays in the record. */
  z.strictObject({ type: z.literal('chooseAssembly'), place, assembly: id }),
  z.strictObject({ type: z.literal('markPart'), place, part: id, mark: z.enum(PART_MARKS).nullable() }),
  z.strictObject({ type: z.literal('addPart'), place, part: extraPart }),
  z.strictObject({ type: z.literal('fatePart'), place, part: id, fate: z.enum(['stock', 'scrap']).nullable() }),
  z.strictObject({
    type: z.literal('cleanParts'),
    parts: z.array(z.strictObject({ place, part: id })).max(100),
    clean: z.boolean(),
  }),
  z.strictObject({ type: z.literal('sayHardened'), place, part: id, hardened: z.boolean().nullable() }),
  z.strictObject({ type: z.literal('putSeized'), seized }),
  z.strictObject({ type: z.literal('putTrick'), trick }),
  z.strictObject({ type: z.literal('removeTrick'), trick: id }),
  z.strictObject({ type: z.literal('putIdentified'), identified }),
  z.strictObject({ type: z.literal('removeIdentified'), identified: id }),
  z.strictObject({ type: z.literal('planFinish'), changes: finish.partial() }),
  z.strictObject({
    type: z.literal('noteTray'),
    place,
    changes: tray
      .pick({ ballReadingsMm: true, instrument: true, overBallsMm: true, ballsWere: true, runOn: true })
      .partial(),
  }),
  z.strictObject({ type: z.literal('seeTray'), place, changes: tray.shape.seen.partial() }),
  z.strictObject({
    type: z.literal('seeTrack'),
    place,
    track: id,
    state: z.enum(['bright', 'dull', 'pitted']).nullable(),
  }),
  z.strictObject({ type: z.literal('workStep'), place, step: id, done: z.boolean() }),
  z.strictObject({ type: z.literal('noteCartridge'), place, cartridge: id, changes: cartridge.partial() }),
  z.strictObject({ type: z.literal('feelRound'), place, point: id, feel: coneTrial.shape.feel.nullable() }),
  z.strictObject({ type: z.literal('planService'), place, changes: tray.shape.service.partial() }),
  z.strictObject({ type: z.literal('describeRiding'), changes: riding.partial() }),
  z.strictObject({ type: z.literal('measureAxle'), place, changes: tray.shape.axle }),
  z.strictObject({ type: z.literal('setSoil'), place, part: id, soil: z.enum(['oil', 'old-grease', 'mud', 'rust']) }),
  z.strictObject({
    type: z.literal('noteBearing'),
    place,
    when: z.enum(['before', 'after']),
    changes: bearingState.partial(),
    /** The day, so that the next service can be counted from the first word on how it is now. */
    on: z.iso.date().optional(),
  }),
  z.strictObject({ type: z.literal('addTrial'), place, trial: coneTrial }),
  z.strictObject({ type: z.literal('withdrawTrial'), place, trial: id }),
  z.strictObject({ type: z.literal('startTimer'), timer }),
  z.strictObject({ type: z.literal('endTimer'), timer: id, at }),
  z.strictObject({ type: z.literal('signBolt'), signature }),
  z.strictObject({ type: z.literal('unsignBolt'), signature: id }),
  z.strictObject({ type: z.literal('markProof'), mark: proofMark }),
  z.strictObject({ type: z.literal('unmarkProof'), mark: id }),
  /** A needed job left undone in writing; null takes the word back. */
  z.strictObject({ type: z.literal('declineJob'), job, declined: inWriting.nullable() }),
  z.strictObject({ type: z.literal('leaveOff'), place, part: id, off: z.boolean() }),
  z.strictObject({ type: z.literal('endFinding'), ending }),
  z.strictObject({ type: z.literal('reopenFinding'), ending: id }),
  z.strictObject({ type: z.literal('acceptFinding'), acceptance }),
  z.strictObject({ type: z.literal('withdrawAcceptance'), acceptance: id }),
  z.strictObject({ type: z.literal('recheck'), recheck }),
  z.strictObject({ type: z.literal('sizeBolt'), bolt: id, place, size: z.string().max(40).nullable() }),
  z.strictObject({ type: z.literal('goOut'), wayOut }),
  z.strictObject({ type: z.literal('comeBack'), wayOut: id }),
  z.strictObject({ type: z.literal('putLine'), line: moneyLine }),
  z.strictObject({ type: z.literal('removeLine'), line: id }),
  z.strictObject({
    type: z.literal('setSale'),
    changes: z.strictObject({ price: minorUnits.nullable(), fee: minorUnits, on: z.iso.date().nullable() }).partial(),
  }),
  z.strictObject({ type: z.literal('startClock'), clock: id, at, stage: z.enum(STAGES), place: id.nullable() }),
  z.strictObject({ type: z.literal('touchClock'), at }),
  z.strictObject({ type: z.literal('stopClock'), entry: minutesEntry.nullable() }),
  z.strictObject({ type: z.literal('putMinutes'), entry: minutesEntry }),
  z.strictObject({ type: z.literal('removeMinutes'), entry: id }),
  z.strictObject({ type: z.literal('addPhoto'), photo }),
  z.strictObject({ type: z.literal('removePhoto'), photo: id }),
  z.strictObject({ type: z.literal('addNote'), note }),
  z.strictObject({ type: z.literal('withdrawNote'), note: id }),
  z.strictObject({ type: z.literal('putDelivery'), delivery }),
  z.strictObject({ type: z.literal('removeDelivery'), delivery: id }),
  z.strictObject({ type: z.literal('putLooseEnd'), looseEnd }),
  z.strictObject({ type: z.literal('benchAt'), bench: benchPosition.nullable() }),
  z.strictObject({ type: z.literal('archive'), at: at.nullable() }),
  /** A person's choice between two values that were entered without knowing of each other. */
  z.strictObject({ type: z.literal('settleConflict'), conflict: z.string().max(600), take: z.enum(['kept', 'other']) }),
  /** An earlier change withdrawn, or withdrawn no longer; refused where a leaf no longer stands as that change left it. */
  z.strictObject({
    type: z.literal('amend'),
    direction: z.enum(['undo', 'redo']),
    of: id,
    words: z.string().max(200),
    changes: z.array(z.strictObject({ leaf: z.string().max(400), expect: z.unknown(), value: z.unknown() })).max(2000),
  }),
]);
export type Command = z.output<typeof command>;

/** A command on its way to a bicycle. */
export const envelope = z.strictObject({
  id,
  bicycle: id,
  at,
  command,
  /** Stamps of the touched leaves as the sender saw them; a leaf that has another stamp by now was changed elsewhere. */
  seen: z.record(z.string(), z.string()).default({}),
});
type Parsed = z.output<typeof envelope>;
export type Envelope = Omit<Parsed, 'seen'> & { seen?: Parsed['seen'] };

const RECENT = 100;

/** Changes that nobody asks to take back: where the bench stands, and that somebody is still at it. */
export function isQuiet(step: Command): boolean {
  return ['touchClock', 'startClock', 'stopClock', 'benchAt', 'settleConflict'].includes(step.type);
}

function put<Row extends { id: string }>(rows: Draft<Row>[], row: Row): void {
  const found = rows.findIndex((old) => old.id === row.id);
  if (found < 0) rows.push(row as Draft<Row>);
  else rows[found] = row as Draft<Row>;
}

function remove<Row extends { id: string }>(rows: Draft<Row>[], rowId: string): void {
  const found = rows.findIndex((old) => old.id === rowId);
  if (found >= 0) rows.splice(found, 1);
}

function trayOf(bicycle: Draft<Bicycle>, at: string): Draft<Tray> {
  const found = bicycle.trays.find((candidate) => candidate.place === at);
  if (found) return found;
  bicycle.trays.push(newTray(at));
  return bicycle.trays.at(-1)!;
}

function change(bicycle: Draft<Bicycle>, step: Command): void {
  switch (step.type) {
    case 'renameBicycle':
      bicycle.name = step.name;
      return;
    case 'describeKind':
      Object.assign(bicycle.kind, step.changes);
      return;
    case 'setBrief':
      bicycle.brief = step.brief;
      return;
    case 'setAppraisal':
      Object.assign(bicycle.appraisal, step.changes);
      return;
    case 'putCostLine':
      return put(bicycle.appraisal.lines, step.line);
    case 'removeCostLine':
      return remove(bicycle.appraisal.lines, step.line);
    case 'setPurpose':
      bicycle.purpose = step.purpose;
      return;
    case 'nameCustomer':
      bicycle.customer = step.customer;
      return;
    case 'describeLead':
      Object.assign(bicycle.lead, step.changes);
      return;
    case 'notePapers':
      Object.assign(bicycle.provenance, step.changes);
      return;
    case 'measureFrame':
      Object.assign(bicycle.size, step.changes);
      return;
    case 'answerDoor':
      if (step.answer === null) delete bicycle.door[step.line];
      else bicycle.door[step.line] = step.answer;
      return;
    case 'seeFeature':
      if (step.seen) bicycle.features[step.feature] = true;
      else delete bicycle.features[step.feature];
      return;
    case 'putComparable':
      return put(bicycle.comparables, step.comparable);
    case 'removeComparable':
      return remove(bicycle.comparables, step.comparable);
    case 'putComplaint':
      return put(bicycle.complaints, step.complaint);
    case 'removeComplaint':
      return remove(bicycle.complaints, step.complaint);
    case 'seenFromNow':
      bicycle.seenAs = step.seenAs;
      return;
    case 'approveJob': {
      const found = bicycle.jobs.find((row) => row.id === step.job);
      if (found) found.approval = step.approval;
      return;
    }
    case 'recordPurchase':
      bicycle.purchase = step.paid === null ? null : { paid: step.paid, at: step.at };
      return;
    case 'addObservation':
      return put(bicycle.observations, step.observation);
    case 'withdrawObservation': {
      const found = bicycle.observations.find((row) => row.id === step.observation);
      if (found) found.withdrawn = true;
      return;
    }
    case 'decideJob':
      return put(bicycle.jobs, step.job);
    case 'removeJob':
      return remove(bicycle.jobs, step.job);
    case 'finishJob': {
      const found = bicycle.jobs.find((row) => row.id === step.job);
      if (found) found.done = step.done;
      return;
    }
    case 'markStep': {
      const tray = trayOf(bicycle, step.place);
      tray.doneSteps = tray.doneSteps.filter((done) => done !== step.step);
      if (step.done) tray.doneSteps.push(step.step);
      tray.order = tray.order.filter((part) => !step.takes.includes(part));
      if (step.done) tray.order.push(...step.takes);
      tray.backIn = tray.backIn.filter((part) => tray.order.includes(part));
      return;
    }
    case 'orderTray':
      trayOf(bicycle, step.place).order = step.order;
      return;
    case 'putBack': {
      const tray = trayOf(bicycle, step.place);
      tray.backIn = tray.backIn.filter((part) => part !== step.part);
      if (step.back) tray.backIn.push(step.part);
      return;
    }
    case 'countBalls': {
      const { balls } = trayOf(bicycle, step.place);
      balls[step.side] = { ...UNCOUNTED, ...own(balls, step.side), ...step.changes };
      return;
    }
    case 'chooseAssembly':
      trayOf(bicycle, step.place).assembly = step.assembly;
      return;
    case 'markPart': {
      const { marks } = trayOf(bicycle, step.place);
      if (step.mark === null) delete marks[step.part];
      else marks[step.part] = step.mark;
      return;
    }
    case 'addPart': {
      const tray = trayOf(bicycle, step.place);
      put(tray.extra, step.part);
      if (!tray.order.includes(step.part.id)) tray.order.push(step.part.id);
      return;
    }
    case 'fatePart': {
      const { fates } = trayOf(bicycle, step.place);
      if (step.fate === null) delete fates[step.part];
      else fates[step.part] = step.fate;
      return;
    }
    case 'cleanParts':
      for (const { place: at, part } of step.parts) {
        const tray = trayOf(bicycle, at);
        tray.cleaned = tray.cleaned.filter((each) => each !== part);
        if (step.clean) tray.cleaned.push(part);
      }
      return;
    case 'sayHardened': {
      const { hardened } = trayOf(bicycle, step.place);
      if (step.hardened === null) delete hardened[step.part];
      else hardened[step.part] = step.hardened;
      return;
    }
    case 'putSeized':
      return put(bicycle.seized, step.seized);
    case 'putTrick':
      return put(bicycle.tricks, step.trick);
    case 'removeTrick':
      return remove(bicycle.tricks, step.trick);
    case 'putIdentified':
      return put(bicycle.identified, step.identified);
    case 'removeIdentified':
      return remove(bicycle.identified, step.identified);
    case 'planFinish':
      Object.assign(bicycle.finish, step.changes);
      return;
    case 'noteTray':
      Object.assign(trayOf(bicycle, step.place), step.changes);
      return;
    case 'seeTray':
      Object.assign(trayOf(bicycle, step.place).seen, step.changes);
      return;
    case 'seeTrack': {
      const { tracks } = trayOf(bicycle, step.place);
      if (step.state === null) delete tracks[step.track];
      else tracks[step.track] = step.state;
      return;
    }
    case 'workStep': {
      const tray = trayOf(bicycle, step.place);
      tray.worked = tray.worked.filter((done) => done !== step.step);
      if (step.done) tray.worked.push(step.step);
      return;
    }
    case 'noteCartridge': {
      const { cartridges } = trayOf(bicycle, step.place);
      cartridges[step.cartridge] = { ...UNMEASURED, ...own(cartridges, step.cartridge), ...step.changes };
      return;
    }
    case 'feelRound': {
      const { round } = trayOf(bicycle, step.place);
      if (step.feel === null) delete round[step.point];
      else round[step.point] = step.feel;
      return;
    }
    case 'planService':
      Object.assign(trayOf(bicycle, step.place).service, step.changes);
      return;
    case 'describeRiding':
      Object.assign(bicycle.riding, step.changes);
      return;
    case 'measureAxle':
      Object.assign(trayOf(bicycle, step.place).axle, step.changes);
      return;
    case 'setSoil':
      trayOf(bicycle, step.place).soils[step.part] = step.soil;
      return;
    case 'noteBearing': {
      const tray = trayOf(bicycle, step.place);
      tray[step.when] = { feel: 'unknown', play: 'unknown', spinS: null, ...tray[step.when], ...step.changes };
      if (step.when === 'after' && step.on) tray.service.doneOn ??= step.on;
      return;
    }
    case 'addTrial':
      return put(trayOf(bicycle, step.place).trials, step.trial);
    case 'withdrawTrial':
      return remove(trayOf(bicycle, step.place).trials, step.trial);
    case 'startTimer':
      return put(bicycle.timers, step.timer);
    case 'endTimer': {
      const found = bicycle.timers.find((row) => row.id === step.timer);
      if (found) found.endedAt = step.at;
      return;
    }
    case 'signBolt':
      return put(bicycle.signatures, step.signature);
    case 'unsignBolt':
      return remove(bicycle.signatures, step.signature);
    case 'markProof':
      return put(bicycle.proofs, step.mark);
    case 'unmarkProof':
      return remove(bicycle.proofs, step.mark);
    case 'declineJob': {
      const job = bicycle.jobs.find((row) => row.id === step.job.id) ?? step.job;
      return put(bicycle.jobs, {
        ...job,
        decision: step.declined ? 'drop' : job.decision,
        declined: step.declined,
      });
    }
    case 'leaveOff': {
      const tray = trayOf(bicycle, step.place);
      tray.leftOff = tray.leftOff.filter((part) => part !== step.part);
      if (step.off) tray.leftOff.push(step.part);
      return;
    }
    case 'endFinding':
      return put(bicycle.endings, step.ending);
    case 'reopenFinding':
      return remove(bicycle.endings, step.ending);
    case 'acceptFinding':
      return put(bicycle.acceptances, step.acceptance);
    case 'withdrawAcceptance':
      return remove(bicycle.acceptances, step.acceptance);
    case 'recheck':
      return put(bicycle.rechecks, step.recheck);
    case 'sizeBolt':
      if (step.size === null) delete bicycle.boltSizes[step.bolt];
      else bicycle.boltSizes[step.bolt] = step.size;
      return;
    case 'goOut':
      return put(bicycle.waysOut, step.wayOut);
    case 'comeBack':
      return remove(bicycle.waysOut, step.wayOut);
    case 'putLine':
      return put(bicycle.lines, step.line);
    case 'removeLine':
      return remove(bicycle.lines, step.line);
    case 'setSale':
      Object.assign(bicycle.sale, step.changes);
      return;
    case 'startClock':
      bicycle.clock = {
        id: step.clock,
        startedAt: step.at,
        activeAt: step.at,
        stage: step.stage,
        place: step.place,
      };
      return;
    case 'touchClock':
      if (bicycle.clock && bicycle.clock.activeAt < step.at) bicycle.clock.activeAt = step.at;
      return;
    case 'stopClock':
      bicycle.clock = null;
      if (step.entry) put(bicycle.minutes, step.entry);
      return;
    case 'putMinutes':
      return put(bicycle.minutes, step.entry);
    case 'removeMinutes':
      return remove(bicycle.minutes, step.entry);
    case 'addPhoto':
      return put(bicycle.photos, step.photo);
    case 'removePhoto':
      return remove(bicycle.photos, step.photo);
    case 'addNote':
      return put(bicycle.notes, step.note);
    case 'withdrawNote': {
      const found = bicycle.notes.find((row) => row.id === step.note);
      if (found) found.withdrawn = true;
      return;
    }
    case 'putDelivery':
      return put(bicycle.deliveries, step.delivery);
    case 'removeDelivery':
      return remove(bicycle.deliveries, step.delivery);
    case 'putLooseEnd':
      return put(bicycle.looseEnds, step.looseEnd);
    case 'benchAt':
      bicycle.bench = step.bench;
      return;
    case 'archive':
      bicycle.archivedAt = step.at;
      return;
    case 'settleConflict':
    case 'amend':
      // These speak of leaves and not of one field; `applied` does them.
      return;
  }
}

function applied(bicycle: Bicycle, sent: Envelope): Bicycle {
  const step = sent.command;
  if (step.type === 'amend') {
    const values = step.changes.map(({ leaf, value }) => [leaf, value] as const);
    return stillStands(bicycle, step) ? withLeaves(bicycle, values, newTray) : bicycle;
  }
  if (step.type === 'settleConflict') {
    const found = bicycle.conflicts.find((row) => row.id === step.conflict);
    if (!found) return bicycle;
    const chosen = step.take === 'other' ? withLeaves(bicycle, [[found.leaf, found.other]], newTray) : bicycle;
    return { ...chosen, conflicts: chosen.conflicts.filter((row) => row.id !== step.conflict) };
  }
  const done = workDone(step, bicycle);
  return produce(bicycle, (draft) => {
    change(draft, step);
    for (const [i, row] of done.entries())
      put(draft.worked, { id: `${sent.id.slice(0, 60)}.${i}`, at: sent.at, ...row } satisfies WorkedOn);
  });
}

/** Whether every leaf of an amendment still stands as the change left it. A null and a missing leaf are alike. */
export function stillStands(bicycle: Bicycle, amend: Extract<Command, { type: 'amend' }>): boolean {
  return amend.changes.every(({ leaf, expect }) => same(leafValue(bicycle, leaf) ?? null, expect ?? null));
}

/** Leaves whose commands merge by themselves: ticking different steps in two tabs is no conflict. */
const MERGING = /^trays\/[^/]+\/(doneSteps|order|backIn|extra|cleaned|leftOff)$/;

/**
 * The bicycle after a command. Pure; a command that has already been applied changes nothing, so that a journal may be
 * replayed. Example: `applyCommand(bicycle, { id, bicycle: bicycle.id, at, command: { type: 'setBrief', brief: 'donor' } })`.
 */
export function applyCommand(bicycle: Bicycle, sent: Envelope): Bicycle {
  if (bicycle.recent.includes(sent.id)) return bicycle;
  const next = applied(bicycle, sent);
  if (next === bicycle && sent.command.type === 'amend') return bicycle;
  const changes = changedLeaves(bicycle, next);
  const stamp = stampOf(sent.at, sent.id);
  return produce(next, (draft) => {
    for (const { leaf, before, after } of changes) {
      const seen = sent.seen && own(sent.seen, leaf);
      const elsewhere = seen !== undefined && seen !== (own(bicycle.stamps, leaf) ?? '');
      if (elsewhere && before !== undefined && !MERGING.test(leaf))
        draft.conflicts.push({ id: `${leaf}@${stamp}`, leaf, kept: after ?? null, other: before, at: sent.at });
      draft.stamps[leaf] = stamp;
    }
    draft.revision += 1;
    if (!isQuiet(sent.command)) draft.updatedAt = sent.at;
    draft.recent = [...draft.recent, sent.id].slice(-RECENT);
  });
}

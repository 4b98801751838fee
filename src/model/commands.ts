import { produce, type Draft } from 'immer';
import { z } from 'zod';
import { bicycleKind, BRIEFS } from '@/core/bicycle';
import { minorUnits } from '@/core/fields';
import {
  appraisal,
  bearingState,
  coneTrial,
  costLine,
  job,
  minutesEntry,
  moneyLine,
  observation,
  photo,
  proofMark,
  sideCount,
  signature,
  STAGES,
  timer,
  tray,
  type Bicycle,
  type Tray,
} from './record';
import { newTray } from './fresh';

const id = z.string().min(1).max(64);
const at = z.iso.datetime();
const place = id;
const side = z.enum(['left', 'right']);

/** Every change that can be made to a bicycle. Rows carry their ids, so that a replayed command changes nothing. */
export const command = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('renameBicycle'), name: z.string().min(1).max(120) }),
  z.strictObject({ type: z.literal('describeKind'), changes: bicycleKind.partial() }),
  z.strictObject({ type: z.literal('setBrief'), brief: z.enum(BRIEFS) }),
  z.strictObject({ type: z.literal('setAppraisal'), changes: appraisal.omit({ lines: true }).partial() }),
  z.strictObject({ type: z.literal('putCostLine'), line: costLine }),
  z.strictObject({ type: z.literal('removeCostLine'), line: id }),
  z.strictObject({ type: z.literal('recordPurchase'), paid: minorUnits.nullable(), at }),
  z.strictObject({ type: z.literal('addObservation'), observation }),
  z.strictObject({ type: z.literal('withdrawObservation'), observation: id }),
  z.strictObject({ type: z.literal('decideJob'), job }),
  z.strictObject({ type: z.literal('removeJob'), job: id }),
  z.strictObject({ type: z.literal('finishJob'), job: id, done: z.boolean() }),
  z.strictObject({ type: z.literal('markStep'), place, step: id, done: z.boolean(), takes: z.array(id) }),
  z.strictObject({ type: z.literal('orderTray'), place, order: z.array(id) }),
  z.strictObject({ type: z.literal('putBack'), place, part: id, back: z.boolean() }),
  z.strictObject({ type: z.literal('countBalls'), place, side, changes: sideCount.partial() }),
  z.strictObject({
    type: z.literal('noteTray'),
    place,
    changes: tray.pick({ ballReadingsMm: true, instrument: true, overBallsMm: true }).partial(),
  }),
  z.strictObject({ type: z.literal('seeTray'), place, changes: tray.shape.seen.partial() }),
  z.strictObject({ type: z.literal('measureAxle'), place, changes: tray.shape.axle.partial() }),
  z.strictObject({ type: z.literal('setSoil'), place, part: id, soil: z.enum(['oil', 'old-grease', 'mud', 'rust']) }),
  z.strictObject({
    type: z.literal('noteBearing'),
    place,
    when: z.enum(['before', 'after']),
    changes: bearingState.partial(),
  }),
  z.strictObject({ type: z.literal('addTrial'), place, trial: coneTrial }),
  z.strictObject({ type: z.literal('withdrawTrial'), place, trial: id }),
  z.strictObject({ type: z.literal('startTimer'), timer }),
  z.strictObject({ type: z.literal('endTimer'), timer: id, at }),
  z.strictObject({ type: z.literal('signBolt'), signature }),
  z.strictObject({ type: z.literal('unsignBolt'), signature: id }),
  z.strictObject({ type: z.literal('markProof'), mark: proofMark }),
  z.strictObject({ type: z.literal('unmarkProof'), mark: id }),
  z.strictObject({ type: z.literal('putLine'), line: moneyLine }),
  z.strictObject({ type: z.literal('removeLine'), line: id }),
  z.strictObject({
    type: z.literal('setSale'),
    changes: z.strictObject({ price: minorUnits.nullable(), fee: minorUnits }).partial(),
  }),
  z.strictObject({ type: z.literal('startClock'), at, stage: z.enum(STAGES) }),
  z.strictObject({ type: z.literal('stopClock'), entry: minutesEntry.nullable() }),
  z.strictObject({ type: z.literal('putMinutes'), entry: minutesEntry }),
  z.strictObject({ type: z.literal('removeMinutes'), entry: id }),
  z.strictObject({ type: z.literal('addPhoto'), photo }),
  z.strictObject({ type: z.literal('removePhoto'), photo: id }),
]);
export type Command = z.output<typeof command>;

/** A command on its way to a bicycle. */
export const envelope = z.strictObject({ id, bicycle: id, at, command });
export type Envelope = z.output<typeof envelope>;

const RECENT = 100;

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
  bicycle.trays.push(newTray(at, bicycle.kind.wheels));
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
    case 'countBalls':
      Object.assign(trayOf(bicycle, step.place).balls[step.side], step.changes);
      return;
    case 'noteTray':
      Object.assign(trayOf(bicycle, step.place), step.changes);
      return;
    case 'seeTray':
      Object.assign(trayOf(bicycle, step.place).seen, step.changes);
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
    case 'putLine':
      return put(bicycle.lines, step.line);
    case 'removeLine':
      return remove(bicycle.lines, step.line);
    case 'setSale':
      Object.assign(bicycle.sale, step.changes);
      return;
    case 'startClock':
      bicycle.clock = { startedAt: step.at, stage: step.stage };
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
  }
}

/**
 * The bicycle after a command. Pure; a command that has already been applied changes nothing, so that a journal may be
 * replayed. Example: `applyCommand(bicycle, { id, bicycle: bicycle.id, at, command: { type: 'setBrief', brief: 'donor' } })`.
 */
export function applyCommand(bicycle: Bicycle, sent: Envelope): Bicycle {
  if (bicycle.recent.includes(sent.id)) return bicycle;
  return produce(bicycle, (draft) => {
    change(draft, sent.command);
    draft.revision += 1;
    draft.updatedAt = sent.at;
    draft.recent = [...draft.recent, sent.id].slice(-RECENT);
  });
}

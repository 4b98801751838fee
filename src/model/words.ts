import { chainPercent } from '@/core/inspect/chainPitch';
import type { Evidence } from '@/core/inspect/evidence';
import { SEEN_WORDS } from '@/core/inspect/seenAs';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Command } from './commands';
import type { Bicycle } from './record';

const READABLE: Record<string, string> = {
  asking: 'asked',
  resale: 'what it may fetch',
  otherCosts: 'travel and other costs',
  target: 'what is wanted',
  confidence: 'how sure to be',
  beadSeatMm: 'wheel size',
  tyreWidthMm: 'tyre width',
};

function figure(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

function amount(minor: number): string {
  return minor % 100 === 0 ? String(minor / 100) : (minor / 100).toFixed(2);
}

/** An id as words: the tables that hold the labels are too heavy for every page. */
function plain(id: string): string {
  return id.replaceAll('-', ' ');
}

function evidenceWords(evidence: Evidence): string {
  if (evidence.lengthMm !== undefined && evidence.pitches !== undefined)
    return `${chainPercent(evidence.pitches, evidence.lengthMm).toFixed(2)} %`;
  if (evidence.outcome) return plain(evidence.outcome);
  if (evidence.byEye) return `${evidence.byEye}, by eye`;
  if (evidence.gaps?.length) return `${evidence.gaps.length} clock points`;
  if (evidence.pairs?.length) return `${evidence.pairs.length} pairs squeezed`;
  if (evidence.code) return evidence.code;
  if (evidence.readingsMm?.length) return `${figure(evidence.readingsMm.at(-1)!)} mm`;
  return [
    evidence.feel?.replace('-', ' '),
    evidence.play && `play ${evidence.play}`,
    evidence.left && `left ${evidence.left}`,
    evidence.right && `right ${evidence.right}`,
    evidence.dropsInAtPercent !== undefined && `gauge in at ${evidence.dropsInAtPercent}`,
  ]
    .filter(Boolean)
    .join(', ');
}

function keys(changes: object): string {
  return Object.keys(changes)
    .map((key) => READABLE[key] ?? key.replace(/([A-Z])/g, ' $1').toLowerCase())
    .join(', ');
}

/** What a change is called when it can be taken back. Example: "chain 0.69 %", "hub front, left: 9 out". */
export function wordsFor(command: Command, before: Bicycle): string {
  const row = <Row extends { id: string }>(rows: Row[], id: string) => rows.find((each) => each.id === id);
  switch (command.type) {
    case 'renameBicycle':
      return `name ${command.name}`;
    case 'describeKind':
      return `what it is: ${keys(command.changes)}`;
    case 'setBrief':
      return `brief ${command.brief}`;
    case 'setAppraisal': {
      const { asking } = command.changes;
      return asking === undefined ? keys(command.changes) : `asked ${amount(asking)}`;
    }
    case 'putCostLine':
      return command.line.label;
    case 'removeCostLine':
      return `left out: ${row(before.appraisal.lines, command.line)?.label ?? 'a line'}`;
    case 'setPurpose':
      return `for: ${command.purpose}`;
    case 'nameCustomer':
      return `customer ${command.customer}`;
    case 'describeLead':
      return `lead: ${keys(command.changes)}`;
    case 'notePapers':
      return `papers: ${keys(command.changes)}`;
    case 'measureFrame':
      return `size: ${keys(command.changes)}`;
    case 'answerDoor':
      return `${plain(command.line)}: ${command.answer ?? 'not looked at'}`;
    case 'seeFeature':
      return `${command.seen ? 'seen' : 'not seen'}: ${command.feature.replaceAll('-', ' ')}`;
    case 'putComparable':
      return `sold: ${command.comparable.label} ${amount(command.comparable.price)}`;
    case 'removeComparable':
      return `sold one removed: ${row(before.comparables, command.comparable)?.label ?? ''}`;
    case 'putComplaint':
      return command.complaint.closedAt ? 'complaint closed' : 'complaint';
    case 'removeComplaint':
      return 'complaint removed';
    case 'seenFromNow':
      return `from now on seen ${SEEN_WORDS[command.seenAs]}`;
    case 'approveJob': {
      const title = row(before.jobs, command.job)?.title ?? 'a job';
      return command.approval
        ? `${command.approval.answer === 'yes' ? 'approved' : 'declined'}: ${title}`
        : `not answered: ${title}`;
    }
    case 'recordPurchase':
      return command.paid === null ? 'not bought' : `paid ${amount(command.paid)}`;
    case 'addObservation': {
      const { check, evidence } = command.observation;
      return `${plain(check)} ${evidenceWords(evidence)}`.trim();
    }
    case 'withdrawObservation': {
      const found = row(before.observations, command.observation);
      return `taken back: ${plain(found?.check ?? 'an entry')}`;
    }
    case 'decideJob':
      return `${command.job.decision === 'keep' ? 'kept' : 'dropped'}: ${command.job.title}`;
    case 'removeJob':
      return `removed: ${row(before.jobs, command.job)?.title ?? 'a job'}`;
    case 'finishJob':
      return `${command.done ? 'done' : 'not done'}: ${row(before.jobs, command.job)?.title ?? 'a job'}`;
    case 'markStep':
      return `${placeLabel(command.place).toLowerCase()}: step ${command.done ? 'done' : 'undone'}`;
    case 'orderTray':
      return `${placeLabel(command.place).toLowerCase()}: order in the tray`;
    case 'putBack':
      return `${placeLabel(command.place).toLowerCase()}: ${command.back ? 'put back' : 'taken off again'}`;
    case 'countBalls': {
      const counts = (['out', 'holds', 'in'] as const).flatMap((each) =>
        command.changes[each] === undefined ? [] : [`${command.changes[each] ?? 'none'} ${each}`],
      );
      const what = counts.length ? counts.join(', ') : `answer ${command.changes.answer ?? 'taken back'}`;
      return `${placeLabel(command.place).toLowerCase()}, ${command.side}: ${what}`;
    }
    case 'chooseAssembly':
      return `${placeLabel(command.place).toLowerCase()}: ${plain(command.assembly)}`;
    case 'markPart':
      return `${plain(command.part).replace('.', ', ')}: ${command.mark ?? 'nothing wrong'}`;
    case 'addPart':
      return `found: ${command.part.label}`;
    case 'fatePart':
      return `${plain(command.part).replace('.', ', ')}: ${command.fate === 'stock' ? 'into stock' : command.fate === 'scrap' ? 'scrapped' : 'kept'}`;
    case 'cleanParts':
      return `${command.parts.length === 1 ? 'one part' : `${command.parts.length} parts`} ${command.clean ? 'clean' : 'not clean'}`;
    case 'sayHardened':
      return `${plain(command.part).replace('.', ', ')}: ${command.hardened === null ? 'not asked' : command.hardened ? 'hardened' : 'not hardened'}`;
    case 'putSeized':
      return command.seized.ended
        ? `${command.seized.part}: ${command.seized.ended.how === 'freed' ? 'came free' : 'left as it is'}`
        : command.seized.tried.length
          ? `tried on ${command.seized.part}: ${plain(command.seized.tried.at(-1)!.step)}`
          : `stuck: ${command.seized.part}`;
    case 'putTrick':
      return `trick: ${command.trick.text.slice(0, 40)}`;
    case 'removeTrick':
      return 'trick removed';
    case 'putIdentified':
      return `it is: ${command.identified.name}`;
    case 'removeIdentified':
      return 'what it is, taken back';
    case 'planFinish':
      return `finish: ${keys(command.changes)}`;
    case 'noteTray': {
      const last = command.changes.ballReadingsMm?.at(-1);
      return last === undefined ? `${placeLabel(command.place).toLowerCase()}: measured` : `ball ${figure(last)} mm`;
    }
    case 'seeTray':
      return `${placeLabel(command.place).toLowerCase()}: ${Object.entries(command.changes)
        .map(([part, seen]) => `${part} ${seen}`)
        .join(', ')}`;
    case 'seeTrack':
      return `${placeLabel(command.place).toLowerCase()}, ${command.track.replace('.', ' ')}: ${command.state ?? 'not looked at'}`;
    case 'workStep':
      return `${placeLabel(command.place).toLowerCase()}: step ${command.done ? 'done' : 'taken back'}`;
    case 'noteCartridge':
      return `${placeLabel(command.place).toLowerCase()}, cartridge ${command.cartridge}: ${keys(command.changes)}`;
    case 'feelRound':
      return `${placeLabel(command.place).toLowerCase()}, felt round the turn: ${command.feel ?? 'taken back'}`;
    case 'planService':
      return `${placeLabel(command.place).toLowerCase()}: next service`;
    case 'describeRiding':
      return `how it is ridden: ${keys(command.changes)}`;
    case 'measureAxle':
      return `axle: ${keys(command.changes)}`;
    case 'setSoil':
      return `soil ${command.soil}`;
    case 'noteBearing':
      return `${placeLabel(command.place).toLowerCase()} ${command.when}: ${Object.values(command.changes)
        .filter((value) => value !== null)
        .join(', ')}`;
    case 'addTrial':
      return `trial: ${command.trial.feel}`;
    case 'withdrawTrial':
      return 'trial taken back';
    case 'startTimer':
      return `timer: ${command.timer.label}`;
    case 'endTimer':
      return `timer ended: ${row(before.timers, command.timer)?.label ?? ''}`;
    case 'signBolt':
      return command.signature.valueNm === null
        ? 'bolt signed by feel'
        : `bolt signed at ${figure(command.signature.valueNm)} N·m`;
    case 'unsignBolt':
      return 'bolt unsigned';
    case 'markProof':
      return `proof ${command.mark.passed ? 'passed' : 'failed'}`;
    case 'unmarkProof':
      return 'proof taken back';
    case 'declineJob':
      return `${command.declined ? 'declined' : 'not declined'}: ${command.job.title}`;
    case 'leaveOff':
      return `${plain(command.part).replace('.', ', ')}: ${command.off ? 'left off on purpose' : 'not left off'}`;
    case 'endFinding':
      return `${plain(command.ending.check)}: ${command.ending.how === 'removed' ? 'the part is gone' : `cleared by ${command.ending.by}`}`;
    case 'reopenFinding':
      return `open again: ${plain(row(before.endings, command.ending)?.check ?? 'a finding')}`;
    case 'acceptFinding':
      return `accepted as it is: ${plain(command.acceptance.check)}`;
    case 'withdrawAcceptance':
      return `not accepted: ${plain(row(before.acceptances, command.acceptance)?.check ?? 'a finding')}`;
    case 'recheck':
      return 'two-minute list';
    case 'sizeBolt':
      return command.size === null ? 'the usual size of a bolt' : `bolt of ${command.size}`;
    case 'goOut':
      return `goes out: ${{ ready: 'ready', 'as-it-is': 'as it is', parts: 'for its parts' }[command.wayOut.way]}`;
    case 'comeBack':
      return 'has not gone out';
    case 'putLine':
      return `${command.line.label} ${amount(command.line.paid)}`;
    case 'removeLine':
      return `removed: ${row(before.lines, command.line)?.label ?? 'a line'}`;
    case 'setSale':
      return command.changes.price == null
        ? command.changes.on
          ? `sold on ${command.changes.on}`
          : 'sale'
        : `sold for ${amount(command.changes.price)}`;
    case 'stopClock':
      return command.entry ? `${Math.round(command.entry.minutes)} min on the clock` : 'clock stopped';
    case 'putMinutes':
      return `${Math.round(command.entry.minutes)} min`;
    case 'removeMinutes':
      return 'minutes removed';
    case 'addPhoto':
      return 'photograph';
    case 'removePhoto':
      return 'photograph removed';
    case 'addNote':
      return command.note.sound ? 'spoken note' : `note: ${command.note.text.slice(0, 40)}`;
    case 'withdrawNote':
      return 'note taken back';
    case 'putDelivery':
      return command.delivery.arrivedAt ? `arrived: ${command.delivery.label}` : `ordered: ${command.delivery.label}`;
    case 'removeDelivery':
      return 'order removed';
    case 'putLooseEnd':
      return command.looseEnd.closedAt
        ? `tightened: ${command.looseEnd.label}`
        : `loose for now: ${command.looseEnd.label}`;
    case 'archive':
      return command.at === null ? 'back on the floor' : 'put away';
    case 'startClock':
    case 'touchClock':
    case 'benchAt':
    case 'settleConflict':
    case 'amend':
      return command.type === 'amend' ? command.words : '';
  }
}

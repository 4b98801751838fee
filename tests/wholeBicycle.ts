import { reckon } from '@/core/reckon';
import { nothingFound, type Check } from '@/core/inspect/check';
import { checksFor } from '@/core/inspect/checks';
import type { Evidence } from '@/core/inspect/evidence';
import type { LookOver } from '@/core/inspect/lookOver';
import type { OpenComplaints } from '@/core/inspect/openComplaints';
import type { ProposedJob } from '@/core/decide/jobs';
import { proofsFor } from '@/core/prove/proofs';
import type { Ready } from '@/core/prove/ready';
import type { ProofEvidence } from '@/core/prove/evidence';
import { evidenceInput } from '@/model/prove/readings';
import type { ReadyAsked } from '@/core/prove/readyInput';
import type { BicycleKind } from '@/core/bicycle';
import type { Bolt } from '@/core/rebuild/bolts';
import { applyCommand, type Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { readyQuestion, type Reckoned } from '@/model/prove/readyQuestion';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { jobsInput } from '@/model/decide/questions';
import { complaintsInput, lookOverInput } from '@/model/inspect/questions';

export function asked<Output>(id: string, input: unknown): Output {
  const result = reckon(id, JSON.parse(JSON.stringify(input)));
  if (result.status !== 'ok') throw new Error(`${id}: ${JSON.stringify(result).slice(0, 400)}`);
  return result.output as Output;
}

/** Evidence of a part that is as it should be, by whatever means its check takes. */
export function sound(check: Check): Evidence {
  const byEye = nothingFound(check);
  if (byEye) return byEye;
  if (check.kind === 'disc') return { readingsMm: [1.8], minimumMm: 1.5 };
  if (check.kind === 'lever-hand') return { outcome: 'left' };
  if (check.kind === 'tyre-age') return { code: '1525' };
  if (check.kind === 'chain') return { pitches: 24, lengthMm: 304.9 };
  return { readingsMm: [check.kind === 'rim-hollow' ? 0.1 : 2.5] };
}

const bolts = new Map<string, Bolt[]>();
export function boltsOf(kind: BicycleKind): Bolt[] {
  const key = JSON.stringify(kind);
  const known = bolts.get(key) ?? asked<{ bolts: Bolt[] }>('rebuild.bolts', { kind }).bolts;
  bolts.set(key, known);
  return known;
}

/** Everything that is looked at, signed and proved, at `at`: a bicycle that may go out. */
export function everythingSigned(kind: BicycleKind, at: string, by = 'Ada'): Command[] {
  return [
    ...checksFor(kind).map((check): Command => ({
      type: 'addObservation',
      observation: {
        id: `sound-${check.id}`,
        check: check.id,
        at,
        evidence: sound(check),
        seenAs: 'cleaned',
        note: '',
        withdrawn: false,
      },
    })),
    ...boltsOf(kind).map((bolt): Command => ({
      type: 'signBolt',
      signature: {
        id: `sign-${bolt.id}`,
        bolt: bolt.id,
        what: 'done',
        foundLoose: false,
        how: bolt.torqueMaxNm === null ? 'feel' : 'wrench',
        valueNm: bolt.torqueMaxNm,
        holdTest: true,
        at,
        by,
      },
    })),
    ...proofsFor(kind).map((proof): Command => ({
      type: 'markProof',
      mark: {
        id: `proof-${proof.id}`,
        proof: proof.id,
        passed: true,
        how: 'by hand',
        at,
        by,
        accepted: null,
        note: '',
      },
    })),
  ];
}

export function applyAll(bicycle: Bicycle, commands: Command[], at: string, prefix: string): Bicycle {
  return commands.reduce(
    (done, command, i) => applyCommand(done, { id: `${prefix}-${i}`, bicycle: bicycle.id, at, command }),
    bicycle,
  );
}

/** A bicycle that is ready. */
export function wholeBicycle(kind: Partial<BicycleKind>, at: string): Bicycle {
  const bicycle = newBicycle('b1', at, 'Green tourer', kind);
  return applyAll(bicycle, everythingSigned(bicycle.kind, at), at, 'whole');
}

export type LawSettings = Pick<WorkshopSettings, 'wrenchEverywhere' | 'secondEyes'>;

/** What is reckoned of a bicycle for the law. */
export function reckonedOf(bicycle: Bicycle, today: string): Reckoned {
  const lookOver = asked<LookOver>('inspect.lookOver', lookOverInput(bicycle, USUAL_SETTINGS, today));
  const complaints = asked<OpenComplaints>('inspect.openComplaints', complaintsInput(bicycle, lookOver)).open;
  return {
    lookOver,
    bolts: boltsOf(bicycle.kind),
    complaints,
    jobs: asked<{ jobs: ProposedJob[] }>('decide.jobs', jobsInput(bicycle, lookOver.findings, complaints)).jobs,
    proofs: proofsFor(bicycle.kind),
    against: asked<ProofEvidence>('prove.evidence', evidenceInput(bicycle)).against,
  };
}

/** The law's question of a bicycle and its answer, as every page asks it. */
export function lawOf(
  bicycle: Bicycle,
  today: string,
  settings: LawSettings = USUAL_SETTINGS,
): { question: ReadyAsked; ready: Ready } {
  const question = readyQuestion(bicycle, reckonedOf(bicycle, today), settings, today);
  return { question, ready: asked<Ready>('prove.ready', question) };
}

import { placeLabel, type StateId } from '../vocabulary/vocabulary';

export interface ReadyQuestion {
  findings: { check: string; label: string; place: string; state: StateId; again?: boolean }[];
  bolts: {
    id: string;
    label: string;
    safetyCritical: boolean;
    torqueMinNm: number | null;
    torqueMaxNm: number | null;
  }[];
  signed: { bolt: string; judgement: 'within' | 'under' | 'over' | 'by feel' | 'no figure' }[];
  proofs: { id: string; label: string; safetyCritical: boolean }[];
  proved: { proof: string; passed: boolean }[];
  /** What was put together "for now" and not tightened since. */
  loose?: { id: string; label: string }[];
  /** Complaints that are still open, each with whether what leads is unsafe. */
  complaints?: { id: string; label: string; unsafe: boolean }[];
}

export interface Missing {
  kind: 'unsafe' | 'complaint' | 'loose' | 'failed' | 'torque' | 'unsigned' | 'not-looked-at' | 'again';
  id: string;
  words: string;
  /** A bicycle is not ready while a blocking one stands. */
  blocks: boolean;
}

export interface Ready {
  ready: boolean;
  missing: Missing[];
}

/**
 * Whether a bicycle may be called ready, and what is missing, gravest first. One law: an open unsafe finding, a failed
 * proof, something that is loosely assembled, a safety-critical bolt that is unsigned or outside its band, or a safety-critical proof that is unsigned,
 * is never ready. What was not looked at is asked for again.
 *
 * Source: workshop consensus. It certifies nothing: it lists what a person has and has not signed.
 */
export function readiness(question: ReadyQuestion): Ready {
  const missing: Missing[] = [];
  for (const finding of question.findings) {
    if (finding.state === 'unsafe')
      missing.push({ kind: 'unsafe', id: finding.check, words: `${finding.label}: unsafe as last seen`, blocks: true });
  }
  for (const { id, label, unsafe } of question.complaints ?? [])
    missing.push({
      kind: 'complaint',
      id,
      words: `${label}: ${unsafe ? 'unsafe, and not settled' : 'not settled'}`,
      blocks: unsafe,
    });
  for (const { id, label } of question.loose ?? [])
    missing.push({ kind: 'loose', id, words: `${label}: put together loosely for now`, blocks: true });
  const lastProof = new Map(question.proved.map((entry) => [entry.proof, entry.passed]));
  const lastSigned = new Map(question.signed.map((entry) => [entry.bolt, entry.judgement]));
  for (const proof of question.proofs) {
    const passed = lastProof.get(proof.id);
    if (passed === false) missing.push({ kind: 'failed', id: proof.id, words: `${proof.label}: failed`, blocks: true });
    if (passed === undefined)
      missing.push({
        kind: 'unsigned',
        id: proof.id,
        words: `${proof.label}: not signed`,
        blocks: proof.safetyCritical,
      });
  }
  for (const bolt of question.bolts) {
    const judgement = lastSigned.get(bolt.id);
    if (judgement === undefined)
      missing.push({ kind: 'unsigned', id: bolt.id, words: `${bolt.label}: not signed`, blocks: bolt.safetyCritical });
    if (judgement === 'under' || judgement === 'over') {
      missing.push({
        kind: 'torque',
        id: bolt.id,
        words: `${bolt.label}: signed ${judgement} its band of ${bolt.torqueMinNm} to ${bolt.torqueMaxNm} N·m`,
        blocks: bolt.safetyCritical,
      });
    }
  }
  for (const place of new Set(question.findings.map((finding) => finding.place))) {
    const here = question.findings.filter((finding) => finding.place === place);
    if (here.every((finding) => finding.state === 'not-looked-at'))
      missing.push({ kind: 'not-looked-at', id: place, words: `${placeLabel(place)}: not looked at`, blocks: false });
    else if (here.some((finding) => finding.again))
      missing.push({
        kind: 'again',
        id: place,
        words: `${placeLabel(place)}: look again, it is clean now`,
        blocks: false,
      });
  }
  missing.sort((a, b) => Number(b.blocks) - Number(a.blocks));
  return { ready: missing.every((item) => !item.blocks), missing };
}

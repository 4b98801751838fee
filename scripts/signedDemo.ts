/**
 * `npm run signed`: writes what was looked at, tightened and proved on the demonstration's signed bicycle, and the lines of
 * its proof, as the calculators tell them. A test holds the file against them.
 */
import { writeFileSync } from 'node:fs';
import { checksFor } from '../src/core/inspect/checks';
import type { LookOver } from '../src/core/inspect/lookOver';
import type { ProofEvidence } from '../src/core/prove/evidence';
import { proofsFor } from '../src/core/prove/proofs';
import { lantern, LANTERN_KIND, type LanternTold } from '../src/model/demo/lantern';
import { lookOverInput } from '../src/model/inspect/questions';
import { paperLines, type PaperLine } from '../src/model/prove/paper';
import { evidenceInput } from '../src/model/prove/readings';
import type { Bicycle } from '../src/model/record';
import { boltsInput } from '../src/model/rebuild/questions';
import { USUAL_SETTINGS } from '../src/model/settings/usual';
import { bicycleKind } from '../src/core/bicycle';
import type { Bolt } from '../src/core/rebuild/bolts';
import { asked, boltsOf, lawOf, sound } from '../tests/wholeBicycle';

export const SIGNED_PATH = 'src/model/demo/lantern.json';
const NOW = Date.UTC(2026, 10, 28, 12);
const ago = (hours: number) => new Date(NOW - hours * 3_600_000).toISOString();

/** The lines of a bicycle's proof as the calculators tell them now. */
export function linesOf(bicycle: Bicycle, today: string): PaperLine[] {
  return paperLines(bicycle, {
    lookOver: asked<LookOver>('inspect.lookOver', lookOverInput(bicycle, USUAL_SETTINGS, today)),
    bolts: asked<{ bolts: Bolt[] }>('rebuild.bolts', boltsInput(bicycle, USUAL_SETTINGS)).bolts,
    proofs: proofsFor(bicycle.kind),
    evidence: asked<ProofEvidence>('prove.evidence', evidenceInput(bicycle)),
    ready: lawOf(bicycle, today).ready,
  });
}

/** What the file should say. */
export function signedDemo(): LanternTold {
  const kind = bicycleKind.parse(LANTERN_KIND);
  const told: LanternTold = {
    observations: checksFor(kind).map((check) => ({ check: check.id, evidence: sound(check) })),
    signatures: boltsOf(kind).map(({ id, torqueMinNm, torqueMaxNm }) => ({
      bolt: id,
      valueNm: torqueMaxNm === null ? null : Math.round((((torqueMinNm ?? torqueMaxNm) + torqueMaxNm) / 2) * 2) / 2,
    })),
    proofs: proofsFor(kind).map(({ id }) => id),
    lines: [],
  };
  return { ...told, lines: linesOf(lantern(ago, told), ago(0).slice(0, 10)) };
}

if (process.argv[1]?.endsWith('signedDemo.ts'))
  writeFileSync(SIGNED_PATH, `${JSON.stringify(signedDemo(), null, 1)}\n`);

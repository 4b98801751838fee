import * as z from 'zod/mini';
import { signedProof, type SignedProof } from './part';
import { agreesWithItsSum } from './sum';

/** What a proof file says it is. */
export const PROOF_FORMAT = 'ergasto-proof';
const FORMAT_VERSION = 1;
/** A proof is some thousand lines at most. */
export const MOST_PROOF_BYTES = 2_000_000;

const proofFile = z.strictObject({
  format: z.literal(PROOF_FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  /** What a reader should know before anything else. */
  about: z.string().check(z.maxLength(600)),
  bicycle: z.strictObject({ id: z.string().check(z.maxLength(80)), name: z.string().check(z.maxLength(200)) }),
  workshop: z.string().check(z.maxLength(200)),
  signed: signedProof,
});
export type ProofFile = z.output<typeof proofFile>;

const ABOUT =
  'What was found, done, measured and proved on one bicycle, as a person signed it. It certifies nothing. The sum is SHA-256 over the signed part without its sum, keys in order, as JSON.';

/** The open file of a signed proof. */
export const proofFileOf = (
  bicycle: { id: string; name: string },
  workshop: string,
  signed: SignedProof,
): ProofFile => ({
  format: PROOF_FORMAT,
  formatVersion: FORMAT_VERSION,
  about: ABOUT,
  bicycle: { id: bicycle.id, name: bicycle.name },
  workshop,
  signed,
});

export type ReadProof = { ok: true; file: ProofFile; agrees: boolean } | { ok: false; why: string };

/** Reads a proof file back: whether it is one, and whether its sum agrees with what it says. Never throws. */
export function readProofFile(text: string): ReadProof {
  if (text.length > MOST_PROOF_BYTES) return { ok: false, why: 'Too large for a proof.' };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, why: 'This is no proof: it cannot be read.' };
  }
  const parsed = proofFile.safeParse(json);
  if (!parsed.success) return { ok: false, why: 'This is no proof of this workshop’s kind, or of a newer one.' };
  return { ok: true, file: parsed.data, agrees: agreesWithItsSum(parsed.data.signed) };
}

/** Coarse metric threads, pitch by outside diameter, as bicycles have them. Source: ISO 261. */
const PITCH_MM: Record<string, number> = { 3: 0.5, 4: 0.7, 5: 0.8, 6: 1, 7: 1, 8: 1.25, 10: 1.5, 12: 1.75 };

/** The thread that a size names; null where it names none, or several. Example: "M5" is 5 × 0.8. */
export function metricThread(size: string | null): { majorMm: number; pitchMm: number } | null {
  const named = /^M(\d+(?:\.\d+)?)(?:\s*[x×]\s*(\d+(?:\.\d+)?))?$/.exec(size ?? '');
  if (!named) return null;
  const pitchMm = named[2] === undefined ? PITCH_MM[named[1]!] : Number(named[2]);
  return pitchMm === undefined ? null : { majorMm: Number(named[1]), pitchMm };
}

/** What each class bears before it stretches for good, MPa. Source: ISO 898-1 and ISO 3506 for stainless. */
export const PROOF_MPA: Record<string, number> = {
  '4.6': 225,
  '8.8': 580,
  '10.9': 830,
  '12.9': 970,
  'A2-70': 450,
  'A4-80': 600,
};
export const STRENGTHS = Object.keys(PROOF_MPA);

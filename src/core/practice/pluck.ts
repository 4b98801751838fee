import { uniformStream } from '../money/streams';

export interface Plucked {
  tensionN: number;
  /** From the nipple to the last crossing. */
  freeLengthMm: number;
  spokeDiameterMm: number;
  sampleRate: number;
  seconds: number;
  /** How loud the room is beside the spoke. */
  noise: number;
  seed: number;
}

const STEEL_KG_M3 = 7900;
const STEEL_E = 200e9;
const PARTIALS = 8;
/** A thumb’s breadth off the middle. */
const PLUCKED_AT = 0.44;

/**
 * How a stiff spoke rings that is held at both ends: f·(1 + 2ε + (4 + k²π²/2)·ε²) with ε = √(EI/T)/L. Units: N, mm, Hz. Errors: none. Source: a stiff string
 * with clamped ends. Example: 2 mm, 180 mm free, 900 N → about a fifth higher than a string.
 */
export function stiffHz(
  { tensionN, freeLengthMm, spokeDiameterMm }: Omit<Plucked, 'sampleRate' | 'seconds' | 'noise' | 'seed'>,
  k = 1,
): number {
  const d = spokeDiameterMm / 1000;
  const length = freeLengthMm / 1000;
  const perM = (STEEL_KG_M3 * Math.PI * d ** 2) / 4;
  const string = (k / (2 * length)) * Math.sqrt(tensionN / perM);
  const e = Math.sqrt((STEEL_E * Math.PI * d ** 4) / 64 / tensionN) / length;
  return string * (1 + 2 * e + (4 + (k ** 2 * Math.PI ** 2) / 2) * e ** 2);
}

/** The sound of a plucked spoke: partials that are not quite harmonic and die away, the thumb’s knock, a room’s noise. The stand-in for a microphone. */
export function pluck(of: Plucked): Float32Array {
  const { sampleRate, seconds, noise, seed } = of;
  const next = uniformStream(seed, 'pluck');
  const partials = Array.from({ length: PARTIALS }, (_, i) => {
    const k = i + 1;
    return {
      hz: stiffHz(of, k),
      loud: (0.6 * Math.abs(Math.sin(k * Math.PI * PLUCKED_AT))) / k ** 1.3,
      phase: 2 * Math.PI * next(),
      // Higher ones die first.
      fades: 3 + 1.6 * k,
    };
  }).filter(({ hz }) => hz < sampleRate / 2);
  const samples = new Float32Array(Math.round(seconds * sampleRate));
  for (let i = 0; i < samples.length; i++) {
    const t = i / sampleRate;
    let sum = noise * (2 * next() - 1) + 0.2 * (2 * next() - 1) * Math.exp(-t * 120);
    for (const { hz, loud, phase, fades } of partials)
      sum += loud * Math.exp(-fades * t) * Math.sin(2 * Math.PI * hz * t + phase);
    samples[i] = sum;
  }
  return samples;
}

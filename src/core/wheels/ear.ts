import { PitchDetector } from 'pitchy';
import { quantileSorted } from '../numbers';

/** Spokes sound within these; whatever is beyond is the room. */
const LEAST_HZ = 120;
const MOST_HZ = 2200;
const CLEAR = 0.86;
/** A pluck is louder than what was before it by so much, and than nothing by so much. */
const RISES = 3;
const LEAST_RMS = 0.01;
/** So many hearings that agree by so much are a tone. */
const HEARINGS = 3;
const AGREE = 0.02;
/** The knock of the thumb is let pass. */
const KNOCK_FRAMES = 1;

/** What one frame of sound tells. */
interface Frame {
  rms: number;
  hz: number | null;
}

function rmsOf(samples: Float32Array): number {
  let sum = 0;
  for (const each of samples) sum += each * each;
  return Math.sqrt(sum / samples.length);
}

/**
 * An ear for plucked spokes: fed frame by frame, it gives the tone of each pluck once. A tone is three hearings in a row that agree within 2 % (McLeod’s
 * pitch method); after it the ear waits for the next pluck. It keeps no sound.
 *
 * Units: Hz. Errors: none; a frame of noise gives nothing. Source: onset by loudness. Example: frames of silence, then of 520 Hz → 520 once.
 */
export class Ear {
  private detector: PitchDetector<Float32Array> | null = null;
  private floor = 0;
  private heard: number[] = [];
  private frames = 0;
  private state: 'quiet' | 'listening' | 'told' = 'quiet';
  private last = 0;

  private frame(samples: Float32Array, sampleRate: number): Frame {
    if (this.detector?.inputLength !== samples.length) this.detector = PitchDetector.forFloat32Array(samples.length);
    const rms = rmsOf(samples);
    const [hz, clarity] = this.detector.findPitch(samples, sampleRate);
    return { rms, hz: clarity >= CLEAR && hz >= LEAST_HZ && hz <= MOST_HZ ? hz : null };
  }

  /** The tone of the pluck that this frame settles, or null. */
  hear(samples: Float32Array, sampleRate: number): number | null {
    const { rms, hz } = this.frame(samples, sampleRate);
    const rises =
      rms > RISES * Math.max(this.floor, LEAST_RMS / RISES) || (this.state === 'told' && rms > 1.8 * this.last);
    this.last = rms;
    if (this.state !== 'listening') {
      if (rises && (this.state === 'quiet' || rms > 1.8 * this.floor)) {
        this.state = 'listening';
        this.heard = [];
        this.frames = 0;
      } else {
        // The floor follows what dies away, so that the next pluck is told from the end of the last.
        this.floor = this.state === 'told' ? rms : 0.9 * this.floor + 0.1 * rms;
        if (this.state === 'told' && rms < LEAST_RMS) this.state = 'quiet';
        return null;
      }
    }
    if (this.frames++ < KNOCK_FRAMES || hz === null) {
      if (rms < LEAST_RMS) this.state = 'quiet';
      return null;
    }
    this.heard = [...this.heard.filter((each) => Math.abs(each / hz - 1) < AGREE), hz];
    if (this.heard.length < HEARINGS) return null;
    this.state = 'told';
    this.floor = rms;
    return quantileSorted(
      this.heard.toSorted((a, b) => a - b),
      0.5,
    );
  }
}

/** A whole recording by one ear, in frames of a size: every tone in it. */
export function tonesIn(samples: Float32Array, sampleRate: number, size = 4096, step = 2048): number[] {
  const ear = new Ear();
  const tones: number[] = [];
  for (let at = 0; at + size <= samples.length; at += step) {
    const tone = ear.hear(samples.subarray(at, at + size), sampleRate);
    if (tone !== null) tones.push(tone);
  }
  return tones;
}

import { pluck } from '@/core/practice/pluck';
import { Ear, tonesIn } from '@/core/wheels/ear';

const FRAME = 4096;
/** How often a frame is taken: three hearings fit well into a pluck. */
const EVERY_MS = 45;

export interface Listening {
  end(): void;
}

/**
 * Hears plucked spokes through the microphone, after the person was asked for it. Frames are heard and forgotten: nothing is recorded or
 * sent. Errors: refused, or no microphone.
 */
export async function listenForPlucks(onTone: (hz: number) => void): Promise<Listening> {
  const stream = await navigator.mediaDevices.getUserMedia({
    // What makes speech clear would make a spoke another note.
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
  });
  const audio = new AudioContext();
  const analyser = audio.createAnalyser();
  analyser.fftSize = FRAME;
  audio.createMediaStreamSource(stream).connect(analyser);
  const ear = new Ear();
  const frame = new Float32Array(FRAME);
  const timer = setInterval(() => {
    analyser.getFloatTimeDomainData(frame);
    const hz = ear.hear(frame, audio.sampleRate);
    if (hz !== null) onTone(hz);
  }, EVERY_MS);
  return {
    end() {
      clearInterval(timer);
      for (const track of stream.getTracks()) track.stop();
      void audio.close();
    },
  };
}

const RATE = 44_100;
/** A made-up spoke plucked, and heard by the same ear. */
export function pluckStandIn(tensionN: number, seed: number): number | null {
  const silence = new Float32Array(RATE / 5);
  const sound = pluck({
    tensionN: Math.max(40, tensionN),
    freeLengthMm: 185,
    spokeDiameterMm: 2,
    sampleRate: RATE,
    seconds: 0.8,
    noise: 0.004,
    seed,
  });
  const all = new Float32Array(silence.length + sound.length);
  all.set(sound, silence.length);
  return tonesIn(all, RATE)[0] ?? null;
}

import type { HubSound } from '@/core/practice/hub';

export interface RoomSound {
  set(sound: HubSound): void;
  /** A sound that is made elsewhere, played once. */
  play(samples: Float32Array, sampleRate: number): void;
  /** The tick of play when the rim is rocked from stop to stop. */
  tick(strength: number): void;
  end(): void;
}

const NOISE_S = 2;

/** A bearing heard through the fork: noise through three filters, and clicks; all of it made here. */
export function createSound(): RoomSound {
  const audio = new AudioContext();
  const noise = audio.createBuffer(1, audio.sampleRate * NOISE_S, audio.sampleRate);
  const samples = noise.getChannelData(0);
  // Any noise will do: a plain congruential sequence, so that nothing depends on dice.
  let seed = 1;
  for (let i = 0; i < samples.length; i++) {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    samples[i] = seed / 2 ** 31 - 1;
  }
  const source = audio.createBufferSource();
  source.buffer = noise;
  source.loop = true;
  const voice = (type: BiquadFilterType, hertz: number, q: number) => {
    const filter = audio.createBiquadFilter();
    filter.type = type;
    filter.frequency.value = hertz;
    filter.Q.value = q;
    const gain = audio.createGain();
    gain.gain.value = 0;
    source.connect(filter).connect(gain).connect(audio.destination);
    return gain.gain;
  };
  const voices = {
    run: voice('bandpass', 2400, 0.7),
    rumble: voice('lowpass', 160, 4),
    grind: voice('bandpass', 620, 9),
  };
  const loud = { run: 0.05, rumble: 0.9, grind: 0.35 };
  source.start();
  return {
    set(sound) {
      for (const each of ['run', 'rumble', 'grind'] as const)
        voices[each].setTargetAtTime(sound[each] * loud[each], audio.currentTime, 0.03);
    },
    play(made, sampleRate) {
      const buffer = audio.createBuffer(1, made.length, sampleRate);
      buffer.getChannelData(0).set(made);
      const once = audio.createBufferSource();
      once.buffer = buffer;
      once.connect(audio.destination);
      once.start();
    },
    tick(strength) {
      const click = audio.createOscillator();
      const gain = audio.createGain();
      click.frequency.value = 190;
      gain.gain.setValueAtTime(Math.min(0.6, strength), audio.currentTime);
      gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.06);
      click.connect(gain).connect(audio.destination);
      click.start();
      click.stop(audio.currentTime + 0.07);
    },
    end() {
      void audio.close();
    },
  };
}

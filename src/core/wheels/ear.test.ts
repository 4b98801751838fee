import { answer } from '../calculator';
import { pluck, stiffHz } from '../practice/pluck';
import { Ear, tonesIn } from './ear';
import { wheelsTone } from './tone';

const RATE = 44_100;
const OF = { freeLengthMm: 180, spokeDiameterMm: 2, sampleRate: RATE, seconds: 0.9, noise: 0.004 };

function joined(sounds: Float32Array[]): Float32Array {
  const all = new Float32Array(sounds.reduce((sum, each) => sum + each.length, 0));
  let at = 0;
  for (const each of sounds) {
    all.set(each, at);
    at += each.length;
  }
  return all;
}
const room = (seconds: number, noise = 0.004) =>
  pluck({ ...OF, tensionN: 1, seconds, noise, seed: 9 }).map((_each, i) => noise * Math.sin(i * 12.9898) ** 3);

describe('an ear for plucked spokes', () => {
  test('a stiff spoke sounds about a fifth higher than a string, a longer one less so', () => {
    const string = (tensionN: number, mm: number) => Math.sqrt(tensionN / (7900 * Math.PI * 1e-6)) / (2 * mm * 1e-3);
    const times = (mm: number) => stiffHz({ tensionN: 900, freeLengthMm: mm, spokeDiameterMm: 2 }) / string(900, mm);
    expect(times(180)).toBeGreaterThan(1.12);
    expect(times(180)).toBeLessThan(1.34);
    expect(times(280)).toBeLessThan(times(180));
  });

  test.each([0.002, 0.01, 0.03])('each pluck is heard once, in order, with a room of %s', (noise) => {
    const tensions = [450, 900, 700, 1100, 600];
    const sound = joined([
      room(0.3, noise),
      ...tensions.map((tensionN, i) => pluck({ ...OF, noise, tensionN, seed: i + 1 })),
    ]);
    const tones = tonesIn(sound, RATE);
    expect(tones).toHaveLength(tensions.length);
    for (const [i, tensionN] of tensions.entries())
      expect(Math.abs(tones[i]! / stiffHz({ ...OF, tensionN }) - 1)).toBeLessThan(0.03);
  });

  test('noise, speech and a hum below give nothing', () => {
    expect(tonesIn(room(2, 0.2), RATE)).toEqual([]);
    const hum = Float32Array.from({ length: RATE }, (_, i) => 0.3 * Math.sin((2 * Math.PI * 50 * i) / RATE));
    expect(tonesIn(hum, RATE)).toEqual([]);
    expect(new Ear().hear(new Float32Array(4096), RATE)).toBeNull();
  });

  test('from the pluck to newtons: calibrated on one metered spoke within a tenth, as a bare string far off', () => {
    const tensions = [700, 800, 900, 1000];
    const hz = tensions.flatMap((tensionN, i) =>
      tonesIn(joined([room(0.2), pluck({ ...OF, tensionN, seed: 20 + i })]), RATE),
    );
    expect(hz).toHaveLength(4);
    const ask = (more: object) => {
      const said = answer(wheelsTone, { spokeDiameterMm: 2, freeLengthMm: 180, hz, ...more });
      if (!said.ok) throw new Error('no');
      return said.output.tensionN;
    };
    const calibrated = ask({ calibrate: { hz: hz[1], tensionN: 800 } });
    for (const [i, each] of calibrated.entries()) expect(Math.abs(each / tensions[i]! - 1)).toBeLessThan(0.1);
    expect(ask({})[1]! / 800).toBeGreaterThan(1.2);
  });
});

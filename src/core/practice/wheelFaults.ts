import { uniformStream } from '../money/streams';
import { neglected } from './wheel';

/** What a made-up wheel suffers from. */
export const WHEEL_FAULTS = ['neglected', 'wobble', 'hop', 'slack', 'middle', 'dent', 'seized'] as const;
export type WheelFault = (typeof WHEEL_FAULTS)[number];

/** A made-up wheel before anybody turned anything. */
export interface Suffering {
  turns: number[];
  /** How tight it is, as a share of what such a rim is built to. */
  tightShare: number;
  /** Metal that is bent, whatever its nipples do. */
  bent: { lateralMm: number[]; radialMm: number[] } | null;
  /** Nipples that do not turn. */
  seized: number[];
}

const away = (i: number, at: number, n: number) => Math.min(Math.abs(i - at), n - Math.abs(i - at));

/** How a wheel of a fault stands, from its seed. Spokes count from the valve hole, even ones are left. */
export function sufferingOf(fault: WheelFault, seed: number, spokes: number): Suffering {
  const next = uniformStream(seed, `wheel ${fault}`);
  const at = Math.floor(next() * spokes);
  const sign = next() < 0.5 ? -1 : 1;
  const all = Array.from({ length: spokes }, (_, i) => i);
  const little = neglected(seed, spokes).map((each) => 0.25 * each);
  const plain: Suffering = { turns: little, tightShare: 1, bent: null, seized: [] };
  const isLeft = (i: number) => i % 2 === 0;
  switch (fault) {
    case 'neglected':
      return { ...plain, turns: neglected(seed, spokes) };
    case 'wobble':
      return {
        ...plain,
        turns: all.map(
          (i) => little[i]! + sign * (isLeft(i) ? 1 : -1) * 0.75 * Math.exp(-((away(i, at, spokes) / 2.4) ** 2)),
        ),
      };
    case 'hop':
      return { ...plain, turns: all.map((i) => little[i]! + sign * 1.7 * Math.exp(-((away(i, at, spokes) / 4) ** 2))) };
    case 'slack':
      return { ...plain, turns: little.map((each) => 0.6 * each), tightShare: 0.36 };
    case 'middle':
      return { ...plain, turns: all.map((i) => little[i]! * 0.5 + (isLeft(i) ? sign : -sign) * 0.9) };
    case 'dent':
      return {
        ...plain,
        bent: {
          lateralMm: all.map((i) => sign * 2.4 * Math.exp(-((away(i, at, spokes) / 1.2) ** 2))),
          radialMm: all.map((i) => -1.2 * Math.exp(-((away(i, at, spokes) / 1.1) ** 2))),
        },
      };
    case 'seized': {
      const turns = neglected(seed, spokes);
      const worst = all.reduce((most, i) => (Math.abs(turns[i]!) > Math.abs(turns[most]!) ? i : most), 0);
      return { ...plain, turns, seized: [worst] };
    }
  }
}

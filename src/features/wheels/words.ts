import { quarters } from '@/core/drive/turnWords';
import { sideOf } from '@/core/wheels/spokes';
import type { NippleState, WheelBuild } from '@/model/wheels/part';

/** From where the hand looks at the nipple: the classic wrong turn is made by who looks from the other end. */
export const SEEN_FROM = ['tyre', 'hub'] as const;
export type SeenFrom = (typeof SEEN_FROM)[number];

/** Which way the key goes: tightening is clockwise where one looks from the tyre towards the hub. */
export const isClockwise = (turns: number, from: SeenFrom): boolean => turns > 0 === (from === 'tyre');

/** A turn in words. Example: a quarter of spoke 6 of the left side → "Spoke 7, left: a quarter turn tighter". */
export function turnWords(spoke: number, side: 'left' | 'right', turns: number): string {
  return `Spoke ${spoke + 1}, ${side}: ${quarters(turns)} ${turns > 0 ? 'tighter' : 'looser'}`;
}

/** Which way the key goes, in words. */
export const keyWords = (turns: number, from: SeenFrom): string =>
  `${isClockwise(turns, from) ? 'Clockwise' : 'Anticlockwise'}, seen from the ${from}; a little too far, and back.`;

/** A spoke by its number from the valve and its side. Example: "Spoke 7, left". */
export const spokeWords = (build: Pick<WheelBuild, 'mirrored'>, spoke: number): string =>
  `Spoke ${spoke + 1}, ${sideOf(build, spoke)}`;

export const NIPPLE_WORDS: Record<NippleState, string> = {
  loose: 'turned by finger',
  stuck: 'stuck',
  rounded: 'rounded off',
  renewed: 'renewed',
};

/** Where people say that something is, without counting. */
export function spotsByWord(spokes: number): { spoke: number; label: string }[] {
  return [
    { spoke: 0, label: 'At the valve' },
    { spoke: Math.round(spokes / 4), label: 'A quarter on' },
    { spoke: Math.round(spokes / 2), label: 'Opposite' },
    { spoke: Math.round((3 * spokes) / 4), label: 'Three quarters on' },
  ];
}

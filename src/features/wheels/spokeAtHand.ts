'use client';
import { useState } from 'react';
import { useTapped, useTellHand } from '../at-hand/hand';

const NAME = /^spoke\/(\d+)$/;

/** A spoke as the drawing and the stage call it to one another. */
export const spokeName = (spoke: number): string => `spoke/${spoke}`;
export function spokeNamed(name: string | null): number | null {
  const found = name === null ? null : NAME.exec(name);
  return found ? Number(found[1]) : null;
}

/** For the stage: the spoke that is at hand, `next` of a round or else what was tapped, told to the drawing. */
export function useSpokeAtHand(next: number | null): { chosen: number | null; choose(spoke: number | null): void } {
  const [tapped, choose] = useState<number | null>(null);
  const chosen = next ?? tapped;
  useTellHand(chosen === null ? [] : [spokeName(chosen)], null);
  useTapped(({ part }) => choose(spokeNamed(part)));
  return { chosen, choose };
}

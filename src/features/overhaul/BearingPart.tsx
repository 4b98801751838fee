'use client';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { Bearing } from '@/model/bearings/part';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Balls, CountIn } from './Balls';
import { BearingNote, Changed } from './BearingNote';
import { Cartridges } from './Cartridges';
import { ConeBench } from './ConeBench';
import { Look } from './Look';
import { NextService } from './NextService';
import type { Asked } from './parts';
import { RoundFeel } from './RoundFeel';
import type { Setting } from '../at-hand/useSetting';

/** One part of a bearing's card, the same on the page of the bearing and at a step of the bench. */
export function BearingPart({
  part,
  atStep = false,
  bicycle,
  send,
  bearing,
  bench,
  setting,
}: StageProps & { part: Asked; atStep?: boolean; bearing: Bearing; bench: BearingBench; setting: Setting }) {
  switch (part) {
    case 'before':
      return <BearingNote bicycle={bicycle} send={send} bearing={bearing} when="before" />;
    case 'look':
      return <Look bicycle={bicycle} send={send} bearing={bearing} bench={bench} />;
    case 'measure':
      return bench.rows.length > 0 ? (
        <Balls send={send} bearing={bearing} bench={bench} atStep={atStep} />
      ) : (
        <Cartridges send={send} bearing={bearing} bench={bench} />
      );
    case 'count':
      return <CountIn send={send} bearing={bearing} bench={bench} />;
    case 'set':
      return <ConeBench send={send} bearing={bearing} bench={bench} setting={setting} />;
    case 'round':
      return <RoundFeel send={send} bearing={bearing} />;
    case 'after':
      return (
        <>
          <BearingNote bicycle={bicycle} send={send} bearing={bearing} when="after" />
          <Changed bearing={bearing} />
        </>
      );
    case 'next':
      return <NextService bicycle={bicycle} send={send} bearing={bearing} bench={bench} />;
  }
}

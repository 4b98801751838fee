'use client';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { Tray } from '@/model/strip/part';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Balls } from './Balls';
import { BearingNote, Changed, FromLookOver } from './BearingNote';
import { Cartridges } from './Cartridges';
import { ConeBench } from './ConeBench';
import { Look } from './Look';
import { NextService } from './NextService';
import type { Part } from './parts';
import { RoundFeel } from './RoundFeel';
import type { Setting } from './useSetting';

/** One part of a bearing's card, the same on the page of the bearing and at a step of the bench. */
export function BearingPart({
  part,
  bicycle,
  send,
  tray,
  bench,
  setting,
}: StageProps & { part: Part; tray: Tray; bench: BearingBench; setting: Setting }) {
  switch (part) {
    case 'before':
      return (
        <>
          <FromLookOver bicycle={bicycle} send={send} tray={tray} />
          <BearingNote send={send} tray={tray} when="before" />
        </>
      );
    case 'look':
      return <Look bicycle={bicycle} send={send} tray={tray} bench={bench} />;
    case 'measure':
      return bench.rows.length > 0 ? (
        <Balls send={send} tray={tray} bench={bench} />
      ) : (
        <Cartridges send={send} tray={tray} bench={bench} />
      );
    case 'set':
      return <ConeBench send={send} tray={tray} bench={bench} setting={setting} />;
    case 'round':
      return <RoundFeel send={send} tray={tray} />;
    case 'after':
      return (
        <>
          <BearingNote send={send} tray={tray} when="after" />
          <Changed tray={tray} />
        </>
      );
    case 'next':
      return <NextService bicycle={bicycle} send={send} tray={tray} bench={bench} />;
  }
}

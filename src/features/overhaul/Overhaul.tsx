'use client';
import { useEffect } from 'react';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { StageViewProps } from '../workshop/declared';
import { BearingBoard } from './BearingBoard';
import { BearingView } from './BearingView';
import { useBenches } from '../workshop/useBenches';

/** Every bearing on the bicycle: all of them with their state, or one on the bench. */
export function Overhaul({ bicycle, send, lookOver, place, onPlace: go }: StageViewProps) {
  const benches = useBenches(bicycle);
  const bench: BearingBench | undefined = benches?.benches.find((each) => each.place === place);
  // A bearing is opened at its top, wherever the list had been scrolled to.
  useEffect(() => {
    if (place) document.querySelector('main')?.scrollTo({ top: 0 });
  }, [place]);
  if (!benches) return <p role="status">Getting the bearings…</p>;
  if (!bench)
    return (
      <BearingBoard
        bicycle={bicycle}
        benches={benches}
        lookOver={lookOver}
        onOpen={go}
        onChoose={(at, { id: assembly, says }) => {
          send({ type: 'chooseAssembly', place: at, assembly, says });
          go(at);
        }}
      />
    );
  return (
    <BearingView
      key={bench.place}
      bicycle={bicycle}
      send={send}
      bench={bench}
      choices={benches.choices[bench.place] ?? []}
      onAll={() => go(null)}
    />
  );
}

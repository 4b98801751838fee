'use client';
import { useMemo } from 'react';
import { stripOrder } from '@/core/strip/order';
import { doneSteps } from '@/model/strip/trays';
import type { StageViewProps } from '../workshop/declared';
import { StuckParts } from './StuckParts';
import { TrayBoard } from './TrayBoard';
import { TrayView } from './TrayView';
import { useJobs } from '../workshop/useJobs';
import { useTrays } from '../workshop/useTrays';

/** Take it apart so that it goes back together: all trays in the order of a whole strip, or one of them. */
export function Strip({ bicycle, send, place, onPlace: go }: StageViewProps) {
  const trays = useTrays(bicycle);
  const { jobs } = useJobs(bicycle);
  const order = useMemo(
    () => (trays ? stripOrder(trays.trays, trays.constraints, doneSteps(bicycle)) : null),
    [trays, bicycle],
  );
  if (!trays || !order) return <p role="status">Getting the trays…</p>;
  const assembly = trays.trays.find((each) => each.place === place);
  if (!assembly)
    return (
      <>
        <StuckParts bicycle={bicycle} send={send} place={null} />
        <TrayBoard
          bicycle={bicycle}
          trays={trays}
          order={order}
          jobs={jobs}
          onOpen={go}
          onChoose={(at, chosen) => {
            send({ type: 'chooseAssembly', place: at, assembly: chosen.id, says: chosen.says });
            go(at);
          }}
        />
      </>
    );
  return (
    <TrayView
      key={assembly.place}
      bicycle={bicycle}
      send={send}
      assembly={assembly}
      choices={trays.choices[assembly.place] ?? []}
      order={order}
      onAll={() => go(null)}
    />
  );
}

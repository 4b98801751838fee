'use client';
import { useDeferredValue } from 'react';
import { boltsInput } from '@/model/rebuild/questions';
import type { StageViewProps } from '../workshop/declared';
import { useReckon } from '../workshop/useReckon';
import { useTrays } from '../workshop/useTrays';
import { useSettings } from '../workshop/WorkshopProvider';
import { SetUpBoard } from '../setup/SetUpBoard';
import { useSettingUp } from '../setup/useSettingUp';
import { BuildBoard } from './BuildBoard';
import { BuildPlace } from './BuildPlace';
import { LooseEnds } from './LooseEnds';
import { Rider } from './Rider';
import { Steerer } from './Steerer';
import { TorqueRound } from './TorqueRound';
import { useBuildOrder } from './useBuildOrder';

/** The way back: what goes on now, what is only for now, how tight, and where the rider sits; or one place of it. */
export function Rebuild({ bicycle, send, lookOver, place, onPlace: go }: StageViewProps) {
  const trays = useTrays(bicycle);
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle, useSettings()));
  const bolts = output?.bolts ?? null;
  // Thirty bolts are drawn after what goes on now, a few at a time.
  const round = useDeferredValue(bolts, null);
  const { output: order } = useBuildOrder(bicycle, bolts, lookOver);
  const settingUp = useSettingUp(bicycle, bolts, lookOver);
  if (place !== null) {
    const at = trays?.trayOf[place] ?? place;
    return (
      <BuildPlace
        key={place}
        bicycle={bicycle}
        send={send}
        place={place}
        assembly={trays?.trays.find((each) => each.place === at) ?? null}
        bolts={bolts ?? []}
        order={order}
        lookOver={lookOver}
        onAll={() => go(null)}
      />
    );
  }
  return (
    <>
      <LooseEnds bicycle={bicycle} send={send} />
      {order ? (
        <BuildBoard bicycle={bicycle} send={send} order={order} onOpen={go} />
      ) : (
        <p role="status">Working out what goes on now…</p>
      )}
      {settingUp && <SetUpBoard bicycle={bicycle} settingUp={settingUp} onOpen={go} />}
      <TorqueRound bicycle={bicycle} send={send} bolts={round} />
      <Rider bicycle={bicycle} send={send} />
      {bicycle.kind.stem === 'threadless' && <Steerer bicycle={bicycle} send={send} />}
    </>
  );
}

'use client';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { endOf } from '@/core/bicycle';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bolt } from '@/core/rebuild/bolts';
import type { BuildOrder } from '@/core/rebuild/order';
import { backwards, partIn, partWords, sorted, turnAt, type Assembly } from '@/core/strip/tray';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { BrakePlace } from '@/model/brakes/questions';
import { jointsInput } from '@/model/rebuild/questions';
import { isSettled, orderOf, partsOff, trayFor } from '@/model/strip/trays';
import { goToLine } from '@/ui/goToLine';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useTapped, useTellHand } from '../at-hand/hand';
import { AskBrake } from '../brakes/AskBrake';
import { BrakeForce } from '../brakes/BrakeForce';
import { Cables } from '../brakes/Cables';
import { SetUp } from '../setup/SetUp';
import { useSettingUp } from '../setup/useSettingUp';
import { DriveAt } from '../drive/DriveAt';
import { PutBack } from '../strip/PutBack';
import { TyreAt } from '../tyres/TyreAt';
import { WheelAt } from '../wheels/WheelAt';
import { LooseButton } from '../workshop/LooseButton';
import { NextOfThread } from '../workshop/StageAction';
import { useReckon } from '../workshop/useReckon';
import { ViewHeading } from '../workshop/ViewHeading';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { BeforeParts } from './BeforeParts';
import { HowDeep } from './HowDeep';
import { Joints } from './Joints';
import { Bolts } from './TorqueRound';

const isBrake = (place: string): place is BrakePlace => place === 'brake.front' || place === 'brake.rear';

/** The tray of a place read from its other end, told to the drawing as it goes. */
function BackTogether({ bicycle, send, assembly, onAll }: StageProps & { assembly: Assembly; onAll(): void }) {
  const whole = trayFor(bicycle, assembly.place);
  const { here } = sorted(assembly, { extra: whole.extra, order: orderOf(whole) });
  const tray = { ...whole, off: Object.fromEntries(here.map((part, i) => [part, i + 1])) };
  const next = backwards(here).find((id) => !isSettled(tray, id));
  const step = assembly.steps.find((each) => next && each.takes.includes(next));
  useTellHand(next ? [next] : [], step ? turnAt(step, bicycle.kind, 'tighten') : null);
  const [named, setNamed] = useState<string | null>(null);
  useTapped(({ part }) => {
    setNamed(part && partWords(partIn(assembly, tray.extra, part)));
    if (part !== null && part === next) goToLine('build-next');
  });
  return (
    <Section title="Back together" aside={`${partsOff(tray).length} in its tray`}>
      {named && (
        <Box role="status" sx={{ mb: 1, color: 'text.secondary' }}>
          {named}
        </Box>
      )}
      <Box id="build-next" tabIndex={-1}>
        <PutBack bicycle={bicycle} send={send} assembly={assembly} tray={tray} onBack={onAll} />
      </Box>
    </Section>
  );
}

/** One place on its way back: its parts out of the tray, what goes between, how tight, and whether it is only for now. */
export function BuildPlace({
  bicycle,
  send,
  place,
  assembly,
  bolts,
  order,
  lookOver,
  onAll,
}: StageProps & {
  place: string;
  /** What was found there; null where nothing comes apart. */
  assembly: Assembly | null;
  bolts: Bolt[];
  order: BuildOrder | null;
  lookOver: LookOver | null;
  onAll(): void;
}) {
  const { output } = useReckon('rebuild.joints', jointsInput(bicycle, useSettings()));
  const wheelEnd = /^(rim|spokes)\./.test(place) ? endOf(place) : null;
  const tyreEnd = place.startsWith('tyre.') ? endOf(place) : null;
  const settingUp = useSettingUp(bicycle, bolts, lookOver);
  const waits = order?.waits.find((each) => each.place === place);
  const here = bolts.filter((bolt) => bolt.place === place);
  const out = assembly ? partsOff(trayFor(bicycle, assembly.place)).length : 0;
  return (
    <>
      <Box
        sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 2 }}
      >
        <ViewHeading back="The whole rebuild" onBack={onAll}>
          {placeLabel(place)}
        </ViewHeading>
        <LooseButton bicycle={bicycle} send={send} place={place} />
      </Box>
      {waits && (
        <Box
          role="note"
          sx={{ mb: 2, borderLeft: '3px solid', borderColor: stateColour('service'), pl: 1.5, maxWidth: '58ch' }}
        >
          <b>Not yet.</b> {waits.why}
        </Box>
      )}
      <Box sx={{ mb: 2 }}>
        <BeforeParts bicycle={bicycle} place={place} />
      </Box>
      {assembly && out > 0 && <BackTogether bicycle={bicycle} send={send} assembly={assembly} onAll={onAll} />}
      {/* What comes late would push what is being tapped: all of it comes at once. */}
      {output && settingUp ? (
        <>
          <Joints send={send} joints={output.joints.filter((joint) => joint.place === place)} />
          {isBrake(place) && <AskBrake bicycle={bicycle} send={send} place={place} />}
          {wheelEnd ? (
            // What goes round truing is part of the wheel itself.
            <WheelAt bicycle={bicycle} send={send} end={wheelEnd} settingUp={settingUp} lookOver={lookOver} />
          ) : (
            <SetUp bicycle={bicycle} send={send} place={place} settingUp={settingUp} lookOver={lookOver} />
          )}
          {tyreEnd && <TyreAt bicycle={bicycle} send={send} end={tyreEnd} />}
          <DriveAt bicycle={bicycle} send={send} place={place} />
          {isBrake(place) && <BrakeForce bicycle={bicycle} send={send} place={place} />}
          {(place === 'cables.brake' || place === 'cables.gear') && (
            <Cables bicycle={bicycle} send={send} place={place} />
          )}
          {(place === 'seat-post' || (place === 'stem' && bicycle.kind.stem === 'quill')) && (
            <HowDeep bicycle={bicycle} send={send} place={place} />
          )}
          {here.length > 0 && (
            <Section title="How tight" aside={here.length === 1 ? 'one bolt' : `${here.length} bolts`}>
              <Bolts bicycle={bicycle} send={send} bolts={bolts} of={here} />
            </Section>
          )}
        </>
      ) : (
        <p role="status">Looking the steps up…</p>
      )}
      {out === 0 && <NextOfThread after="tighten" onBack={onAll} />}
    </>
  );
}

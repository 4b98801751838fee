'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { StripOrder } from '@/core/strip/order';
import { backwards, sorted, turnAt, type Assembly } from '@/core/strip/tray';
import type { Choice } from '@/core/strip/trays';
import { isSettled, orderOf, trayFor } from '@/model/strip/trays';
import { Choices } from '@/ui/Choices';
import { goToLine } from '@/ui/goToLine';
import { useTapped, useTellHand } from '../at-hand/hand';
import { LooseButton } from '../workshop/LooseButton';
import { ViewHeading } from '../workshop/ViewHeading';
import type { StageProps } from '../workshop/WorkshopProvider';
import { InTheTray } from './InTheTray';
import { PutBack } from './PutBack';
import { StuckParts } from './StuckParts';
import { TakeApart } from './TakeApart';
import { TrayTools } from './TrayTools';
import { WhatWasFound } from './WhatWasFound';

const WAYS = [
  { id: 'apart', label: 'Take apart' },
  { id: 'back', label: 'Put back' },
] as const;
type Way = (typeof WAYS)[number]['id'];

/** One tray: its one step this way or that, and what lies in it; its parts are drawn on the sheet. */
export function TrayView({
  bicycle,
  send,
  assembly,
  choices,
  order,
  onAll,
}: StageProps & {
  assembly: Assembly;
  choices: Choice[];
  order: StripOrder | null;
  onAll(): void;
}) {
  const whole = trayFor(bicycle, assembly.place);
  const { here, strange } = sorted(assembly, { extra: whole.extra, order: orderOf(whole) });
  // What came off another assembly lies in the same tray, and is told apart.
  const tray = { ...whole, off: Object.fromEntries(here.map((part, i) => [part, i + 1])) };
  const current = assembly.steps.find((step) => !tray.doneSteps.includes(step.id));
  const [way, setWay] = useState<Way>(() => (current === undefined || tray.backIn.length > 0 ? 'back' : 'apart'));
  /** The part whose line in the tray is open. */
  const [line, setLine] = useState<string | null>(null);
  useTapped(({ part }) => {
    if (part === null) return;
    if (!here.includes(part)) return goToLine(`step-${assembly.steps.find(({ takes }) => takes.includes(part))?.id}`);
    setLine(part);
    goToLine(`part-${part}`);
  });
  const next = backwards(here).find((id) => !isSettled(tray, id));
  const atTool = way === 'apart' ? current : assembly.steps.find((step) => next && step.takes.includes(next));
  useTellHand(
    way === 'apart' ? (current?.takes ?? []) : next ? [next] : [],
    atTool ? turnAt(atTool, bicycle.kind, way === 'apart' ? 'loosen' : 'tighten') : null,
  );
  // What was found is asked for before a hand is put to it, and stays within reach.
  const begun = tray.doneSteps.length > 0;
  const found = <WhatWasFound send={send} place={assembly.place} assembly={assembly.id} choices={choices} />;
  const at = { bicycle, send, assembly, tray };
  return (
    <>
      <Box
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', justifyContent: 'space-between', mb: 1 }}
      >
        <ViewHeading back="All trays" onBack={onAll}>
          {assembly.title}
        </ViewHeading>
        {!begun && found}
      </Box>
      <Box sx={{ mb: 2 }}>
        <Choices<Way> label="Way" hideLabel options={WAYS} value={way} onChoose={setWay} />
      </Box>
      <StuckParts bicycle={bicycle} send={send} place={assembly.place} />
      {way === 'apart' ? (
        <TakeApart {...at} order={order} onBack={onAll} />
      ) : (
        <>
          <PutBack {...at} onBack={onAll} />
          <Box sx={{ mt: 2 }}>
            <LooseButton bicycle={bicycle} send={send} place={assembly.place} />
          </Box>
        </>
      )}
      <TrayTools {...at} task={way === 'apart' ? 'strip' : 'put-back'}>
        {begun && found}
      </TrayTools>
      <InTheTray {...at} strange={strange} line={line} onLine={setLine} />
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3, maxWidth: '62ch' }}>
        {assembly.stuck} Springs and clips fly: wear eye protection. What is bonded, carbon or holds pressure is for
        somebody qualified.
      </Typography>
    </>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { Choice } from '@/core/strip/trays';
import { useState } from 'react';
import type { StripOrder } from '@/core/strip/order';
import { backwards, partIn, sorted, partWords, turnAt, type Assembly } from '@/core/strip/tray';
import { isSettled, orderOf, trayFor } from '@/model/strip/trays';
import { bearingFor } from '@/model/bearings/bearingFor';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { goToLine } from '@/ui/goToLine';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { benchHref } from '../workshop/benchHref';
import { LooseButton } from '../rebuild/LooseEnds';
import { StockDialog } from '../stock/StockDialog';
import { useReckon } from '../workshop/useReckon';
import { ViewHeading } from '../workshop/ViewHeading';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useTapped, useTellHand } from '../at-hand/hand';
import { PartList } from './PartList';
import { PutBack } from './PutBack';
import type { Seized } from '@/model/strip/part';
import { AskStuck, newSeized, StuckParts } from './StuckParts';
import { TakeApart } from './TakeApart';
import { TrayLabel } from './TrayLabel';
import { WhatWasFound } from './WhatWasFound';

const WAYS = [
  { id: 'apart', label: 'Take apart' },
  { id: 'back', label: 'Put back' },
] as const;
type Way = (typeof WAYS)[number]['id'];

/** One tray: its line of parts, its steps one way or its parts the other, and what lies in it. */
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
  const bearing = bearingFor(bicycle, assembly.place);
  const current = assembly.steps.find((step) => !tray.doneSteps.includes(step.id));
  const [way, setWay] = useState<Way>(() => (current === undefined || tray.backIn.length > 0 ? 'back' : 'apart'));
  /** What was found is asked for before a hand is put to it, and stays within reach. */
  const begun = tray.doneSteps.length > 0;
  const [labelling, setLabelling] = useState(false);
  const [stocking, setStocking] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  /** What is said to be stuck, before it is put down. */
  const [stuck, setStuck] = useState<Seized | null>(null);
  const taking = assembly.steps.find((step) => !tray.doneSteps.includes(step.id) && step.takes.length > 0);
  const taken = assembly.parts.find((part) => part.id === taking?.takes[0]) ?? assembly.parts[0]!;
  const next = backwards(here).find((id) => !isSettled(tray, id));
  const hand = way === 'apart' ? (current?.takes ?? []) : next ? [next] : [];
  const atTool = (way === 'apart' ? current : assembly.steps.find((step) => next && step.takes.includes(next))) ?? null;
  /** The part whose line in the tray is open. */
  const [line, setLine] = useState<string | null>(null);
  useTapped(({ part }) => {
    if (part === null) return;
    if (!here.includes(part)) return goToLine(`step-${assembly.steps.find(({ takes }) => takes.includes(part))?.id}`);
    setLine(part);
    goToLine(`part-${part}`);
  });
  useTellHand(hand, atTool && turnAt(atTool, bicycle.kind, way === 'apart' ? 'loosen' : 'tighten'));
  const { output: ladder } = useReckon('strip.ladder', {});
  const atHand = { words: partWords(taken), material: taken.materials[0] };
  const stuckPart = stocking === null ? null : partIn(assembly, tray.extra, stocking);
  return (
    <>
      <Box
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', justifyContent: 'space-between', mb: 1 }}
      >
        <ViewHeading back="All trays" onBack={onAll}>
          {assembly.title}
        </ViewHeading>
        {!begun && <WhatWasFound send={send} place={assembly.place} assembly={assembly.id} choices={choices} />}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mb: 2 }}>
        <Choices<Way> label="Way" hideLabel options={WAYS} value={way} onChoose={setWay} />
      </Box>
      {stuck && (
        <AskStuck
          part={stuck}
          onYes={() => {
            send({ type: 'putSeized', seized: stuck });
            setStuck(null);
          }}
          onNo={() => setStuck(null)}
        />
      )}
      <StuckParts bicycle={bicycle} send={send} place={assembly.place} />
      {way === 'apart' ? (
        <TakeApart bicycle={bicycle} send={send} assembly={assembly} tray={tray} order={order} onBack={onAll} />
      ) : (
        <>
          <PutBack bicycle={bicycle} send={send} assembly={assembly} tray={tray} onBack={onAll} />
          <Box sx={{ mt: 2 }}>
            <LooseButton bicycle={bicycle} send={send} place={assembly.place} />
          </Box>
        </>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mt: 2, mb: 3 }}>
        <Button
          component={Link}
          prefetch={false}
          href={benchHref(bicycle.id, way === 'apart' ? 'strip' : 'put-back', assembly.place)}
          variant="outlined"
          color="inherit"
          sx={{ minHeight: 48 }}
        >
          On the bench
        </Button>
        <Button
          color="inherit"
          sx={{ minHeight: 48 }}
          aria-expanded={stuck !== null}
          onClick={() => setStuck(newSeized(assembly.place, atHand, bicycle.kind.frameMaterial, ladder?.joints ?? []))}
        >
          It will not move
        </Button>
        <Button color="inherit" sx={{ minHeight: 48 }} onClick={() => setLabelling(true)}>
          Label
        </Button>
        {begun && <WhatWasFound send={send} place={assembly.place} assembly={assembly.id} choices={choices} />}
      </Box>
      <Section title="In the tray" aside="in the order they came off">
        {here.length === 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>
            Nothing in the tray yet. Parts lie down here as the steps are ticked.
          </Typography>
        ) : (
          <PartList
            send={send}
            assembly={assembly}
            tray={tray}
            bearing={bearing}
            beside={strange}
            open={line}
            onOpen={setLine}
            onStock={setStocking}
          />
        )}
        {strange.length > 0 && (
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mt: 1 }}>
            <Box>
              {strange.length === 1 ? 'One part was' : `${strange.length} parts were`} laid down for another assembly.
            </Box>
            <Button
              color="inherit"
              sx={{ minHeight: 48 }}
              onClick={() => send({ type: 'takeOutOfTray', place: assembly.place, parts: strange })}
            >
              Take {strange.length === 1 ? 'it' : 'them'} out of the tray
            </Button>
          </Box>
        )}
        <Box sx={{ mt: 1 }}>
          {adding ? (
            <KeptText
              label="A part that is not in the list"
              value=""
              width={320}
              onKeep={(words) => {
                setAdding(false);
                if (words)
                  send({ type: 'addPart', place: assembly.place, part: { id: newId(), label: words, side: null } });
              }}
            />
          ) : (
            <Button color="inherit" onClick={() => setAdding(true)} sx={{ minHeight: 48 }}>
              One more part
            </Button>
          )}
        </Box>
      </Section>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3, maxWidth: '62ch' }}>
        {assembly.stuck} Springs and clips fly: wear eye protection. What is bonded, carbon or holds pressure is for
        somebody qualified.
      </Typography>
      {labelling && (
        <TrayLabel
          bicycleId={bicycle.id}
          bicycleName={bicycle.name}
          place={assembly.place}
          title={assembly.title}
          onClose={() => setLabelling(false)}
        />
      )}
      {stocking !== null && stuckPart && (
        <StockDialog
          draft={{ label: partWords(stuckPart), place: assembly.place, bicycle: bicycle.id, from: bicycle.name }}
          onClose={(kept) => {
            if (kept) send({ type: 'fatePart', place: assembly.place, part: stocking, fate: 'stock' });
            setStocking(null);
          }}
        />
      )}
    </>
  );
}

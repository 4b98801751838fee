'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { stateOf } from '@/core/vocabulary/verdicts';
import type { TrueRound } from '@/core/wheels/trueWheel';
import {
  asTrued,
  buildOf,
  fromLookOver,
  lastReading,
  readingBefore,
  roundNow,
  spinInput,
  trueInput,
} from '@/model/wheels/questions';
import type { WheelEnd, WheelReading } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { LargeFigures } from '@/ui/LargeFigures';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import { useWorkshopName, type StageProps } from '../workshop/WorkshopProvider';
import { BuildForm } from './BuildForm';
import { ByEye } from './ByEye';
import { Nipples } from './Nipples';
import { RoundView } from './RoundView';
import { WheelFigure } from './WheelFigure';

/** What the wheel reads now and what the round promises, in figures. */
function Figures({ round }: { round: TrueRound }) {
  const { now, predicted } = round;
  const pair = (before: number, after: number, digits: number, unit: string) =>
    round.turns.length === 0
      ? `${before.toFixed(digits)} ${unit}`
      : `${before.toFixed(digits)} → ${after.toFixed(digits)} ${unit}`;
  return (
    <LargeFigures
      figures={[
        { value: pair(now.lateralMm, predicted.lateralMm, 1, 'mm'), words: 'sideways, from end to end' },
        ...(now.radialMm === null
          ? []
          : [{ value: pair(now.radialMm, predicted.radialMm!, 1, 'mm'), words: 'up and down' }]),
        ...(now.tensionShare === null
          ? []
          : [
              {
                value: pair(100 * now.tensionShare, 100 * predicted.tensionShare!, 0, '%'),
                words: 'the most uneven spoke of its side',
              },
            ]),
        ...(now.dishMm === null
          ? []
          : [{ value: pair(now.dishMm, predicted.dishMm!, 1, 'mm'), words: 'off the middle' }]),
      ]}
    />
  );
}

/** A wheel in the stand: read whole, and trued a round at a time. */
export function WheelAt({ bicycle, send, end }: StageProps & { end: WheelEnd }) {
  const { name: by } = useHand();
  const isDemo = useWorkshopName() === 'demo';
  const [building, setBuilding] = useState(false);
  const [chosen, setChosen] = useState<number | null>(null);
  const build = buildOf(bicycle, end);
  // An answer to the reading before is no answer to this one.
  const { output: answered, pending } = useReckon('wheels.true', trueInput(bicycle, end));
  const output = pending ? null : answered;
  const { output: made, pending: spinning } = useReckon('wheels.spin', isDemo ? spinInput(bicycle, end) : null);
  const spun = spinning ? null : made;
  if (!build || building)
    return (
      <Section title="The wheel">
        <BuildForm bicycle={bicycle} send={send} end={end} onDone={() => setBuilding(false)} />
      </Section>
    );
  const last = lastReading(bicycle, end, build.spokes);
  const known = fromLookOver(bicycle, end, build.spokes);
  const round = roundNow(bicycle, end, build.spokes);
  const next = round?.turns.find(({ made }) => !made)?.spoke ?? null;
  const read = (of: Pick<WheelReading, 'lateralMm' | 'radialMm' | 'tensionN'>) =>
    send({ type: 'readWheel', reading: { id: newId(), at: nowIso(), by, end, dishMm: null, ...of } });
  const begin = (turns: TrueRound['turns']) =>
    send({
      type: 'beginRound',
      round: {
        id: newId(),
        at: nowIso(),
        by,
        end,
        reading: last!.id,
        turns: turns.map((turn) => ({ ...turn, made: false })),
      },
    });
  const isRead = last !== null && (round === null || next !== null);
  return (
    <Section title="The wheel in the stand" aside={`${build.spokes} spokes, crossed ${build.crossings}`}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '290px minmax(0, 1fr)' }, gap: 2 }}>
        <WheelFigure
          spokes={build.spokes}
          mirrored={build.mirrored}
          reading={last}
          before={round ? null : readingBefore(bicycle, end, build.spokes)}
          order={round?.turns.map(({ spoke }) => spoke) ?? output?.turns.map(({ spoke }) => spoke) ?? []}
          next={next}
          chosen={chosen}
          {...(!isRead && { onChoose: setChosen })}
        />
        {round && <RoundView send={send} build={build} round={round} />}
        {isRead && !round && pending && <p role="status">Reckoning the round…</p>}
        {isRead && !round && output && (
          <Box role="status" aria-label="What the wheel wants">
            <Box sx={{ fontSize: '1.3rem', fontWeight: 660 }}>
              <StateMark state={stateOf('wheels.true', output.verdict)} word={false} size={24} /> {output.words}
            </Box>
            {output.reasons.slice(1).map((reason) => (
              <Box key={reason}>{reason}</Box>
            ))}
            <Figures round={output} />
            {output.turns.length > 0 && (
              <Button variant="contained" sx={{ minHeight: 64 }} onClick={() => begin(output.turns)}>
                {output.turns.length === 1 ? 'Turn one nipple' : `Turn ${output.turns.length} nipples`}
              </Button>
            )}
            {output.verdict === 'true' && last && (
              <Button
                variant="contained"
                sx={{ minHeight: 56 }}
                onClick={() => send(asTrued(bicycle, last, { id: newId(), at: nowIso(), by }))}
              >
                Put down as trued
              </Button>
            )}
            <Working rows={output.working} />
          </Box>
        )}
        {(!isRead || (output !== null && output.turns.length === 0)) && (
          <Box>
            {spun && (
              <Button
                variant={last ? 'outlined' : 'contained'}
                sx={{ minHeight: 64, mb: 1.5 }}
                onClick={() => read(spun)}
              >
                Spin it past the dial gauge (stand-in)
              </Button>
            )}
            {last === null && known && (
              <Button variant="outlined" sx={{ minHeight: 56, mb: 1.5 }} onClick={() => read({ lateralMm: known })}>
                Begin with what the look-over read
              </Button>
            )}
            <ByEye
              spokes={build.spokes}
              chosen={chosen}
              onChoose={setChosen}
              onRead={(lateralMm) => read({ lateralMm })}
            />
          </Box>
        )}
      </Box>
      {last && (
        <Box data-readings sx={{ mt: 2 }}>
          <ReadingField
            label="Its middle is off, left +"
            kind="length"
            unit="mm"
            width={220}
            help="by gauge, or turned round in the stand: half of what it moves"
            value={last.dishMm}
            onCommit={(dishMm) => send({ type: 'readWheel', reading: { ...last, dishMm } })}
            onClear={() => send({ type: 'readWheel', reading: { ...last, dishMm: null } })}
            refuse={(value) => (Math.abs(value) > 30 ? 'at most 30 mm' : null)}
          />
        </Box>
      )}
      <Disclosure summary={<>Nipples that turn by finger, or not at all</>} wide>
        <Nipples bicycle={bicycle} send={send} end={end} spokes={build.spokes} />
      </Disclosure>
      <Button color="inherit" onClick={() => setBuilding(true)}>
        How it is built
      </Button>
    </Section>
  );
}

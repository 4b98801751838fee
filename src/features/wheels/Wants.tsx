'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { stateOf } from '@/core/vocabulary/verdicts';
import type { TrueRound } from '@/core/wheels/trueWheel';
import { LargeFigures } from '@/ui/LargeFigures';
import { stateColour, StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { Foot } from '../workshop/StageAction';

const TENSION_BY = { meter: '', tone: ', by tone', feel: ', by hand' } as const;

/** What the wheel reads now and what the round promises, in figures. Of a slack wheel nothing but its tension is told. */
function Figures({ round }: { round: TrueRound }) {
  const { now, predicted, turns, verdict, tension } = round;
  const pair = (before: number, after: number, digits: number, unit: string) =>
    turns.length === 0
      ? `${before.toFixed(digits)} ${unit}`
      : `${before.toFixed(digits)} → ${after.toFixed(digits)} ${unit}`;
  const all = [
    { isTension: false, value: pair(now.lateralMm, predicted.lateralMm, 1, 'mm'), words: 'sideways, from end to end' },
    now.radialMm !== null && {
      isTension: false,
      value: pair(now.radialMm, predicted.radialMm!, 1, 'mm'),
      words: 'up and down',
    },
    now.tensionShare !== null && {
      isTension: true,
      value: pair(100 * now.tensionShare, 100 * predicted.tensionShare!, 0, '%'),
      words: `the most uneven spoke of its side${tension ? TENSION_BY[tension.by] : ''}`,
    },
    now.dishMm !== null && {
      isTension: false,
      value: pair(Math.abs(now.dishMm), Math.abs(predicted.dishMm!), 1, 'mm'),
      words: `off the middle${now.dishMm >= 0.05 ? ', to the left' : now.dishMm <= -0.05 ? ', to the right' : ''}`,
    },
    tension?.isAbsolute === true && {
      isTension: true,
      value: `${Math.round(tension.meanN.left)} / ${Math.round(tension.meanN.right)} N`,
      words: 'left and right, on the mean',
    },
  ].filter((each) => each !== false);
  const shown = verdict === 'tension-first' ? all.filter(({ isTension }) => isTension) : all;
  return shown.length === 0 ? null : <LargeFigures figures={shown} />;
}

/** What a wheel wants: the verdict, its figures, and the round to begin, or what is put down once it is true. */
export function Wants({
  truth,
  waits,
  onBegin,
  onTrued,
}: {
  truth: TrueRound;
  /** What comes before the first turn, in words; null where hands can go to it. */
  waits: string | null;
  onBegin(turns: TrueRound['turns']): void;
  onTrued(): void;
}) {
  const { verdict, words, reasons, turns, stop, working } = truth;
  const others = reasons.slice(1).filter((each) => each !== stop);
  return (
    <>
      <Box role="status" aria-label="What the wheel wants">
        <Box sx={{ fontSize: '1.3rem', fontWeight: 660 }}>
          <StateMark state={stateOf('wheels.true', verdict)} word={false} size={24} /> {words}
        </Box>
        {others.map((reason) => (
          <Box key={reason}>{reason}</Box>
        ))}
        {stop && <Box sx={{ color: stateColour('unsafe'), fontWeight: 640, mt: 0.5 }}>{stop}</Box>}
        <Figures round={truth} />
        <Working rows={working} />
      </Box>
      {turns.length > 0 && (
        <Foot flush>
          {waits && (
            <Box role="status" sx={{ px: { xs: 2, md: 0 }, py: 0.75, fontSize: '0.95rem' }}>
              {waits}
            </Box>
          )}
          <Button
            variant="contained"
            fullWidth
            disabled={waits !== null}
            sx={{ minHeight: 64, fontSize: '1.2rem', borderRadius: { xs: 0, md: '3px' } }}
            onClick={() => onBegin(turns)}
          >
            {turns.length === 1 ? 'Turn one nipple' : `Turn ${turns.length} nipples`}
          </Button>
        </Foot>
      )}
      {verdict === 'true' && (
        <Button variant="contained" sx={{ minHeight: 56, mt: 1 }} onClick={onTrued}>
          Note as trued
        </Button>
      )}
    </>
  );
}

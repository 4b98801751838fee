'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import type { LacedSpoke } from '@/core/wheels/lacing';
import { lacingInput } from '@/model/wheels/questions';
import type { Lacing as Laced, WheelEnd } from '@/model/wheels/part';
import { Foot } from '../workshop/StageAction';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Where a spoke goes and past whom, in words. */
function placeWords({ flangeHole, lies, crosses }: LacedSpoke): string {
  const elbow = lies === 'outside' ? 'from inside, elbow inside' : 'from outside, elbow outside';
  const over = crosses.map((hole) => hole + 1);
  const last = over.pop();
  const past =
    last === undefined
      ? 'straight to the rim'
      : lies === 'inside'
        ? 'to the rim; those that cross it come later'
        : over.length === 0
          ? `behind spoke ${last}`
          : `over ${over.join(' and ')}, behind ${last}`;
  return `Flange hole ${flangeHole + 1}, ${elbow}, ${past}.`;
}

/** A wheel laced spoke by spoke from the valve hole, set by set; the space bar goes on. */
export function Lacing({
  bicycle,
  send,
  end,
  lacing,
  onSpoke,
}: StageProps & {
  end: WheelEnd;
  lacing: Laced;
  /** The spoke that goes in now, for the drawing. */
  onSpoke(spoke: number | null): void;
}) {
  const { output, errors } = useReckon('wheels.lacing', lacingInput(bicycle, end));
  const key = useRef<HTMLButtonElement>(null);
  const all = output?.steps.flatMap((step) => step.spokes.map((spoke) => ({ step, spoke }))) ?? [];
  const now = all[lacing.laced] ?? null;
  const hole = now?.spoke.hole ?? null;
  const tell = useRef(onSpoke);
  useEffect(() => {
    tell.current = onSpoke;
  });
  useEffect(() => {
    tell.current(hole);
    if (hole !== null) key.current?.focus({ preventScroll: true });
  }, [hole]);
  const put = (laced: number) => send({ type: 'laceWheel', end, lacing: { ...lacing, laced } });
  const away = (
    <Button
      color="inherit"
      sx={{ minHeight: 48, px: 1 }}
      onClick={() => send({ type: 'laceWheel', end, lacing: null })}
    >
      {now ? 'Not laced after all' : 'Into the stand with it'}
    </Button>
  );
  if (errors[0])
    return (
      <Box role="alert">
        {errors[0].message}
        <Box>{away}</Box>
      </Box>
    );
  if (!output) return <p role="status">Laying the spokes out…</p>;
  if (!now)
    return (
      <Box role="status" aria-label="The lacing">
        <Box sx={{ fontSize: '1.5rem', fontWeight: 660 }}>All {all.length} are in</Box>
        <Box>Nipples to the same thread all round, then evenly up; then it is read and trued.</Box>
        {away}
      </Box>
    );
  return (
    <Box>
      <Box role="status" aria-label="The lacing">
        <Box sx={{ color: 'text.secondary' }}>
          {lacing.laced + 1} of {all.length} · {now.step.words}
        </Box>
        <Box sx={{ fontSize: '2rem', fontWeight: 680, lineHeight: 1.15, mt: 0.5 }}>
          Rim hole {now.spoke.hole + 1}, {now.spoke.side}
        </Box>
        <Box sx={{ fontSize: '1.15rem', mt: 0.5 }}>{placeWords(now.spoke)}</Box>
        <Box sx={{ color: 'text.secondary', mt: 0.5 }}>
          {now.step.hint} {output.words}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
        {lacing.laced > 0 && (
          <Button color="inherit" sx={{ minHeight: 48, px: 1 }} onClick={() => put(lacing.laced - 1)}>
            Back one
          </Button>
        )}
        {away}
      </Box>
      <Foot flush>
        <Button
          ref={key}
          variant="contained"
          fullWidth
          sx={{ minHeight: 64, fontSize: '1.25rem', borderRadius: { xs: 0, md: '3px' } }}
          onClick={() => put(lacing.laced + 1)}
        >
          It is in
        </Button>
      </Foot>
    </Box>
  );
}

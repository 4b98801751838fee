import Box from '@mui/material/Box';
import { scaleLinear } from 'd3-scale';
import { eachHourOfInterval, eachMinuteOfInterval, startOfDay, startOfHour } from 'date-fns';
import type { ReactNode } from 'react';
import { clockTime } from './format';

export interface TimeSpan {
  fromMs: number;
  toMs: number;
}

const MINUTE_MS = 60_000;
const STEPS_MIN = [5, 15, 30, 60, 120, 180, 360, 720, 1440];
const MOST_TICKS = 13;
const HEAD_PX = 24;

/** Where a moment lies on an axis, in hundredths of its width; what lies outside is at its end. */
export const timeShare = ({ fromMs, toMs }: TimeSpan) => scaleLinear([fromMs, toMs], [0, 100]).clamp(true);

/** Hours of the wall that an axis names: round ones, few enough to be read. Example: from 7 h over a day → 8, 10, 12 … */
export function axisTicks({ fromMs, toMs }: TimeSpan): number[] {
  const step = STEPS_MIN.find((minutes) => (toMs - fromMs) / (minutes * MINUTE_MS) < MOST_TICKS) ?? 1440;
  const all =
    step < 60
      ? eachMinuteOfInterval({ start: startOfHour(fromMs), end: toMs }, { step })
      : eachHourOfInterval({ start: startOfDay(fromMs), end: toMs }, { step: step / 60 });
  return all.map((at) => at.getTime()).filter((at) => at > fromMs && at < toMs);
}

const isMidnight = (at: Date) => at.getHours() === 0;

/** Time to scale, from left to right: hours of the wall, a line where a day begins, one where it is now. What lies on it is laid by `timeShare`. */
export function TimeAxis({
  span,
  nowMs,
  children,
  label,
}: {
  span: TimeSpan;
  nowMs: number;
  children: ReactNode;
  label: string;
}) {
  const x = timeShare(span);
  const ticks = axisTicks(span);
  return (
    <Box role="group" aria-label={label} sx={{ position: 'relative', pt: `${HEAD_PX}px`, overflow: 'hidden' }}>
      {ticks.map((ms, i) => {
        const at = new Date(ms);
        const day = isMidnight(at);
        return (
          <Box
            key={ms}
            aria-hidden
            sx={{
              position: 'absolute',
              left: `${x(ms)}%`,
              top: 0,
              bottom: 0,
              borderLeft: '1px solid',
              borderColor: day ? 'text.primary' : 'divider',
              pl: 0.5,
              fontSize: '0.78rem',
              whiteSpace: 'nowrap',
              fontVariantNumeric: 'tabular-nums',
              color: day ? 'text.primary' : 'text.secondary',
              fontWeight: day ? 640 : 400,
              display: { xs: day || i % 3 === 0 ? 'block' : 'none', sm: 'block' },
            }}
          >
            {x(ms) < 96 && (day ? at.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric' }) : clockTime(at))}
          </Box>
        );
      })}
      {nowMs >= span.fromMs && nowMs <= span.toMs && (
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            left: `${x(nowMs)}%`,
            top: HEAD_PX - 4,
            bottom: 0,
            borderLeft: '2px solid',
            borderColor: 'primary.main',
            zIndex: 1,
          }}
        />
      )}
      {children}
    </Box>
  );
}

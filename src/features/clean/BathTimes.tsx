import Box from '@mui/material/Box';
import { own } from '@/core/own';
import type { CleanPlan } from '@/core/clean/plan';
import { runningTimers } from '@/model/clean/timers';
import type { Bicycle } from '@/model/record';
import { clockTime, hours } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { TimeAxis, timeShare, type TimeSpan } from '@/ui/TimeAxis';

const MINUTE_MS = 60_000;
/** So much is drawn where everything is over sooner. */
const LEAST_MS = 60 * MINUTE_MS;
/** Room to the right of the last end, of the whole. */
const BEYOND = 1.06;
const ROW_PX = 46;
const FAR = 60;

interface Bar {
  key: string;
  fromMs: number;
  toMs: number;
  /** Never past this; null where longer does no harm. */
  latestMs: number | null;
  kind: 'running' | 'load' | 'hands';
  words: string;
}

const LOOK = {
  running: { bgcolor: 'transparent', border: '1.5px solid', borderColor: 'text.primary' },
  load: {
    bgcolor: 'color-mix(in srgb, var(--mui-palette-primary-main) 22%, var(--mui-palette-sheet-paper))',
    border: '1.5px solid',
    borderColor: 'primary.main',
  },
  hands: { bgcolor: 'text.primary' },
};

const hatch = `repeating-linear-gradient(135deg, ${stateColour('unsafe')} 0 2px, transparent 2px 6px)`;

/** What a bath does: what lies in it now, and what goes in after. */
function Row({ name, bars, span }: { name: string; bars: Bar[]; span: TimeSpan }) {
  const x = timeShare(span);
  return (
    <Box sx={{ position: 'relative', height: ROW_PX, borderTop: '1px solid', borderColor: 'divider' }}>
      <Box sx={{ position: 'relative', zIndex: 2, fontSize: '0.86rem', fontWeight: 640, pt: 0.25, lineHeight: 1.3 }}>
        <Box component="span" sx={{ bgcolor: 'background.default', pr: 0.75 }}>
          {name}
        </Box>
      </Box>
      {bars.map(({ key, fromMs, toMs, latestMs, kind, words }) => {
        const [from, to] = [x(fromMs), x(toMs)];
        const end = latestMs === null ? to : x(latestMs);
        const far = end > FAR;
        return (
          <Box key={key}>
            {latestMs !== null && latestMs > toMs && (
              <Box
                aria-hidden
                sx={{
                  position: 'absolute',
                  top: 25,
                  height: 12,
                  left: `${to}%`,
                  width: `${end - to}%`,
                  background: hatch,
                }}
              />
            )}
            <Box
              aria-hidden
              sx={{
                position: 'absolute',
                top: 22,
                height: 18,
                left: `${from}%`,
                width: `max(4px, ${to - from}%)`,
                borderRadius: '2px',
                ...LOOK[kind],
              }}
            />
            <Box
              sx={{
                position: 'absolute',
                // Far to the right there is no room beside a bar: its words stand over its end.
                top: far ? 2 : 21,
                ...(far ? { right: `${100 - end}%` } : { left: `calc(${end}% + 6px)` }),
                px: 0.5,
                fontSize: '0.86rem',
                lineHeight: '19px',
                whiteSpace: 'nowrap',
                fontVariantNumeric: 'tabular-nums',
                bgcolor: 'background.default',
                zIndex: 2,
              }}
            >
              {words}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** Baths over time, to scale: what lies in one since when and until when, how long it may, what goes in next, and what the hands do meanwhile. */
export function BathTimes({
  bicycle,
  plan,
  labels,
  now,
}: {
  bicycle: Bicycle;
  plan: CleanPlan | null;
  labels: Record<string, string>;
  now: Date;
}) {
  const nowMs = now.getTime();
  const at = (minute: number) => nowMs + minute * MINUTE_MS;
  const bars = new Map<string, Bar[]>();
  const lay = (bath: string, bar: Bar) => bars.set(bath, [...(bars.get(bath) ?? []), bar]);
  for (const { timer, dueAtMs } of runningTimers(bicycle)) {
    const startedMs = Date.parse(timer.startedAt);
    lay(timer.bath ?? timer.label, {
      key: timer.id,
      fromMs: startedMs,
      toMs: dueAtMs,
      latestMs: timer.maxMinutes === null ? null : startedMs + timer.maxMinutes * MINUTE_MS,
      kind: 'running',
      words: dueAtMs <= nowMs ? 'time is up' : `out at ${clockTime(new Date(dueAtMs))}`,
    });
  }
  for (const load of plan?.loads ?? [])
    lay(load.bathId, {
      key: load.partIds.join(),
      fromMs: at(load.startMinute),
      toMs: at(load.startMinute + load.minutes),
      latestMs: null,
      kind: 'load',
      words: `${load.partIds.length === 1 ? 'one part' : `${load.partIds.length} parts`}, ${hours(load.minutes)}`,
    });
  const hands = plan?.totals.handsMinutes ?? 0;
  if (hands > 0)
    lay('By hand', {
      key: 'hands',
      fromMs: nowMs,
      toMs: at(hands),
      latestMs: null,
      kind: 'hands',
      words: hours(hands),
    });
  const all = [...bars.values()].flat();
  if (all.length === 0) return null;
  const fromMs = Math.min(nowMs, ...all.map((bar) => bar.fromMs));
  const last = Math.max(...all.map((bar) => bar.latestMs ?? bar.toMs), nowMs + LEAST_MS);
  const span = { fromMs, toMs: fromMs + (last - fromMs) * BEYOND };
  return (
    <TimeAxis span={span} nowMs={nowMs} label="Baths over time">
      <Box>
        {[...bars].map(([bath, laid]) => (
          <Row key={bath} name={own(labels, bath) ?? bath} bars={laid} span={span} />
        ))}
      </Box>
    </TimeAxis>
  );
}

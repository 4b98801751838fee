import { own } from '@/core/own';
import { scaleSqrt } from 'd3-scale';
import Box from '@mui/material/Box';
import type { CleanPlan } from '@/core/clean/plan';
import { clockTime, hours } from '@/ui/format';

const WIDTH = 720;
const LEFT = 118;
const ROW = 34;
const TICKS_MIN = [0, 15, 60, 120, 240, 480, 720];

/** Loads and waits of the wash as a strip in time, a row a bath; what the hands do stands apart. Long waits are drawn together. */
export function WashStrip({
  plan,
  labels,
  now,
  byHandMinutes,
  running,
}: {
  plan: CleanPlan;
  labels: Record<string, string>;
  now: Date;
  byHandMinutes: number;
  /** What is in a bath now, and how long it still takes. */
  running: { bathId: string; minutesLeft: number }[];
}) {
  const last = Math.max(30, plan.totals.untilLastOutMinutes, byHandMinutes, ...running.map((each) => each.minutesLeft));
  const x = scaleSqrt([0, last], [LEFT, WIDTH - 10]);
  const baths = [...new Set([...running, ...plan.loads].map((each) => each.bathId))];
  const rows = baths.length + (byHandMinutes > 0 ? 1 : 0);
  const height = rows * ROW + 30;
  const told = plan.loads
    .map(
      (load) =>
        `${labels[load.bathId]}: ${load.partIds.length} parts, ${hours(load.minutes)} from ${hours(load.startMinute)}`,
    )
    .join('; ');
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label="The wash in time">
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        style={{ display: 'block', width: '100%', minWidth: 460 }}
        role="img"
        aria-label={told}
      >
        {TICKS_MIN.filter((tick) => tick <= last).map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)},4V${rows * ROW + 6}`} stroke="var(--mui-palette-divider)" />
            <text
              x={x(tick)}
              y={height - 6}
              fontSize={12}
              textAnchor={tick === 0 ? 'start' : 'middle'}
              fill="var(--mui-palette-text-secondary)"
            >
              {tick === 0 ? clockTime(now) : `+${hours(tick)}`}
            </text>
          </g>
        ))}
        {baths.map((bath, i) => (
          <g key={bath} transform={`translate(0 ${i * ROW + 4})`}>
            <text x={0} y={20} fontSize={13} fill="var(--mui-palette-text-primary)">
              {(own(labels, bath) ?? bath).slice(0, 17)}
            </text>
            {running
              .filter((each) => each.bathId === bath)
              .map((each) => (
                <g key={`running ${each.minutesLeft}`}>
                  <rect
                    x={x(0)}
                    y={4}
                    width={Math.max(3, x(each.minutesLeft) - x(0) - 2)}
                    height={22}
                    rx={2}
                    fill="none"
                    stroke="var(--mui-palette-text-primary)"
                    strokeDasharray="4 3"
                  />
                  <text x={x(0) + 6} y={20} fontSize={12.5} fontWeight={640} fill="var(--mui-palette-text-primary)">
                    in it now, {hours(each.minutesLeft)} left
                  </text>
                </g>
              ))}
            {plan.loads
              .filter((load) => load.bathId === bath)
              .map((load) => {
                const from = x(load.startMinute);
                const to = x(load.startMinute + load.minutes);
                const words = `${load.partIds.length} · ${hours(load.minutes)}`;
                const inside = to - from > words.length * 7.2;
                return (
                  <g key={load.partIds.join()}>
                    <rect
                      x={from}
                      y={4}
                      width={Math.max(3, to - from - 2)}
                      height={22}
                      rx={2}
                      fill="color-mix(in srgb, var(--mui-palette-primary-main) 22%, var(--mui-palette-sheet-paper))"
                      stroke="var(--mui-palette-primary-main)"
                    />
                    <text
                      x={inside ? (from + to) / 2 - 1 : to + 4}
                      y={20}
                      textAnchor={inside ? 'middle' : 'start'}
                      fontSize={12.5}
                      fontWeight={640}
                      fill="var(--mui-palette-text-primary)"
                    >
                      {words}
                    </text>
                  </g>
                );
              })}
          </g>
        ))}
        {byHandMinutes > 0 && (
          <g transform={`translate(0 ${baths.length * ROW + 4})`}>
            <text x={0} y={20} fontSize={13} fill="var(--mui-palette-text-primary)">
              By hand
            </text>
            <rect x={x(0)} y={8} width={x(byHandMinutes) - x(0)} height={14} fill="var(--mui-palette-text-primary)" />
            <text
              x={x(byHandMinutes) + 5}
              y={20}
              fontSize={12.5}
              fontWeight={640}
              fill="var(--mui-palette-text-primary)"
            >
              {hours(byHandMinutes)}
            </text>
          </g>
        )}
      </svg>
    </Box>
  );
}

'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleLog } from 'd3-scale';
import type { BooksRow } from '@/model/books/books';
import type { WorkKind } from '@/core/money/workKinds';

const ROW = 40;
const PAD = { left: 118, right: 16, top: 26, bottom: 8 };
const ACCENT = 'var(--mui-palette-primary-main)';

/** Each job as a dot, how many times its estimate it took, a line a kind of work; the bar is what the next four in five take. */
export function TimesChart({
  rows,
  minutes,
}: {
  rows: readonly BooksRow[];
  minutes: readonly { job: string; factor: number; predict: { p10: number; p90: number } }[];
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 360 : 930;
  const jobs = rows.flatMap((row) =>
    row.jobs.map((job) => ({ kind: job.kind, times: job.actualMin / job.estimateMin.likely })),
  );
  const most = Math.max(4, ...jobs.map(({ times }) => times));
  const x = scaleLog([Math.min(0.25, ...jobs.map(({ times }) => times)), most], [PAD.left, W - PAD.right]);
  const H = PAD.top + minutes.length * ROW + PAD.bottom;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`How long jobs took against the estimate: ${minutes.map(({ job, factor }) => `${job} ${factor.toFixed(1)} times`).join(', ')}`}
      style={{ width: '100%', maxWidth: W, display: 'block' }}
    >
      {[0.5, 1, 2, 4].map((tick) => (
        <g key={tick}>
          <path
            d={`M${x(tick)},${PAD.top - 6}V${H - PAD.bottom}`}
            stroke={tick === 1 ? 'currentColor' : 'var(--mui-palette-divider)'}
            strokeWidth={tick === 1 ? 1.75 : 1}
          />
          <text x={x(tick)} y={14} textAnchor="middle" fontSize={12.5} fill="var(--mui-palette-text-secondary)">
            {tick === 1 ? 'as estimated' : `${tick} ×`}
          </text>
        </g>
      ))}
      {minutes.map(({ job, factor, predict }, i) => {
        const y = PAD.top + (i + 0.5) * ROW;
        const within = (value: number) => Math.max(PAD.left, Math.min(W - PAD.right, x(value)));
        return (
          <g key={job}>
            <text x={0} y={y + 5} fontSize={15} fontWeight={620} fill="currentColor">
              {job}
            </text>
            <path
              d={`M${within(predict.p10)},${y}H${within(predict.p90)}`}
              stroke={ACCENT}
              strokeOpacity={0.3}
              strokeWidth={14}
            />
            {jobs
              .filter(({ kind }) => kind === (job as WorkKind))
              .map(({ times }, at) => (
                <circle key={at} cx={x(times)} cy={y} r={4.5} fill="currentColor" fillOpacity={0.65} />
              ))}
            <path d={`M${x(factor)},${y - 12}V${y + 12}`} stroke={ACCENT} strokeWidth={3} />
          </g>
        );
      })}
    </svg>
  );
}

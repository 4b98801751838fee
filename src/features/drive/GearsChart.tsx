'use client';
import Box from '@mui/material/Box';
import { scaleLog } from 'd3-scale';
import type { Gears } from '@/core/drive/gears';
import { useWidth } from '@/ui/useWidth';

const ROW = 46;
const PAD = { left: 52, right: 16, top: 8, bottom: 34 };
const TICKS = [1, 1.5, 2, 3, 4, 5, 6, 7, 8, 10, 12];

interface Row {
  key: string;
  ring: number;
  isOther: boolean;
  gears: Gears['gears'];
}

/** A row for each ring, largest first; those of the other drive below. */
function rowsOf(gears: Gears, other: Gears | null): Row[] {
  const of = (all: Gears, isOther: boolean) =>
    [...new Set(all.gears.map(({ ring }) => ring))]
      .toSorted((a, b) => b - a)
      .map((ring) => ({
        key: `${isOther} ${ring}`,
        ring,
        isOther,
        gears: all.gears.filter((gear) => gear.ring === ring),
      }));
  return [...of(gears, false), ...(other ? of(other, true) : [])];
}

/** Gears as metres a turn of the cranks, on an axis on which equal jumps are equally wide; one that is there twice is hollow. */
export function GearsChart({ gears, other }: { gears: Gears; other: Gears | null }) {
  const { ref, width: measured } = useWidth<HTMLDivElement>();
  const width = measured || 600;
  const rows = rowsOf(gears, other);
  const all = rows.flatMap((row) => row.gears.map(({ developmentM }) => developmentM));
  const x = scaleLog([Math.min(...all) * 0.94, Math.max(...all) * 1.06], [PAD.left, width - PAD.right]);
  const height = PAD.top + rows.length * ROW + PAD.bottom;
  const within = TICKS.filter((at) => at >= x.domain()[0]! && at <= x.domain()[1]!);
  // Labels that would run into one another are left out.
  const ticks = within.filter((at, i) => i === 0 || x(at) - x(within[i - 1]!) > 34);
  // Of a gear hub on one cog its own ratios tell the gears apart.
  const isByHub = new Set(gears.gears.map(({ hub }) => hub)).size > 1;
  const twice = new Set(gears.doubles.map(([, high]) => `${high.ring}/${high.cog}/${high.hub}`));
  const [low, high] = [gears.gears[0]!, gears.gears.at(-1)!];
  return (
    <Box ref={ref} sx={{ width: '100%' }}>
      <svg
        width="100%"
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${gears.gears.length} gears from ${low.developmentM.toFixed(2)} to ${high.developmentM.toFixed(2)} m a turn`}
        style={{ fontVariantNumeric: 'tabular-nums', display: 'block' }}
      >
        {ticks.map((at) => (
          <g key={at} transform={`translate(${x(at)} 0)`}>
            <line y1={PAD.top} y2={height - PAD.bottom} stroke="currentColor" strokeOpacity={0.16} />
            <text y={height - PAD.bottom + 18} textAnchor="middle" fontSize={13} fill="currentColor" opacity={0.75}>
              {at} m
            </text>
          </g>
        ))}
        {rows.map(({ key, ring, isOther, gears: here }, i) => (
          <g
            key={key}
            transform={`translate(0 ${PAD.top + i * ROW})`}
            color={isOther ? 'var(--mui-palette-primary-main)' : undefined}
          >
            <text x={0} y={32} fontSize={17} fontWeight={660} fill="currentColor">
              {ring}
            </text>
            <line
              x1={x(here[0]!.developmentM)}
              x2={x(here.at(-1)!.developmentM)}
              y1={27}
              y2={27}
              stroke="currentColor"
              strokeWidth={1.25}
              strokeDasharray={isOther ? '5 4' : undefined}
            />
            {here.map((gear, k) => {
              const isTwice = !isOther && twice.has(`${gear.ring}/${gear.cog}/${gear.hub}`);
              const at = x(gear.developmentM);
              const isClose = k > 0 && at - x(here[k - 1]!.developmentM) < 18;
              return (
                <g key={`${gear.cog} ${gear.hub}`} transform={`translate(${at} 0)`}>
                  <circle
                    cy={27}
                    r={5}
                    fill={isTwice ? 'var(--mui-palette-background-default)' : 'currentColor'}
                    stroke="currentColor"
                    strokeWidth={1.75}
                  />
                  {!isClose && (
                    <text y={15} textAnchor="middle" fontSize={12.5} fill="currentColor">
                      {isByHub ? gear.hub : gear.cog}
                    </text>
                  )}
                </g>
              );
            })}
          </g>
        ))}
      </svg>
    </Box>
  );
}

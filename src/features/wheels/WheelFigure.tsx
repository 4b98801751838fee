'use client';
import Box from '@mui/material/Box';
import type { WheelReading } from '@/model/wheels/part';

const SIZE = 420;
const MIDDLE = SIZE / 2;
const RIM = 158;
const HUB = 22;

const at = (spoke: number, count: number, radius: number) => {
  const angle = (2 * Math.PI * spoke) / count - Math.PI / 2;
  return { x: MIDDLE + radius * Math.cos(angle), y: MIDDLE + radius * Math.sin(angle) };
};

/** How many times a deviation is drawn larger, so that the largest is well seen. */
export function scaleOf(offMm: readonly number[]): number {
  const most = Math.max(0.3, ...offMm.map(Math.abs));
  return [100, 80, 60, 40, 30, 20, 10, 5, 2].find((times) => times * most <= 34) ?? 1;
}

/** How far each spoke that was read swings to either side: the gauge’s nought is anywhere. */
function swingOf(lateralMm: readonly (number | null)[]): { spoke: number; offMm: number }[] {
  const known = [...lateralMm.keys()].filter((i) => lateralMm[i] !== null);
  const read = known.map((i) => lateralMm[i]!);
  const middle = read.length === 0 ? 0 : (Math.max(...read) + Math.min(...read)) / 2;
  return known.map((spoke) => ({ spoke, offMm: lateralMm[spoke]! - middle }));
}

/**
 * The wheel as it lies in the stand, the valve at the top: its rim with how it swings, magnified, left outwards; its spokes by side, thicker
 * where they are tighter; those of the round numbered in walking order, the next in the accent.
 */
export function WheelFigure({
  spokes,
  mirrored,
  reading,
  before,
  order,
  next,
  chosen,
  onChoose,
}: {
  spokes: number;
  mirrored: boolean;
  reading: WheelReading | null;
  /** As it swung before the round, thin beneath. */
  before: WheelReading | null;
  /** Spokes of the round, in walking order. */
  order: readonly number[];
  next: number | null;
  chosen: number | null;
  onChoose?(spoke: number): void;
}) {
  const isLeft = (i: number) => (i % 2 === 0) !== mirrored;
  const now = reading ? swingOf(reading.lateralMm) : [];
  const then = before ? swingOf(before.lateralMm) : [];
  const scale = scaleOf([...now, ...then].map(({ offMm }) => offMm));
  const tensions = (reading?.tensionN ?? []).filter((each) => each !== null);
  const mean = tensions.length === 0 ? null : tensions.reduce((a, b) => a + b, 0) / tensions.length;
  const wide = (i: number) => {
    const here = reading?.tensionN?.[i];
    return mean === null || here == null ? 1.4 : Math.max(0.6, Math.min(3.4, 1.6 * (here / mean)));
  };
  const drawn = (of: ReturnType<typeof swingOf>) =>
    of.map(({ spoke, offMm }) => at(spoke, spokes, RIM + offMm * scale));
  const swing = drawn(now);
  const was = drawn(then);
  const line = (of: { x: number; y: number }[]) => of.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
  const valve = at(-0.5, spokes, RIM + 24);
  return (
    <Box sx={{ maxWidth: 440 }}>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width="100%"
        role="img"
        aria-label={`The wheel from its right side, ${spokes} spokes, the valve at the top${reading ? `, how it swings drawn ${scale} times` : ''}`}
        style={{ display: 'block' }}
      >
        {Array.from({ length: spokes }, (_, i) => {
          const [from, to] = [at(i + (isLeft(i) ? 2.4 : -2.4), spokes, HUB), at(i, spokes, RIM)];
          const isNext = i === next;
          return (
            <line
              key={i}
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke={isNext ? 'var(--mui-palette-primary-main)' : 'currentColor'}
              strokeOpacity={isNext ? 1 : isLeft(i) ? 0.8 : 0.4}
              strokeWidth={isNext ? 4 : wide(i)}
            />
          );
        })}
        <circle cx={MIDDLE} cy={MIDDLE} r={HUB} fill="none" stroke="currentColor" strokeWidth={1.75} />
        <circle
          cx={MIDDLE}
          cy={MIDDLE}
          r={RIM}
          fill="none"
          stroke="currentColor"
          strokeWidth={1}
          strokeDasharray="3 4"
        />
        {was.length > 2 && (
          <polygon points={line(was)} fill="none" stroke="currentColor" strokeWidth={1.25} strokeDasharray="6 4" />
        )}
        {swing.length > 2 && (
          <polygon points={line(swing)} fill="none" stroke="currentColor" strokeWidth={2.5} strokeLinejoin="round" />
        )}
        {swing.length <= 2 &&
          swing.map(({ x, y }) => <circle key={`${x} ${y}`} cx={x} cy={y} r={4} fill="currentColor" />)}
        <line
          x1={at(-0.5, spokes, RIM).x}
          y1={at(-0.5, spokes, RIM).y}
          x2={valve.x}
          y2={valve.y}
          stroke="currentColor"
          strokeWidth={3}
        />
        {order.map((spoke, i) => {
          const { x, y } = at(spoke, spokes, RIM - 26);
          const isNext = spoke === next;
          return (
            <g key={spoke}>
              <circle
                cx={x}
                cy={y}
                r={11}
                fill={isNext ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-background-default)'}
                stroke={isNext ? 'var(--mui-palette-primary-main)' : 'currentColor'}
                strokeWidth={1.5}
              />
              <text
                x={x}
                y={y + 4.5}
                textAnchor="middle"
                fontSize={13}
                fontWeight={680}
                fill={isNext ? 'var(--mui-palette-primary-contrastText)' : 'currentColor'}
              >
                {i + 1}
              </text>
            </g>
          );
        })}
        {onChoose &&
          Array.from({ length: spokes }, (_, i) => {
            const { x, y } = at(i, spokes, RIM + 14);
            return (
              <g key={i}>
                {chosen === i && (
                  <circle cx={x} cy={y} r={9} fill="none" stroke="var(--mui-palette-primary-main)" strokeWidth={3} />
                )}
                {/* A list of spokes says the same by keys. */}
                <circle
                  cx={x}
                  cy={y}
                  r={15}
                  fill="transparent"
                  style={{ cursor: 'pointer' }}
                  onClick={() => onChoose(i)}
                />
              </g>
            );
          })}
      </svg>
      <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
        Seen from the right, the valve at the top; left spokes dark, right ones pale.
        {before && ' Before the round: broken.'}
        {reading && ` How the rim swings is drawn ${scale} times, left outwards.`}
      </Box>
    </Box>
  );
}

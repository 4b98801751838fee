'use client';
import Box from '@mui/material/Box';
import { lacingInput, marked } from '@/model/wheels/questions';
import type { Bicycle } from '@/model/record';
import type { WheelEnd, WheelReading } from '@/model/wheels/part';
import { useReckon } from '../workshop/useReckon';
import type { WheelNow } from './useWheel';

const SIZE = 440;
const MIDDLE = SIZE / 2;
const RIM = 164;
const HUB = 30;
const ACCENT = 'var(--mui-palette-primary-main)';
const PAPER = 'var(--mui-palette-background-default)';

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
function swingOf(reading: WheelReading | null): { spoke: number; offMm: number }[] {
  const list = reading?.lateralMm ?? [];
  const known = [...list.keys()].filter((i) => list[i] !== null);
  const read = known.map((i) => list[i]!);
  const middle = read.length === 0 ? 0 : (Math.max(...read) + Math.min(...read)) / 2;
  return known.map((spoke) => ({ spoke, offMm: list[spoke]! - middle }));
}

/** The ring through what was read, straight between the readings as it goes round. */
function ringThrough(known: { spoke: number; offMm: number }[], spokes: number): { spoke: number; offMm: number }[] {
  if (known.length < 3 || known.length === spokes) return known;
  return Array.from({ length: spokes }, (_, spoke) => {
    const before = known.findLast((each) => each.spoke <= spoke) ?? {
      ...known.at(-1)!,
      spoke: known.at(-1)!.spoke - spokes,
    };
    const after = known.find((each) => each.spoke > spoke) ?? { ...known[0]!, spoke: known[0]!.spoke + spokes };
    const share = (spoke - before.spoke) / (after.spoke - before.spoke);
    return { spoke, offMm: before.offMm + share * (after.offMm - before.offMm) };
  });
}

/** A spoke is drawn as thick as it is tight, of its side; pale where it is slack. */
function strokeOf(share: number | null | undefined): { width: number; opacity: number } {
  if (share == null) return { width: 1.5, opacity: 0.75 };
  return { width: Math.max(0.7, Math.min(4, 2 * share ** 1.5)), opacity: Math.max(0.35, Math.min(1, share * 0.8)) };
}

/**
 * The wheel as it lies in the stand, the valve at the top: its rim with how it swings, magnified, left outwards; its spokes by side, thicker
 * where they are tighter; those of the round numbered in walking order, what is at hand in the accent. Being laced, it has the spokes
 * that are in.
 */
export function WheelFigure({
  bicycle,
  end,
  wheel: { build, last, before, round, truth },
  atHand,
  onTap,
}: {
  bicycle: Bicycle;
  end: WheelEnd;
  wheel: WheelNow;
  atHand: number | null;
  onTap?(spoke: number): void;
}) {
  const lacing = build ? (bicycle.lacings[end] ?? null) : null;
  const { output: laced } = useReckon('wheels.lacing', lacing && lacingInput(bicycle, end));
  if (!build) return null;
  const { spokes, mirrored } = build;
  const inNow =
    lacing && laced
      ? new Set(
          laced.steps
            .flatMap((step) => step.spokes)
            .slice(0, lacing.laced)
            .map(({ hole }) => hole),
        )
      : null;
  const isLeft = (i: number) => (i % 2 === 0) !== mirrored;
  const was = round ? null : before;
  const [now, then] = [swingOf(last), swingOf(was)];
  const scale = scaleOf([...now, ...then].map(({ offMm }) => offMm));
  const shares = truth?.tension?.shares ?? [];
  const order = (round?.turns ?? truth?.turns ?? []).map(({ spoke }) => spoke);
  const turned = new Set(round?.turns.filter(({ made }) => made).map(({ spoke }) => spoke));
  const bad = new Set(marked(bicycle, end, spokes, 'stuck', 'rounded'));
  const loose = new Set(marked(bicycle, end, spokes, 'loose'));
  const drawn = (of: typeof now) => of.map(({ spoke, offMm }) => at(spoke, spokes, RIM + offMm * scale));
  const line = (of: { x: number; y: number }[]) => of.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
  const [swing, older] = [drawn(ringThrough(now, spokes)), drawn(ringThrough(then, spokes))];
  const anchor = (i: number) => {
    const way = Math.floor(i / 2) % 2 === 0 ? 1 : -1;
    return at(i + way * 2 * build.crossings, spokes, HUB - (isLeft(i) ? 0 : 6));
  };
  const told = [
    `The wheel from its right side, ${spokes} spokes, the valve at the top`,
    last && `how it swings drawn ${scale} times`,
    inNow && `${inNow.size} spokes are in`,
    atHand !== null && `spoke ${atHand + 1} at hand`,
  ];
  return (
    <Box
      component="figure"
      sx={{ m: 0, maxWidth: { xs: 420, md: 'min(520px, calc(100vh - 372px))' }, minWidth: 300, mx: 'auto' }}
    >
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width="100%"
        role="img"
        aria-label={told.filter(Boolean).join(', ')}
        style={{ display: 'block' }}
      >
        {Array.from({ length: spokes }, (_, i) => {
          const [from, to] = [anchor(i), at(i, spokes, RIM)];
          const { width, opacity } = strokeOf(shares[i]);
          const isOut = inNow !== null && !inNow.has(i);
          return (
            <line
              key={i}
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke={i === atHand ? ACCENT : 'currentColor'}
              strokeOpacity={i === atHand ? 1 : isOut ? 0.12 : opacity}
              strokeWidth={i === atHand ? 4 : width}
              strokeDasharray={isLeft(i) ? undefined : '9 2.5'}
            />
          );
        })}
        {[HUB, HUB - 6].map((r) => (
          <circle key={r} cx={MIDDLE} cy={MIDDLE} r={r} fill="none" stroke="currentColor" strokeWidth={1.25} />
        ))}
        <circle cx={MIDDLE} cy={MIDDLE} r={8} fill={PAPER} stroke="currentColor" strokeWidth={1.75} />
        <circle
          cx={MIDDLE}
          cy={MIDDLE}
          r={RIM}
          fill="none"
          stroke="currentColor"
          strokeWidth={now.length > 2 ? 1 : 2.5}
          strokeDasharray={now.length > 2 ? '3 4' : undefined}
        />
        {older.length > 2 && (
          <polygon points={line(older)} fill="none" stroke="currentColor" strokeWidth={1.25} strokeDasharray="6 4" />
        )}
        {swing.length > 2 && (
          <polygon points={line(swing)} fill="none" stroke="currentColor" strokeWidth={2.5} strokeLinejoin="round" />
        )}
        {now.length < spokes &&
          drawn(now).map(({ x, y }) => <circle key={`${x} ${y}`} cx={x} cy={y} r={4} fill="currentColor" />)}
        <path
          d={`M${at(-0.5, spokes, RIM - 4).x},${at(-0.5, spokes, RIM - 4).y}L${at(-0.5, spokes, RIM + 26).x},${at(-0.5, spokes, RIM + 26).y}`}
          stroke="currentColor"
          strokeWidth={4}
        />
        {[...bad, ...loose].map((spoke) => {
          const { x, y } = at(spoke, spokes, RIM - 50);
          return (
            <text key={spoke} x={x} y={y + 5} textAnchor="middle" fontSize={15} fontWeight={700} fill="currentColor">
              {bad.has(spoke) ? '✕' : '~'}
            </text>
          );
        })}
        {order.map((spoke, i) => {
          const { x, y } = at(spoke, spokes, RIM - 26);
          const isHere = spoke === atHand;
          const isDone = turned.has(spoke);
          return (
            <g key={spoke} opacity={isDone && !isHere ? 0.45 : 1}>
              <circle
                cx={x}
                cy={y}
                r={isHere ? 14 : 11}
                fill={isHere ? ACCENT : PAPER}
                stroke={isHere ? ACCENT : 'currentColor'}
                strokeWidth={1.5}
              />
              <text
                x={x}
                y={y + 4.5}
                textAnchor="middle"
                fontSize={isHere ? 15 : 13}
                fontWeight={680}
                fill={isHere ? 'var(--mui-palette-primary-contrastText)' : 'currentColor'}
              >
                {isDone ? '✓' : i + 1}
              </text>
            </g>
          );
        })}
        {onTap &&
          Array.from({ length: spokes }, (_, i) => {
            const { x, y } = at(i, spokes, RIM + 14);
            return (
              <g key={i}>
                {atHand === i && <circle cx={x} cy={y} r={9} fill="none" stroke={ACCENT} strokeWidth={3} />}
                {/* A list of spokes says the same by keys. */}
                <circle
                  data-spoke={i + 1}
                  cx={x}
                  cy={y}
                  r={15}
                  fill="transparent"
                  style={{ cursor: 'pointer' }}
                  onClick={() => onTap(i)}
                />
              </g>
            );
          })}
      </svg>
      <Box component="figcaption" sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
        From the right, the valve at the top; left spokes whole, right ones broken.
        {last && ` The rim’s swing ${scale} times, left outwards.`}
        {was && ' Before the round: dashed.'}
        {truth?.tension && ' Tight spokes thick, slack ones thin, of their side.'}
        {bad.size > 0 && ' ✕ does not turn.'}
        {loose.size > 0 && ' ~ turned by finger.'}
      </Box>
    </Box>
  );
}

'use client';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useId, useMemo } from 'react';
import { bearingSection, type SectionInput, type SectionShape } from '@/core/bearings/section';
import { ballRowLabel } from '@/core/strip/tray';

const LINE = 'var(--mui-palette-sheet-line)';
const FAINT = 'var(--mui-palette-sheet-faint)';
const PAPER = 'var(--mui-palette-sheet-paper)';
const ACCENT = 'var(--mui-palette-primary-main)';

type Track = 'bright' | 'dull' | 'pitted';

/** Marks along a track that is not bright: strokes for dull, dots for pits; shape tells, not colour alone. */
function dashOf(state: Track | undefined, scale: number): { dash?: string; width: number; colour: string } {
  if (state === 'pitted')
    return { dash: `${0.1 * scale} ${7 * scale}`, width: 6 * scale, colour: 'var(--mui-palette-state-replace)' };
  if (state === 'dull')
    return { dash: `${5 * scale} ${4 * scale}`, width: 2.6 * scale, colour: 'var(--mui-palette-state-service)' };
  return { width: 1.4 * scale, colour: LINE };
}

/**
 * The bearing at hand, cut along its axle and each row seen along it, to scale from its numbers: balls fill as they are
 * counted in, tracks show what was seen, the play and the way left for the cone stand beside them.
 */
export function SectionDrawing({
  input,
  tracks,
  names,
  play,
  way,
  title,
  onTrack,
}: {
  input: SectionInput;
  tracks: Record<string, Track>;
  names: { cup: string; cone: string };
  /** Play at the bearing, in words; empty where there is none. */
  play: string;
  /** How far the cone may still go, in words. */
  way: string;
  title: string;
  onTrack?(track: string): void;
}) {
  const hatch = useId();
  const stacked = useMediaQuery('(max-width: 600px)');
  const drawn = useMemo(() => bearingSection({ ...input, stacked }), [input, stacked]);
  const { widthMm, heightMm, shapes, faces, spots } = drawn;
  // Text and lines keep their size on the screen, whichever side of the sheet binds.
  const scale = stacked
    ? Math.max(widthMm / 380, heightMm / 460)
    : Math.max(widthMm / 640, heightMm / (input.upright ? 420 : 290));
  const stateOf = ({ row, part }: SectionShape) =>
    row && (part === 'cup' || part === 'cone') ? tracks[`${row}.${part}`] : undefined;
  const fillOf = (part: SectionShape['part']) =>
    part === 'balls' ? PAPER : part === 'axle' || part === 'seal' ? PAPER : `url(#${hatch})`;
  const words = [
    title,
    ...input.rows.map(
      ({ id, in: put, holds }) => `${ballRowLabel(id)}: ${holds === null ? `${put} in` : `${put} of ${holds} in`}`,
    ),
    ...Object.entries(tracks).map(([track, state]) => `${track.replace('.', ' ')} ${state}`),
    play,
    way,
  ].filter(Boolean);
  const last = input.rows.at(-1);
  const lastSpot = last && spots[last.id];
  return (
    <Box component="figure" sx={{ m: 0, mb: 2 }}>
      <svg
        viewBox={`0 0 ${widthMm} ${heightMm + (faces.length > 0 ? 18 * scale : 0)}`}
        role="img"
        aria-label={words.join('. ')}
        style={{
          width: '100%',
          maxHeight: stacked ? (faces.length > 0 ? 460 : 300) : input.upright ? 420 : 290,
          display: 'block',
        }}
      >
        <defs>
          <pattern
            id={hatch}
            width={6 * scale}
            height={6 * scale}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={6 * scale} height={6 * scale} fill={PAPER} />
            <path d={`M0 0V${6 * scale}`} stroke={FAINT} strokeWidth={1.2 * scale} />
          </pattern>
        </defs>
        {shapes.map((shape, i) => {
          const mark = dashOf(stateOf(shape), scale);
          const pointed = onTrack && shape.row && (shape.part === 'cup' || shape.part === 'cone');
          return (
            <path
              key={i}
              d={shape.d}
              fill={fillOf(shape.part)}
              stroke={mark.colour}
              strokeWidth={mark.width}
              strokeDasharray={mark.dash}
              strokeLinecap="round"
              strokeLinejoin="round"
              style={pointed ? { cursor: 'pointer' } : undefined}
              onClick={pointed ? () => onTrack(`${shape.row}.${shape.part}`) : undefined}
            >
              {pointed && (
                <title>{`${names[shape.part as 'cup' | 'cone']}, ${ballRowLabel(shape.row!).toLowerCase()}`}</title>
              )}
            </path>
          );
        })}
        {faces.map((face) => (
          <g key={face.row}>
            <circle
              cx={face.x}
              cy={face.y}
              r={face.circleR + face.ballR}
              fill="none"
              stroke={FAINT}
              strokeWidth={1.2 * scale}
            />
            <circle
              cx={face.x}
              cy={face.y}
              r={face.circleR - face.ballR}
              fill="none"
              stroke={FAINT}
              strokeWidth={1.2 * scale}
            />
            {face.slots.map(({ x, y, filled }, i) => (
              <circle
                key={i}
                cx={x}
                cy={y}
                r={face.ballR * 0.96}
                fill={filled ? ACCENT : 'none'}
                stroke={filled ? ACCENT : FAINT}
                strokeWidth={1.4 * scale}
                strokeDasharray={filled ? undefined : `${3 * scale} ${3 * scale}`}
              />
            ))}
            <text
              x={face.x}
              y={face.y + 7 * scale}
              textAnchor="middle"
              fontSize={22 * scale}
              fontWeight="660"
              fill="var(--mui-palette-text-primary)"
            >
              {input.rows.find((row) => row.id === face.row)!.in}
              <tspan fontSize={14 * scale} fontWeight="400">
                {' '}
                of {input.rows.find((row) => row.id === face.row)!.holds ?? '?'}
              </tspan>
            </text>
            <text
              x={face.x}
              y={face.y + face.circleR + face.ballR + 20 * scale}
              textAnchor="middle"
              fontSize={14 * scale}
              fill="var(--mui-palette-text-secondary)"
            >
              {ballRowLabel(face.row)}
            </text>
          </g>
        ))}
        {lastSpot && way && (
          <path
            d={`M${lastSpot.x + lastSpot.outward.x * 14} ${lastSpot.y + lastSpot.outward.y * 14}l${-lastSpot.outward.x * 8} ${-lastSpot.outward.y * 8}`}
            stroke={ACCENT}
            strokeWidth={3 * scale}
            strokeLinecap="round"
          />
        )}
      </svg>
      {(play || way) && (
        <Box component="figcaption" sx={{ fontSize: '0.95rem', display: 'flex', gap: 2.5, flexWrap: 'wrap' }}>
          {play && <span>{play}</span>}
          {way && <span>{way}</span>}
        </Box>
      )}
    </Box>
  );
}

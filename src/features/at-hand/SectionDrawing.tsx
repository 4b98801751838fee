'use client';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useId, useMemo } from 'react';
import { bearingSection } from '@/core/bearings/section';
import { fitSection } from '@/core/bearings/sectionLabels';
import type { BearingSection, RowFace, SectionInput, SectionRow, SectionShape } from '@/core/bearings/sectionTypes';
import { ballRowLabel } from '@/core/strip/tray';
import { useWidth } from '@/ui/useWidth';
import { ACCENT, FAINT, LINE, PAPER, penOf, WORDS, type DrawnStates } from './pen';

/** Below this the rows seen along the axle stand under the section. */
const STACKED_BELOW_PX = { across: 600, upright: 440 } as const;

/** Drawn lower than this it has no names. */
const LEAST_NAMED_PX = 130;

type Track = 'bright' | 'dull' | 'pitted';

/** Marks along a track that is not bright: strokes for dull, dots for pits; shape tells, not colour alone. */
function dashOf(state: Track | undefined, scale: number): { dash?: string; width: number; colour: string } {
  if (state === 'pitted')
    return { dash: `${0.1 * scale} ${7 * scale}`, width: 6 * scale, colour: 'var(--mui-palette-state-replace)' };
  if (state === 'dull')
    return { dash: `${5 * scale} ${4 * scale}`, width: 2.6 * scale, colour: 'var(--mui-palette-state-service)' };
  return { width: 1.2 * scale, colour: LINE };
}

/** How each stuff is told apart: strokes of metal one way, those of what rubs the other, dots for a winding. */
function Stuffs({ id, scale }: { id: string; scale: number }) {
  const stripes = (name: string, angle: number, apart: number, width: number) => (
    <pattern
      id={`${id}-${name}`}
      width={apart * scale}
      height={apart * scale}
      patternUnits="userSpaceOnUse"
      patternTransform={`rotate(${angle})`}
    >
      <rect width={apart * scale} height={apart * scale} fill={PAPER} />
      <path d={`M0 0V${apart * scale}`} stroke={FAINT} strokeWidth={width * scale} />
    </pattern>
  );
  return (
    <defs>
      {stripes('metal', 45, 6, 1.2)}
      {stripes('friction', -45, 4, 1.6)}
      {stripes('gear', 90, 4, 1.2)}
      {stripes('magnet', 0, 5, 3)}
      {stripes('winding', 90, 3, 1.6)}
    </defs>
  );
}

function fillOf({ part, tone }: SectionShape, id: string): string {
  if (part === 'balls' || part === 'axle') return PAPER;
  return tone === 'seal' ? FAINT : `url(#${id}-${tone})`;
}

/** A row that never came out is not said to hold so many: nobody has counted. */
function faceWords({ id, in: put, holds }: SectionRow): string {
  const name = ballRowLabel(id).toLowerCase().split(',')[0]!;
  if (put === null) return holds === null ? name : `usually ${holds}, ${name}`;
  return `of ${holds ?? '?'}, ${name}`;
}

function rowWords(row: SectionRow): string {
  const { id, in: put, holds } = row;
  if (put === null) return `${ballRowLabel(id)}: not opened`;
  return `${ballRowLabel(id)}: ${holds === null ? `${put} in` : `${put} of ${holds} in`}`;
}

function Face({ face, row, scale }: { face: RowFace; row: SectionRow; scale: number }) {
  const rim = (r: number) => (
    <circle cx={face.x} cy={face.y} r={r} fill="none" stroke={FAINT} strokeWidth={1.2 * scale} />
  );
  return (
    <g>
      {rim(face.circleR + face.ballR)}
      {rim(face.circleR - face.ballR)}
      {face.slots.map(({ x, y, ball }, i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={face.ballR * 0.96}
          fill={ball === 'in' ? ACCENT : 'none'}
          stroke={ball === 'in' ? ACCENT : ball === 'wanting' ? FAINT : LINE}
          strokeWidth={1.4 * scale}
          strokeDasharray={ball === 'wanting' ? `${3 * scale} ${3 * scale}` : undefined}
        />
      ))}
      <text
        x={face.x}
        y={face.y + 9 * scale}
        textAnchor="middle"
        fontSize={26 * scale}
        fontWeight="660"
        fill="var(--mui-palette-text-primary)"
      >
        {row.in}
      </text>
      <text
        x={face.x}
        y={face.y + face.circleR + face.ballR + 18 * scale}
        textAnchor="middle"
        fontSize={14 * scale}
        fill={WORDS}
      >
        {faceWords(row)}
      </text>
    </g>
  );
}

/** An arrow on the track that is turned, the way it is to go. */
function Way({ at, outwards, scale }: { at: NonNullable<BearingSection['setAt']>; outwards: boolean; scale: number }) {
  const { x, y, outward } = at;
  const [from, to] = outwards ? [14, 26] : [26, 14];
  const on = (mm: number, aside: number) =>
    `${x + outward.x * mm - outward.y * aside} ${y + outward.y * mm + outward.x * aside}`;
  const back = outwards ? -4 : 4;
  return (
    <path
      d={`M${on(from, 0)}L${on(to, 0)}M${on(to + back, -3)}L${on(to, 0)}L${on(to + back, 3)}`}
      fill="none"
      stroke={ACCENT}
      strokeWidth={3 * scale}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/**
 * The bearing at hand, cut along its axle and each row seen along it, to scale from its numbers: what is off is a ghost,
 * balls fill as they are counted in, tracks show what was seen, what is turned stands off its balls by its play and an
 * arrow says where it goes.
 */
export function SectionDrawing({
  input,
  tracks,
  names,
  play,
  way,
  title,
  mostPx,
  stateOf,
  isAtHand,
  onTap,
}: DrawnStates & {
  input: SectionInput;
  tracks: Record<string, Track>;
  names: { cup: string; cone: string };
  /** Play at the bearing, in words; empty where there is none. */
  play: string;
  /** How far what is turned may still go, in words, and whether that is outwards; null where nothing is known. */
  way: { words: string; outwards: boolean } | null;
  title: string;
  /** How tall it may be; what its kind needs where nothing is said. */
  mostPx?: number;
}) {
  const id = useId();
  const narrow = useMediaQuery('(max-width: 600px)');
  const { ref, width } = useWidth<SVGSVGElement>();
  // Until the sheet is measured it has its usual width.
  const widePx = width || (narrow ? 358 : 626);
  const stacked = widePx < STACKED_BELOW_PX[input.upright ? 'upright' : 'across'];
  const section = useMemo(() => bearingSection({ ...input, stacked }), [input, stacked]);
  const { widthMm, heightMm, shapes, faces, setAt } = section;
  const tallPx = mostPx ?? (stacked ? (faces.length > 0 ? 380 : 280) : input.upright ? 440 : 320);
  // Drawn low there is no room for names; the list beside it has them.
  const fitted = useMemo(
    () =>
      fitSection(
        tallPx < LEAST_NAMED_PX ? { ...section, named: [] } : section,
        { widePx, tallPx, textPx: 12.5, rowNamePx: 24 },
        !stacked,
      ),
    [section, stacked, widePx, tallPx],
  );
  const { labels, aboveMm, leftMm, underMm, mmPerPx: scale } = fitted;
  const seenOf = ({ row, part }: SectionShape) =>
    row && (part === 'cup' || part === 'cone') ? tracks[`${row}.${part}`] : undefined;
  const rowOf = (row: string) => input.rows.find((each) => each.id === row)!;
  const words = [
    title,
    ...(input.faceless ? [] : input.rows.filter((row) => !row.shut && input.kind === 'cup-and-cone').map(rowWords)),
    ...Object.entries(tracks).map(([track, state]) => `${track.replace('.', ' ')} ${state}`),
    play,
    way?.words,
  ].filter(Boolean);
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <svg
        ref={ref}
        viewBox={`${-leftMm} ${-aboveMm} ${widthMm + leftMm} ${heightMm + aboveMm + underMm}`}
        role="img"
        aria-label={words.join('. ')}
        style={{ width: '100%', height: (heightMm + aboveMm + underMm) / scale, display: 'block' }}
      >
        <Stuffs id={id} scale={scale} />
        {shapes.map((shape, i) => {
          const mark = dashOf(seenOf(shape), scale);
          const track = shape.row && (shape.part === 'cup' || shape.part === 'cone') ? shape.part : null;
          const name = track ? `${names[track]}, ${ballRowLabel(shape.row!).toLowerCase()}` : shape.label;
          const state = stateOf(shape.shows);
          const atHand = isAtHand(shape.shows);
          const pen = penOf(state, atHand);
          // Balls that are out, or not in yet, are none that lie in their track.
          const row = shape.part === 'balls' && shape.row !== null ? rowOf(shape.row) : null;
          const ghost = pen.ghost || row?.in === 0;
          const seen = track !== null && tracks[`${shape.row}.${track}`] !== undefined && !ghost;
          const tap =
            onTap && (track !== null || shape.shows !== null)
              ? () => onTap({ part: shape.shows, track: track && `${shape.row}.${track}` })
              : undefined;
          return (
            <path
              key={i}
              data-part={shape.shows ?? undefined}
              d={shape.d}
              fill={ghost ? 'none' : fillOf(shape, id)}
              stroke={seen ? mark.colour : pen.stroke}
              strokeWidth={seen ? mark.width : 1.2 * pen.weight * scale}
              strokeDasharray={seen ? mark.dash : ghost ? `${4 * scale} ${3.5 * scale}` : undefined}
              strokeLinecap="round"
              strokeLinejoin="round"
              opacity={ghost && !atHand ? 0.6 : 1}
              style={tap && { cursor: 'pointer' }}
              onClick={tap}
            >
              {(name ?? state?.words) && <title>{name ?? state?.words}</title>}
            </path>
          );
        })}
        {labels.map(({ label, x, y, toX, toY }) => (
          <g key={label} aria-hidden="true">
            <path
              d={
                input.upright
                  ? `M${x + 4 * scale} ${y}L${x + 12 * scale} ${y}L${toX} ${toY}`
                  : `M${toX} ${y + (y < toY ? 4 : -11) * scale}L${toX} ${toY}`
              }
              fill="none"
              stroke={WORDS}
              strokeWidth={0.8 * scale}
            />
            <circle cx={toX} cy={toY} r={1.6 * scale} fill={WORDS} />
            <text
              x={x}
              y={input.upright ? y + 4 * scale : y}
              textAnchor={input.upright ? 'end' : 'middle'}
              fontSize={12.5 * scale}
              fill={WORDS}
            >
              {label}
            </text>
          </g>
        ))}
        {faces.map((face) => (
          <Face key={face.row} face={face} row={rowOf(face.row)} scale={scale} />
        ))}
        {setAt && way && <Way at={setAt} outwards={way.outwards} scale={scale} />}
      </svg>
      {(play || way) && (
        <Box component="figcaption" sx={{ fontSize: '0.95rem', display: 'flex', gap: 2.5, flexWrap: 'wrap' }}>
          {play && <span>{play}, drawn much larger</span>}
          {way && <span>{way.words}</span>}
        </Box>
      )}
    </Box>
  );
}

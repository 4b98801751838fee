'use client';
import Box from '@mui/material/Box';
import { useState, type KeyboardEvent } from 'react';
import { own } from '@/core/own';
import { ROUND_POINTS, roundPointWords, roundVerdict } from '@/core/bearings/round';
import type { Bearing } from '@/model/bearings/part';
import { Choices } from '@/ui/Choices';
import { stateColour, StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';
import { sector } from './sector';

type Point = (typeof ROUND_POINTS)[number];

const FEELS = [
  { id: 'loose', label: 'Loose' },
  { id: 'tick', label: 'Tick' },
  { id: 'smooth', label: 'Smooth' },
  { id: 'tight', label: 'Tight' },
] as const;
const TINT = { loose: 'watch', tick: 'watch', smooth: 'fine', tight: 'service' } as const;
const RIM = 112;
const HUB = 30;
const QUARTER = 90;

const angleOf = (point: Point): number => (Number(point) % 12) * 30;
const spot = (point: Point, radius: number) => {
  const at = (angleOf(point) * Math.PI) / 180;
  return { x: Math.sin(at) * radius, y: -Math.cos(at) * radius };
};
const next = (point: Point): Point => ROUND_POINTS[(ROUND_POINTS.indexOf(point) + 1) % ROUND_POINTS.length]!;

/** The turn as a clock face: each quarter says what was felt there, the hand stands where it is felt now. */
function Face({
  place,
  felt,
  at,
  onPoint,
}: {
  place: string;
  felt: Bearing['round'];
  at: Point;
  onPoint(point: Point): void;
}) {
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: 3, ArrowUp: 3 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onPoint(ROUND_POINTS[(ROUND_POINTS.indexOf(at) + by) % ROUND_POINTS.length]!);
  };
  const hand = spot(at, RIM - 4);
  return (
    <Box
      role="radiogroup"
      aria-label="Where in the turn"
      onKeyDown={onKey}
      sx={{
        width: '100%',
        maxWidth: 300,
        justifySelf: 'center',
        '& [role=radio]:focus-visible': { outline: 'none' },
        '& [role=radio]:focus-visible path': { strokeWidth: 4, stroke: 'primary.main' },
      }}
    >
      <svg viewBox="-138 -132 276 264" style={{ display: 'block', width: '100%' }}>
        {ROUND_POINTS.map((point) => {
          const feel = own(felt, point);
          const here = point === at;
          const middle = spot(point, (RIM + HUB) / 2);
          const edge = spot(point, RIM + 13);
          return (
            <g
              key={point}
              role="radio"
              tabIndex={here ? 0 : -1}
              aria-checked={here}
              aria-label={`${roundPointWords(place, point)}: ${feel ? FEELS.find(({ id }) => id === feel)!.label.toLowerCase() : 'not felt yet'}`}
              onClick={() => onPoint(point)}
              style={{ cursor: 'pointer' }}
            >
              <path
                d={sector(angleOf(point) - QUARTER / 2 + 1, angleOf(point) + QUARTER / 2 - 1, HUB, RIM)}
                fill={
                  feel
                    ? `color-mix(in srgb, ${stateColour(TINT[feel])} 22%, var(--mui-palette-sheet-paper))`
                    : 'var(--mui-palette-sheet-paper)'
                }
                stroke={here ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-sheet-line)'}
                strokeWidth={here ? 3 : 1.2}
                strokeDasharray={feel || here ? undefined : '4 4'}
              />
              <text
                {...middle}
                dy={5}
                textAnchor="middle"
                fontSize={16}
                fontWeight={660}
                fill="var(--mui-palette-text-primary)"
              >
                {feel ? FEELS.find(({ id }) => id === feel)!.label : '?'}
              </text>
              <text
                {...edge}
                dy={5}
                textAnchor="middle"
                fontSize={15}
                fontWeight={here ? 700 : 500}
                fill={here ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-text-secondary)'}
              >
                {point}
              </text>
            </g>
          );
        })}
        <circle r={HUB - 4} fill="none" stroke="var(--mui-palette-sheet-line)" strokeWidth={1.2} />
        <circle r={4} fill="var(--mui-palette-primary-main)" />
        <path
          d={`M${hand.x * 0.12},${hand.y * 0.12}L${hand.x * 0.42},${hand.y * 0.42}M${hand.x * 0.9},${hand.y * 0.9}L${hand.x},${hand.y}`}
          stroke="var(--mui-palette-primary-main)"
          strokeWidth={4}
          strokeLinecap="round"
          style={{ pointerEvents: 'none' }}
        />
      </svg>
    </Box>
  );
}

/** Felt again at points of the turn: the tightest spot decides. What is said of one point leads on to the next. */
export function RoundFeel({ send, bearing }: Pick<StageProps, 'send'> & { bearing: Bearing }) {
  const { place, round } = bearing;
  const [at, setAt] = useState<Point>(() => ROUND_POINTS.find((point) => own(round, point) === undefined) ?? '12');
  const { state, words } = roundVerdict(round);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '280px minmax(0, 1fr)' },
        gap: { xs: 2, sm: 4 },
        alignItems: 'center',
      }}
    >
      <Face place={place} felt={round} at={at} onPoint={setAt} />
      <Box>
        <Box sx={{ '& .MuiToggleButton-root': { minHeight: 60, px: 2.25, fontSize: '1.05rem' } }}>
          <Choices
            label={roundPointWords(place, at)}
            options={FEELS}
            value={own(round, at) ?? null}
            onChoose={(feel) => {
              send({ type: 'feelRound', place, point: at, feel });
              setAt(next(at));
            }}
          />
        </Box>
        <Box role="status" sx={{ mt: 2, fontSize: '1.1rem', maxWidth: '62ch' }}>
          <StateMark state={state} word={false} /> {words}
        </Box>
      </Box>
    </Box>
  );
}

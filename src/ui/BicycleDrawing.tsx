'use client';
import { useMemo } from 'react';
import type { BicycleKind } from '@/core/bicycle';
import { bicycleGeometry } from '@/core/drawing/bicycle';
import { placeLabel, stateLabel, type StateId } from '@/core/vocabulary/vocabulary';
import { StateGlyph } from './StateMark';

export interface DrawingMark {
  place: string;
  state: StateId;
  /** What the mark leads to; left out, the mark is only shown. */
  onOpen?(): void;
  current?: boolean;
}

const WEIGHT = { tube: 13, line: 7, fine: 3.5 } as const;
/** Lines of a small drawing are drawn heavier, or they vanish. */
const QUIET_WEIGHT = { tube: 20, line: 12, fine: 7 } as const;
const MARK_MM = 92;

/** The bicycle as a line drawing, with a mark at each place that has something to say. */
export function BicycleDrawing({
  kind,
  marks = [],
  label,
  quiet = false,
}: {
  kind: BicycleKind;
  marks?: DrawingMark[];
  label: string;
  quiet?: boolean;
}) {
  const geometry = useMemo(() => bicycleGeometry(kind), [kind]);
  const { widthMm, heightMm, wheels, strokes, spots } = geometry;
  const line = 'var(--mui-palette-sheet-line)';
  const ground = quiet ? 4 : 12;
  const weight = quiet ? QUIET_WEIGHT : WEIGHT;
  const withMarks = marks.some((mark) => mark.onOpen);
  return (
    <svg
      viewBox={`0 ${-ground} ${widthMm} ${heightMm + ground + 20}`}
      role={label === '' ? undefined : withMarks ? 'group' : 'img'}
      aria-label={label === '' ? undefined : label}
      aria-hidden={label === '' ? true : undefined}
      style={{ width: '100%', height: 'auto', display: 'block', overflow: 'visible' }}
    >
      <g
        transform={`translate(0 ${heightMm}) scale(1 -1)`}
        fill="none"
        stroke={line}
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        {!quiet && <path d={`M20 0H${widthMm - 20}`} strokeWidth={3} stroke="var(--mui-palette-sheet-faint)" />}
        {wheels.map(({ place, centre, tyreRadiusMm, rimRadiusMm, spokes }) => (
          <g key={place}>
            <circle
              cx={centre.x}
              cy={centre.y}
              r={tyreRadiusMm - kind.tyreWidthMm / 2}
              strokeWidth={kind.tyreWidthMm * 0.8}
              stroke="var(--mui-palette-sheet-faint)"
              opacity={0.55}
            />
            <circle cx={centre.x} cy={centre.y} r={tyreRadiusMm} strokeWidth={quiet ? 9 : 5} />
            <circle cx={centre.x} cy={centre.y} r={rimRadiusMm} strokeWidth={quiet ? 6 : 4} />
            {!quiet &&
              Array.from({ length: spokes }, (_, i) => {
                const angle = (i * 2 * Math.PI) / spokes;
                const cross = angle + (i % 2 ? 1 : -1) * 0.9;
                return (
                  <path
                    key={i}
                    d={`M${centre.x + 20 * Math.cos(cross)} ${centre.y + 20 * Math.sin(cross)}L${centre.x + rimRadiusMm * Math.cos(angle)} ${centre.y + rimRadiusMm * Math.sin(angle)}`}
                    strokeWidth={1.6}
                    stroke="var(--mui-palette-sheet-faint)"
                  />
                );
              })}
          </g>
        ))}
        {strokes.map((stroke) => (
          <path
            key={stroke.id}
            d={stroke.d}
            strokeWidth={weight[stroke.weight]}
            fill={stroke.closed ? 'var(--mui-palette-background-paper)' : 'none'}
          />
        ))}
      </g>
      {marks.map(({ place, state, onOpen, current }) => {
        const spot = spots[place];
        if (!spot) return null;
        const x = spot.x - MARK_MM / 2;
        const y = heightMm - spot.y - MARK_MM / 2;
        const name = `${placeLabel(place)}: ${stateLabel(state).toLowerCase()}`;
        return (
          <g
            key={place}
            transform={`translate(${x} ${y})`}
            {...(onOpen && {
              role: 'button',
              tabIndex: 0,
              'aria-label': name,
              'aria-current': current ? ('true' as const) : undefined,
              onClick: onOpen,
              onKeyDown: (event: React.KeyboardEvent) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                onOpen();
              },
              style: { cursor: 'pointer' },
            })}
          >
            <title>{name}</title>
            {onOpen && <rect x={-18} y={-18} width={MARK_MM + 36} height={MARK_MM + 36} fill="transparent" />}
            {current && (
              <circle
                cx={MARK_MM / 2}
                cy={MARK_MM / 2}
                r={MARK_MM * 0.72}
                fill="none"
                stroke="var(--mui-palette-primary-main)"
                strokeWidth={9}
              />
            )}
            <circle cx={MARK_MM / 2} cy={MARK_MM / 2} r={MARK_MM * 0.56} fill="var(--mui-palette-background-default)" />
            <svg width={MARK_MM} height={MARK_MM} viewBox="0 0 24 24">
              <StateGlyph state={state} />
            </svg>
          </g>
        );
      })}
    </svg>
  );
}

'use client';
import Box from '@mui/material/Box';
import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { BicycleKind } from '@/core/bicycle';
import { bicycleGeometry } from '@/core/drawing/bicycle';
import { groupSigns } from '@/core/drawing/groups';
import { nearestPlace, placeAt, type Direction } from '@/core/drawing/nearest';
import type { Point } from '@/core/drawing/points';
import { signLabel } from '@/core/drawing/signs';
import type { PlacedSign } from '@/core/drawing/svg';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { useWidth } from '../useWidth';
import { BicycleLines, BicycleSketch } from './BicycleLines';
import { Mark, MarkCount, roomOfMark } from './Mark';

const UNSEEN_SHARE = 0.5;
const SIGN_PX = 22;
const DOT_PX = 5;
/** Half of 48 px: how far from a place a finger may land. */
const REACH_PX = 24;
const USUAL_WIDTH_PX = 560;
const ZOOM = 2.6;

const ARROWS: Record<string, Direction> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

interface View {
  x: number;
  y: number;
  width: number;
  height: number;
}

function nameOf(place: string, sign: PlacedSign | undefined): string {
  if (!sign) return placeLabel(place);
  return `${placeLabel(place)}: ${sign.words ?? signLabel(sign.sign).toLowerCase()}`;
}

/** The part of the sheet to be seen: all of it, or what lies round a place. */
function viewOf(widthMm: number, heightMm: number, around: Point | null): View {
  const whole = { x: 0, y: -18, width: widthMm, height: heightMm + 40 };
  if (!around) return whole;
  const width = widthMm / ZOOM;
  const height = whole.height / ZOOM;
  return {
    x: Math.min(Math.max(around.x - width / 2, 0), widthMm - width),
    y: Math.min(Math.max(heightMm - around.y - height / 2, whole.y), whole.y + whole.height - height),
    width,
    height,
  };
}

export interface BicycleDrawingProps {
  kind: BicycleKind;
  label: string;
  signs?: PlacedSign[];
  /** Where a place leads to; left out, the drawing is only a picture. */
  onOpen?(place: string): void;
  current?: string | null;
  /** Show what lies round the current place, enlarged. */
  closer?: boolean;
  /** Drawn small: heavy lines, no dots. */
  quiet?: boolean;
  /** Focus a place by its name, as `/` and a few letters do. */
  focusPlace?: string | null;
}

/** The bicycle as a line drawing whose places are the navigation: by pointer, by thumb, by arrow keys. */
export function BicycleDrawing({
  kind,
  label,
  signs = [],
  onOpen,
  current = null,
  closer = false,
  quiet = false,
  focusPlace = null,
}: BicycleDrawingProps) {
  const geometry = useMemo(() => bicycleGeometry(kind), [kind]);
  const { widthMm, heightMm, spots } = geometry;
  const { ref, width } = useWidth<SVGSVGElement>();
  const group = useRef<SVGGElement>(null);
  const [under, setUnder] = useState<string | null>(null);
  const [focused, setFocused] = useState<string | null>(null);
  // What was pointed at last stays the middle of the enlarged view when the focus goes elsewhere.
  const [last, setLast] = useState<string | null>(null);
  const help = useId();
  const at = focused && spots[focused] ? focused : current && spots[current] ? current : null;
  const middle = at ?? (last && spots[last] ? last : 'bottom-bracket');
  const view = viewOf(widthMm, heightMm, closer ? spots[middle]! : null);
  const mmPerPx = view.width / (width || USUAL_WIDTH_PX);
  const bySign = new Map(signs.map((entry) => [entry.place, entry]));
  // What nobody has looked at is most of the bicycle at first: small, so that the bicycle is still seen.
  const sizeOf = (sign: PlacedSign | undefined) =>
    (quiet ? SIGN_PX * 0.72 : SIGN_PX) * (sign?.sign === 'not-looked-at' ? UNSEEN_SHARE : 1) * mmPerPx;
  const groups = groupSigns(signs, spots, (sign) => roomOfMark(sign, sizeOf(sign), mmPerPx));
  const leads = new Set(groups.map(({ lead }) => lead.place));
  const ghost = signs
    .filter((entry) => entry.sign === 'off')
    .map((entry) => entry.place)
    .join(' ');
  const entry = at ?? (spots['hub.front'] ? 'hub.front' : Object.keys(spots)[0]!);

  function focus(place: string): void {
    setFocused(place);
    group.current?.querySelector<SVGGElement>(`[data-place="${place}"]`)?.focus();
  }
  useEffect(() => {
    if (focusPlace) group.current?.querySelector<SVGGElement>(`[data-place="${focusPlace}"]`)?.focus();
  }, [focusPlace]);

  function onKeyDown(event: KeyboardEvent<SVGGElement>): void {
    const place = (event.target as SVGElement).dataset.place;
    if (!place || event.ctrlKey || event.metaKey || event.altKey) return;
    const direction = ARROWS[event.key];
    if (direction) {
      event.preventDefault();
      event.stopPropagation();
      const next = nearestPlace(spots, place, direction);
      if (next) focus(next);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      event.stopPropagation();
      onOpen?.(place);
    }
  }

  function pointed(event: PointerEvent<SVGSVGElement>): string | null {
    const matrix = ref.current?.getScreenCTM();
    if (!matrix) return null;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return placeAt(spots, { x: p.x, y: heightMm - p.y }, REACH_PX * mmPerPx);
  }

  const named = under ?? focused;
  const picture = quiet ? <BicycleSketch geometry={geometry} /> : <BicycleLines geometry={geometry} ghost={ghost} />;
  const silent = label === '';
  return (
    <Box
      component="svg"
      ref={ref}
      data-drawing=""
      viewBox={`${view.x.toFixed(1)} ${view.y.toFixed(1)} ${view.width.toFixed(1)} ${view.height.toFixed(1)}`}
      role={silent ? undefined : onOpen ? 'group' : 'img'}
      aria-label={silent ? undefined : label}
      aria-hidden={silent ? true : undefined}
      aria-describedby={onOpen ? help : undefined}
      {...(onOpen && {
        onPointerMove: (event: PointerEvent<SVGSVGElement>) =>
          event.pointerType === 'mouse' && setUnder(pointed(event)),
        onPointerLeave: () => setUnder(null),
        onClick: (event: PointerEvent<SVGSVGElement>) => {
          const place =
            pointed(event) ?? (event.target as SVGElement).closest<SVGElement>('[data-place]')?.dataset.place;
          if (!place) return;
          setFocused(place);
          setLast(place);
          onOpen(place);
        },
      })}
      sx={{
        width: '100%',
        height: 'auto',
        display: 'block',
        touchAction: 'manipulation',
        cursor: under ? 'pointer' : 'default',
        '& [data-place]:focus-visible': { outline: 'none' },
        '& [data-place]:focus-visible .ring': { stroke: 'var(--mui-palette-primary-main)' },
      }}
    >
      {onOpen && <desc id={help}>Arrow keys go to the nearest place, Enter opens it.</desc>}
      <g
        transform={`translate(0 ${heightMm}) scale(1 -1)`}
        fill="none"
        stroke="var(--mui-palette-sheet-line)"
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        {picture}
      </g>
      <g ref={group} onKeyDown={onOpen ? onKeyDown : undefined}>
        {Object.entries(spots).map(([place, spot]) => {
          const sign = bySign.get(place);
          if (!onOpen && !leads.has(place) && place !== current) return null;
          const size = sizeOf(sign);
          const open = onOpen && {
            role: 'button',
            tabIndex: place === entry ? 0 : -1,
            'data-place': place,
            'aria-label': nameOf(place, sign),
            'aria-current': place === current ? ('true' as const) : undefined,
            onFocus: () => {
              setFocused(place);
              setLast(place);
            },
            onBlur: () => setFocused(null),
          };
          return (
            <g key={place} transform={`translate(${spot.x.toFixed(1)} ${(heightMm - spot.y).toFixed(1)})`} {...open}>
              <circle
                className="ring"
                r={size * (quiet ? 0.58 : 0.74)}
                fill="none"
                stroke={place === current ? 'var(--mui-palette-primary-main)' : 'none'}
                strokeWidth={3 * mmPerPx}
              />
              {sign ? (
                leads.has(place) && <Mark sign={sign} size={size} mmPerPx={mmPerPx} />
              ) : (
                <circle
                  className="no-print"
                  r={DOT_PX * 0.5 * mmPerPx}
                  fill={under === place ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-sheet-faint)'}
                />
              )}
            </g>
          );
        })}
      </g>
      <g pointerEvents="none" aria-hidden="true">
        {groups.map(
          ({ lead, places }) =>
            places.length > 1 && (
              <g
                key={lead.place}
                transform={`translate(${spots[lead.place]!.x.toFixed(1)} ${(heightMm - spots[lead.place]!.y).toFixed(1)})`}
              >
                <MarkCount sign={lead} size={sizeOf(lead)} count={places.length} mmPerPx={mmPerPx} />
              </g>
            ),
        )}
      </g>
      {onOpen && named && spots[named] && (
        <PlaceName
          name={nameOf(named, bySign.get(named))}
          at={spots[named]}
          heightMm={heightMm}
          view={view}
          mmPerPx={mmPerPx}
        />
      )}
    </Box>
  );
}

/** The name of the place under the pointer or the focus, on a slip of paper that stays on the sheet. */
function PlaceName({
  name,
  at,
  heightMm,
  view,
  mmPerPx,
}: {
  name: string;
  at: Point;
  heightMm: number;
  view: View;
  mmPerPx: number;
}) {
  const size = 14 * mmPerPx;
  const wide = name.length * size * 0.54 + size * 1.2;
  const x = Math.min(Math.max(at.x - wide / 2, view.x + 2 * mmPerPx), view.x + view.width - wide - 2 * mmPerPx);
  const above = heightMm - at.y - 42 * mmPerPx;
  const y = above < view.y ? heightMm - at.y + 18 * mmPerPx : above;
  return (
    <g pointerEvents="none" aria-hidden="true">
      <rect x={x} y={y} width={wide} height={size * 1.8} rx={2 * mmPerPx} fill="var(--mui-palette-text-primary)" />
      <text
        x={x + wide / 2}
        y={y + size * 1.25}
        fontSize={size}
        fontWeight="600"
        textAnchor="middle"
        fill="var(--mui-palette-background-paper)"
      >
        {name}
      </text>
    </g>
  );
}

'use client';
import Box from '@mui/material/Box';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Cantilever } from '@/core/brakes/cantilever';

/** Round the drawing, mm. */
const MARGIN_MM = 16;
/** What one press of an arrow key moves, and one with Shift. */
const STEP_MM = { one: 1, more: 5 };
const LEAST_OVER_ANCHOR_MM = 3;
const TALLEST_MM = 300;

const INK = 'var(--mui-palette-sheet-line)';
const FAINT = 'var(--mui-palette-text-secondary)';
const ACCENT = 'var(--mui-palette-primary-main)';

type Handle = 'yoke' | 'anchor';

/** A handle that is dragged, or moved by the arrow keys. */
function Grip({
  x,
  y,
  label,
  value,
  words,
  onKey,
  onDown,
}: {
  x: number;
  y: number;
  label: string;
  value: number;
  words: string;
  onKey(event: KeyboardEvent): void;
  onDown(event: PointerEvent): void;
}) {
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(value)}
      aria-valuetext={words}
      onKeyDown={onKey}
      onPointerDown={onDown}
      style={{ cursor: 'grab', touchAction: 'none', outlineOffset: 4 }}
    >
      {/* A thumb needs more than the dot that is seen. */}
      <circle cx={x} cy={y} r={13} fill="transparent" />
      <circle cx={x} cy={y} r={4.5} fill={ACCENT} />
    </g>
  );
}

/** One arm as it stands: pivot, anchor, pad on the rim. `side` is −1 for the left. */
function Arm({ of, side, height }: { of: Cantilever; side: -1 | 1; height: number }) {
  const at = (x: number, y: number): [number, number] => [side * x, height - y];
  const { pivotHalfSpacingMm: p, anchor, pad, yokeHeightMm } = of;
  const [pivot, held, pads] = [at(p, 0), at(p + anchor.outMm, anchor.upMm), at(p - pad.inMm, pad.upMm)];
  const top = at(0, yokeHeightMm);
  return (
    <g fill="none" stroke={INK} strokeLinecap="round">
      <path d={`M${pads.join(' ')}L${pivot.join(' ')}L${held.join(' ')}`} strokeWidth={5} strokeLinejoin="round" />
      <path d={`M${held.join(' ')}L${top.join(' ')}`} strokeWidth={1.2} />
      <circle cx={pivot[0]} cy={pivot[1]} r={3.4} fill="var(--mui-palette-sheet-paper)" strokeWidth={1.6} />
      <rect x={pads[0] - (side > 0 ? 8 : 0)} y={pads[1] - 5} width={8} height={10} fill={INK} stroke="none" />
    </g>
  );
}

/** A cantilever from the front, to scale from its numbers; yoke and anchor are moved under the finger, or by the arrow keys. */
export function CantileverView({ of, onMove }: { of: Cantilever; onMove(next: Cantilever): void }) {
  const box = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<Handle | null>(null);
  const { pivotHalfSpacingMm: p, anchor, yokeHeightMm: yoke } = of;
  const wide = p + Math.max(anchor.outMm, 30) + MARGIN_MM;
  const height = Math.max(yoke, 110);
  const moved = (handle: Handle, x: number, y: number): Cantilever =>
    handle === 'yoke'
      ? { ...of, yokeHeightMm: Math.round(Math.min(TALLEST_MM, Math.max(anchor.upMm + LEAST_OVER_ANCHOR_MM, y))) }
      : {
          ...of,
          anchor: {
            outMm: Math.round(Math.min(90, Math.max(-30, x - p))),
            upMm: Math.round(Math.min(yoke - LEAST_OVER_ANCHOR_MM, 120, Math.max(0, y))),
          },
        };
  const drag = (event: PointerEvent) => {
    const matrix = box.current?.getScreenCTM();
    if (held === null || !matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    onMove(moved(held, at.x, height - at.y));
  };
  const byKey = (handle: Handle) => (event: KeyboardEvent) => {
    const step = event.shiftKey ? STEP_MM.more : STEP_MM.one;
    const by = {
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
      ArrowRight: [step, 0],
      ArrowLeft: [-step, 0],
    }[event.key];
    if (!by) return;
    event.preventDefault();
    const [x, y] = handle === 'yoke' ? [0, yoke] : [p + anchor.outMm, anchor.upMm];
    onMove(moved(handle, x + by[0]!, y + by[1]!));
  };
  const grip = (handle: Handle) => (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setHeld(handle);
  };
  return (
    <Box
      component="svg"
      ref={box}
      role="group"
      aria-label="The brake from the front"
      viewBox={`${-wide} ${-MARGIN_MM} ${2 * wide} ${height + 2 * MARGIN_MM}`}
      onPointerMove={drag}
      onPointerUp={() => setHeld(null)}
      onPointerCancel={() => setHeld(null)}
      sx={{
        display: 'block',
        width: '100%',
        maxWidth: 460,
        maxHeight: 380,
        '& [role=slider]:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
      }}
    >
      {/* The rim between the pads, and the middle of the wheel. */}
      <rect
        x={-(p - of.pad.inMm - 8)}
        y={height - of.pad.upMm - 9}
        width={2 * (p - of.pad.inMm - 8)}
        height={30}
        rx={6}
        fill="none"
        stroke={FAINT}
        strokeWidth={1.2}
      />
      <path d={`M0 ${-MARGIN_MM}V${height + MARGIN_MM}`} stroke={FAINT} strokeWidth={0.5} strokeDasharray="4 3" />
      <path d={`M0 ${height - yoke}V${-MARGIN_MM}`} stroke={INK} strokeWidth={1.2} />
      <Arm of={of} side={-1} height={height} />
      <Arm of={of} side={1} height={height} />
      <Grip
        x={0}
        y={height - yoke}
        label="Height of the yoke"
        value={yoke}
        words={`${yoke} mm over the pivots`}
        onKey={byKey('yoke')}
        onDown={grip('yoke')}
      />
      <Grip
        x={p + anchor.outMm}
        y={height - anchor.upMm}
        label="Where the wire is held"
        value={anchor.outMm}
        words={`${anchor.outMm} mm out, ${anchor.upMm} mm up`}
        onKey={byKey('anchor')}
        onDown={grip('anchor')}
      />
    </Box>
  );
}

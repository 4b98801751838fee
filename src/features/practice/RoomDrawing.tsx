'use client';
import Box from '@mui/material/Box';
import { useEffect, useRef } from 'react';
import type { Room, RoomView } from './room';
import type { RoomSound } from './sound';

const R = 122;
const LINE = 'var(--mui-palette-sheet-line)';
const FAINT = 'var(--mui-palette-sheet-faint)';
const ACCENT = 'var(--mui-palette-primary-main)';
/** A rock of one millimetre is drawn as so many degrees, so that it can be seen. */
const ROCK_DEG_PER_MM = 3;
/** How far bars swing to each side. */
const SWING_DEG = 38;
/** Degrees of cone for each notch of a wheel of the mouse. */
const NOTCH_DEG = 2;

/**
 * The wheel from its side, the rim from the front, and the cone with its spanner. The wheel and the rim are moved by frames
 * straight on the drawing, so that they run smoothly; the cone turns by drag or by the mouse's wheel.
 */
export function RoomDrawing({
  room,
  view,
  sound,
  still,
}: {
  room: Room;
  view: RoomView;
  sound: RoomSound | null;
  still: boolean;
}) {
  const wheel = useRef<SVGGElement>(null);
  const rim = useRef<SVGGElement>(null);
  const cone = useRef<SVGGElement>(null);
  const held = useRef<number | null>(null);
  const bars = room.hub.level.what === 'headset';

  useEffect(() => {
    let side = 0;
    return room.onFrame(({ state, rock, rockMm, sound: heard }) => {
      if (!still) {
        wheel.current?.setAttribute(
          'transform',
          `rotate(${bars ? SWING_DEG * Math.sin((state.wheelDeg * Math.PI) / 180) : state.wheelDeg})`,
        );
        rim.current?.setAttribute('transform', `rotate(${rock * Math.min(14, rockMm * ROCK_DEG_PER_MM)})`);
      }
      sound?.set(heard);
      const now = Math.sign(Math.round(rock * 1.4));
      if (now !== 0 && now !== side && rockMm > 0.05) sound?.tick(0.1 + rockMm / 3);
      side = now;
    });
  }, [room, sound, still, bars]);

  const angleOf = (event: { clientX: number; clientY: number }) => {
    const box = cone.current?.ownerSVGElement?.getBoundingClientRect();
    const at = cone.current?.getBoundingClientRect();
    if (!box || !at) return 0;
    return (
      (Math.atan2(event.clientX - (at.left + at.width / 2), -(event.clientY - (at.top + at.height / 2))) * 180) /
      Math.PI
    );
  };
  // React hears the mouse's wheel passively; the page must not scroll while the cone is turned by it.
  useEffect(() => {
    const target = cone.current?.parentElement;
    if (!target) return;
    const turn = (event: Event) => {
      event.preventDefault();
      room.turn((event as WheelEvent).deltaY < 0 ? NOTCH_DEG : -NOTCH_DEG);
    };
    target.addEventListener('wheel', turn, { passive: false });
    return () => target.removeEventListener('wheel', turn);
  }, [room]);

  const { locked, clamped } = view.state;
  return (
    <Box sx={{ bgcolor: 'background.paper', border: '1px solid', borderColor: 'divider' }}>
      <svg
        viewBox="0 0 720 280"
        role="img"
        aria-label={`The wheel, its rim from the front, and the cone: ${locked ? 'locked' : 'unlocked'}${room.hub.level.squeezeDeg > 0 ? `, skewer ${clamped ? 'closed' : 'open'}` : ''}`}
        style={{ width: '100%', display: 'block', touchAction: 'pan-y' }}
      >
        <g transform="translate(170 140)">
          <g ref={wheel}>
            {bars ? (
              <path
                d="M-118 34C-104 20 -96 -8 -70 -14C-40 -20 -18 -16 0 -16C18 -16 40 -20 70 -14C96 -8 104 20 118 34"
                fill="none"
                stroke={LINE}
                strokeWidth="11"
                strokeLinecap="round"
              />
            ) : (
              <>
                <circle r={R} fill="none" stroke={LINE} strokeWidth="9" />
                <circle r={R - 9} fill="none" stroke={FAINT} strokeWidth="1.5" />
                {Array.from({ length: 18 }, (_, i) => (
                  <path
                    key={i}
                    d={`M${i % 2 ? 12 : -12} 0L0 ${-R + 9}`}
                    transform={`rotate(${i * 20})`}
                    stroke={i === 0 ? ACCENT : FAINT}
                    strokeWidth={i === 0 ? 3 : 1.2}
                  />
                ))}
                <path d={`M0 ${-R + 4}V${-R + 22}`} stroke={ACCENT} strokeWidth="6" strokeLinecap="round" />
              </>
            )}
          </g>
          <circle r="17" fill="var(--mui-palette-sheet-paper)" stroke={LINE} strokeWidth="3" />
        </g>
        <g transform="translate(405 140)">
          <path d={`M-22 ${-R - 14}V0M22 ${-R - 14}V0`} stroke={FAINT} strokeWidth="5" strokeLinecap="round" />
          <path d="M-34 0H34" stroke={LINE} strokeWidth="7" strokeLinecap="round" />
          <g ref={rim}>
            <rect x="-8" y={-R} width="16" height={2 * R} rx="8" fill="none" stroke={LINE} strokeWidth="4" />
            <rect
              x="-14"
              y="-15"
              width="28"
              height="30"
              rx="4"
              fill="var(--mui-palette-sheet-paper)"
              stroke={LINE}
              strokeWidth="3"
            />
          </g>
        </g>
        <g
          transform="translate(590 140)"
          style={{ cursor: locked ? 'default' : 'grab', touchAction: 'none' }}
          onPointerDown={(event) => {
            if (locked) return;
            event.currentTarget.setPointerCapture(event.pointerId);
            held.current = angleOf(event);
          }}
          onPointerMove={(event) => {
            if (held.current === null) return;
            const now = angleOf(event);
            const moved = ((now - held.current + 540) % 360) - 180;
            if (Math.abs(moved) < 1) return;
            held.current = now;
            room.turn(Math.round(moved));
          }}
          onPointerUp={() => {
            held.current = null;
          }}
          onPointerCancel={() => {
            held.current = null;
          }}
        >
          <circle r="104" fill="transparent" stroke={FAINT} strokeWidth="1.5" />
          {Array.from({ length: 12 }, (_, i) => (
            <path key={i} d="M0 -104V-94" transform={`rotate(${i * 30})`} stroke={FAINT} strokeWidth="2" />
          ))}
          <g ref={cone} transform={`rotate(${view.state.coneDeg - room.hub.startDeg})`}>
            <path d="M-8 -26L-6 -94A6 6 0 0 1 6 -94L8 -26Z" fill={locked ? FAINT : ACCENT} />
            <path
              d="M-30 0L-15 -26H15L30 0L15 26H-15Z"
              fill="var(--mui-palette-sheet-paper)"
              stroke={LINE}
              strokeWidth="3.5"
            />
          </g>
          <circle r="12" fill={locked ? LINE : 'none'} stroke={LINE} strokeWidth="3" />
        </g>
      </svg>
    </Box>
  );
}

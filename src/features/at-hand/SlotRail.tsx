'use client';
import Box from '@mui/material/Box';
import { useLayoutEffect, useRef, type RefObject } from 'react';
import { explodedLine, type LaidPart } from '@/core/strip/explode';
import type { Assembly } from '@/core/strip/tray';
import { stateWords, type PartState } from '@/model/strip/partStates';
import { StateGlyph, stateColour } from '@/ui/StateMark';
import { ACCENT, PAPER, type DrawnStates } from './pen';

const MOTION_MS = 420;

function isStill(): boolean {
  return typeof window.matchMedia !== 'function' || window.matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/** A part that was just taken off goes from its place on the axle to its slot, so that the eye finds it there. */
function useLyingDown(states: readonly PartState[], figure: RefObject<HTMLElement | null>) {
  const rail = useRef<HTMLOListElement>(null);
  const shown = useRef<ReadonlySet<string> | null>(null);
  const lying = states.flatMap(({ id, slot }) => (slot === null ? [] : [id]));
  useLayoutEffect(() => {
    const before = shown.current;
    shown.current = new Set(lying);
    if (before === null || isStill()) return;
    for (const id of lying) {
      if (before.has(id)) continue;
      const find = (root: HTMLElement | null, name: string) =>
        [...(root?.querySelectorAll<HTMLElement>(`[data-${name}]`) ?? [])].find((each) => each.dataset[name] === id);
      const slot = find(rail.current, 'slot');
      const from = find(figure.current, 'part')?.getBoundingClientRect();
      if (!slot || !from || typeof slot.animate !== 'function') continue;
      const to = slot.getBoundingClientRect();
      const [dx, dy] = [from.left + from.width / 2 - to.left - to.width / 2, from.top - to.top];
      slot.animate(
        [
          { transform: `translate(${dx}px, ${dy}px)`, zIndex: 1 },
          { transform: 'none', zIndex: 1 },
        ],
        {
          duration: MOTION_MS,
          easing: 'cubic-bezier(.3, 0, .2, 1)',
        },
      );
    }
  });
  return rail;
}

const MARK_SIGNS = { missing: '?', wrong: '×', worn: '~' } as const;

/** What is wrong with a part, or where it is besides its slot, as a sign in the corner. */
function cornerSign({ where, mark, fate, clean }: PartState): string {
  if (where === 'back') return '✓';
  if (where === 'left-off') return '–';
  if (mark) return MARK_SIGNS[mark];
  return fate ? '×' : clean ? '✓' : '';
}

function Outline({ part, ghost, accent }: { part: LaidPart | undefined; ghost: boolean; accent: boolean }) {
  if (!part) return null;
  const ink = accent ? ACCENT : 'currentColor';
  // Each fills its slot, so that a washer is told from a nut; what is as long as an axle is not made larger.
  const scale = Math.min(46 / part.widthMm, 36 / part.heightMm, 1.5);
  return (
    <svg viewBox="-26 -20 52 40" aria-hidden="true" style={{ display: 'block', width: 52, height: 40 }}>
      <g
        transform={`scale(${scale.toFixed(3)})`}
        stroke={ink}
        strokeWidth={1.4 / scale}
        strokeLinejoin="round"
        fill={ghost ? 'none' : PAPER}
        strokeDasharray={ghost ? '4 3' : undefined}
        opacity={ghost ? 0.5 : 1}
      >
        <path d={part.shape || 'M0,0'} />
        {part.lines.map((d) => (
          <path key={d} d={d} fill="none" strokeWidth={0.8 / scale} />
        ))}
      </g>
    </svg>
  );
}

function Slot({
  state,
  part,
  atHand,
  onTap,
}: {
  state: PartState;
  part: LaidPart | undefined;
  atHand: boolean;
  onTap?(): void;
}) {
  const closed = state.where === 'back' || state.where === 'left-off';
  const wrong = !closed && (state.mark !== null || state.fate !== null);
  const bath = state.where === 'bath';
  return (
    <Box
      component="button"
      type="button"
      data-slot={state.id}
      onClick={onTap}
      disabled={!onTap}
      aria-label={`${state.slot}. ${stateWords(state)}`}
      title={stateWords(state)}
      sx={{
        all: 'unset',
        boxSizing: 'border-box',
        position: 'relative',
        display: 'grid',
        placeItems: 'end center',
        width: 64,
        height: 64,
        pb: '3px',
        cursor: onTap ? 'pointer' : 'default',
        color: 'sheet.line',
        bgcolor: bath ? `color-mix(in srgb, ${stateColour('service')} 20%, ${PAPER})` : 'transparent',
        border: closed ? '1.5px dashed' : '1.5px solid',
        borderColor: atHand ? 'primary.main' : 'divider',
        boxShadow: atHand ? 'inset 0 0 0 1.5px var(--mui-palette-primary-main)' : 'none',
        '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '2px' },
      }}
    >
      <Box component="span" sx={{ position: 'absolute', top: 2, left: 5, fontSize: '0.82rem', fontWeight: 680 }}>
        {state.slot}
      </Box>
      <Box
        component="span"
        aria-hidden="true"
        sx={{
          position: 'absolute',
          top: 1,
          right: 5,
          fontSize: '1rem',
          fontWeight: 720,
          lineHeight: 1.2,
          color: wrong ? stateColour('replace') : 'text.secondary',
        }}
      >
        {bath ? (
          <svg viewBox="0 0 24 24" width={15} height={15} style={{ display: 'block', marginTop: 3 }}>
            <StateGlyph state="in-bath" />
          </svg>
        ) : (
          cornerSign(state)
        )}
      </Box>
      <Outline part={part} ghost={closed || state.fate !== null || state.mark === 'missing'} accent={atHand} />
    </Box>
  );
}

/** The tray: a numbered slot for each part that came off, in that order; dashed where it is back in. */
export function SlotRail({
  assembly,
  states,
  isAtHand,
  onTap,
  figure,
}: Pick<DrawnStates, 'isAtHand' | 'onTap'> & {
  assembly: Assembly;
  states: readonly PartState[];
  /** What the axle is drawn in, from which a part comes. */
  figure: RefObject<HTMLElement | null>;
}) {
  const rail = useLyingDown(states, figure);
  const laid = explodedLine(assembly.parts).parts;
  const slots = states.filter(({ slot }) => slot !== null).toSorted((a, b) => a.slot! - b.slot!);
  return (
    <Box
      component="ol"
      ref={rail}
      aria-label="In the tray, by the order they came off"
      // Empty it stays, unseen, so that the first part that comes off is seen to go there.
      hidden={slots.length === 0}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: '6px',
        listStyle: 'none',
        p: 0,
        m: 0,
        '&[hidden]': { display: 'none' },
      }}
    >
      {slots.map((state) => (
        <Box component="li" key={state.id}>
          <Slot
            state={state}
            part={laid.find(({ id }) => id === state.id)}
            atHand={isAtHand(state.id)}
            onTap={onTap && (() => onTap({ part: state.id, track: null }))}
          />
        </Box>
      ))}
    </Box>
  );
}

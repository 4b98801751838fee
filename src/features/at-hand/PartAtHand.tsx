'use client';
import Box from '@mui/material/Box';
import { useRef } from 'react';
import { detailOf } from '@/core/drawing/details';
import { bearingAt } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '@/model/record';
import { isOff, partStates, stateWords, type PartState } from '@/model/strip/partStates';
import { useBenches } from '../workshop/useBenches';
import { useTrays } from '../workshop/useTrays';
import { BearingSection } from './BearingSection';
import { DetailDrawing } from './DetailDrawing';
import { ExplodedDrawing } from './ExplodedDrawing';
import type { HandNow } from './hand';
import type { DrawnStates, Tapped } from './pen';
import { SlotRail } from './SlotRail';

/** What an assembly is drawn as first: together and cut open, or pulled apart along its axis. */
export type Form = 'section' | 'exploded';

/** What the marks of the drawing mean, as far as they are on it. */
function legendOf(states: readonly PartState[]): string {
  return [
    states.some(isOff) && 'Dashed: off',
    states.some(({ where }) => where === 'bath') && 'tinted: in a bath',
    states.some(({ mark }) => mark === 'worn') && '~ worn',
    states.some(({ mark }) => mark === 'wrong') && '× wrong part',
    states.some(({ mark }) => mark === 'missing') && '? missing',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** The assembly at a place, where there is one, with each part as it stands at this moment. */
export function useAssemblyAt(bicycle: Bicycle, place: string) {
  const trays = useTrays(bicycle);
  const benches = useBenches(bicycle);
  const assembly = trays?.trays.find((each) => each.place === (trays.trayOf[place] ?? place)) ?? null;
  const bench = benches?.benches.find((each) => each.place === bearingAt(place)) ?? null;
  const detail = detailOf(place, bicycle.kind);
  return {
    pending: trays === null || benches === null,
    assembly,
    // A section is of what was found here: of another build it would show what is not there.
    bench: bench && (assembly === null || bench.assembly === assembly.id) ? bench : null,
    detail,
  };
}

/** Whether a place can be drawn by itself, or may be: it is not known yet. */
export const isDrawn = ({ pending, assembly, bench, detail }: ReturnType<typeof useAssemblyAt>): boolean =>
  pending || bench !== null || detail !== null || (assembly?.parts.length ?? 0) > 1;

/**
 * The part at hand, in one drawing: cut open or pulled apart along its axis, and beneath it the tray. It is drawn from the
 * record: what is off is a ghost and lies in its numbered slot, balls are as many as are in, what is turned is in the accent.
 */
export function PartAtHand({
  bicycle,
  place,
  form,
  hand,
  onTap,
  small = false,
}: {
  bicycle: Bicycle;
  place: string;
  form: Form;
  hand: HandNow;
  onTap?(tapped: Tapped): void;
  /** Only the first drawing, low, as on a phone where a line is being read. */
  small?: boolean;
}) {
  const figure = useRef<HTMLDivElement>(null);
  const { pending, assembly, bench, detail } = useAssemblyAt(bicycle, place);
  if (pending) return <Box role="status">Drawing it…</Box>;
  const states = assembly ? partStates(bicycle, assembly) : [];
  const drawn: DrawnStates = {
    stateOf: (part) => states.find(({ id }) => id === part),
    isAtHand: (part) => part !== null && hand.parts.includes(part),
    onTap,
  };
  // What is no bearing is not cut open so that each part would show: its line is drawn too.
  const apart = (form === 'exploded' || bench === null) && assembly !== null && assembly.parts.length > 1;
  const together = bench ? (
    <BearingSection
      {...drawn}
      bicycle={bicycle}
      bench={bench}
      faceless={apart || small}
      mostPx={small ? 104 : apart ? 190 : undefined}
    />
  ) : (
    detail && <DetailDrawing {...drawn} detail={detail} mostPx={small ? 104 : apart ? 200 : 360} />
  );
  const line = assembly && assembly.parts.length > 1 && (
    <ExplodedDrawing
      {...drawn}
      assembly={assembly}
      turn={hand.turn}
      mostPx={small ? 96 : 210}
      told={states.map(stateWords).join('; ')}
    />
  );
  const legend = legendOf(states);
  const named = states
    .filter(({ id }) => hand.parts.includes(id))
    .map(({ words }) => words)
    .join(', ');
  return (
    <Box component="figure" sx={{ m: 0, width: '100%', display: 'grid', gap: small ? 0 : 1.5 }}>
      <Box ref={figure} sx={{ display: 'grid', gap: 1.5, minWidth: 0 }}>
        {small
          ? apart
            ? line
            : (together ?? line)
          : apart
            ? [together, line].map((each, i) => (
                <Box key={i} sx={{ minWidth: 0 }}>
                  {each}
                </Box>
              ))
            : (together ?? line)}
      </Box>
      {!small && assembly && <SlotRail {...drawn} assembly={assembly} states={states} figure={figure} />}
      {!small && (
        <Box component="figcaption" sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
          {named && (
            <>
              At hand:{' '}
              <Box component="b" sx={{ color: 'primary.main' }}>
                {named}
              </Box>
              .{' '}
            </>
          )}
          {assembly && (apart || !together) && `${assembly.axis.charAt(0).toUpperCase()}${assembly.axis.slice(1)}. `}
          {legend && `${legend}.`}
        </Box>
      )}
    </Box>
  );
}

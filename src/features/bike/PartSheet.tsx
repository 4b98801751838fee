'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { ChevronDown } from '@/ui/icons';
import { ChevronUp } from '@/ui/toolIcons';
import { Suspense, useState, type ReactNode } from 'react';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { useHandNow } from '../at-hand/hand';
import { isDrawn, PartAtHand, useAssemblyAt, type Form } from '../at-hand/PartAtHand';
import { useDeclared } from '../workshop/declared';

/** The sheet with a place open: its part fills the column; on a phone it is a strip until more of it is asked for. */
export function PartSheet({
  bicycle,
  place,
  form,
  stage,
  phone,
  locator,
  otherwise,
}: {
  bicycle: Bicycle;
  place: string;
  form: Form;
  stage: Stage;
  phone: boolean;
  /** The whole bicycle, small: on a phone it stands in the strip. */
  locator: ReactNode;
  /** Where nothing of the place can be drawn but the place itself. */
  otherwise: ReactNode;
}) {
  const { hand, tap } = useHandNow();
  const [whole, setWhole] = useState(false);
  const isPart = isDrawn(useAssemblyAt(bicycle, place));
  const own = useDeclared()
    .flatMap(({ drawings }) => drawings ?? [])
    .find(({ at, of }) => at.includes(stage) && of(place, bicycle));
  // On a phone it is drawn where it is tapped, in the stage.
  if (own && !phone)
    return (
      <Box sx={{ width: '100%' }}>
        <Suspense fallback={<p role="status">Drawing it…</p>}>
          <own.view.View bicycle={bicycle} place={place} />
        </Suspense>
      </Box>
    );
  if (own || !isPart)
    return phone ? (
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, width: '100%' }}>
        {locator}
        <Box sx={{ fontWeight: 660 }}>{placeLabel(place)}</Box>
      </Box>
    ) : (
      otherwise
    );
  const part = (small: boolean) => (
    <PartAtHand bicycle={bicycle} place={place} form={form} hand={hand} onTap={tap} small={small} />
  );
  return (
    <Box sx={{ width: '100%' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        {phone && locator}
        {phone && whole && <Box sx={{ flex: 1, fontWeight: 660 }}>{placeLabel(place)}</Box>}
        {phone && !whole && <Box sx={{ flex: 1, minWidth: 0 }}>{part(true)}</Box>}
        {phone && (
          <IconButton
            aria-label={whole ? 'Draw it smaller' : 'Draw it larger'}
            aria-expanded={whole}
            color="inherit"
            onClick={() => setWhole(!whole)}
          >
            {whole ? <ChevronUp /> : <ChevronDown />}
          </IconButton>
        )}
      </Box>
      {(!phone || whole) && part(false)}
    </Box>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Choice } from '@/core/strip/trays';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { Disclosure } from '@/ui/Disclosure';

/** Assemblies at places that have none by default: there to be asked for. */
export function MoreAssemblies({
  summary,
  has,
  choices,
  onChoose,
}: {
  summary: string;
  /** Places that have one already. */
  has: string[];
  choices: Record<string, Choice[]>;
  onChoose(place: string, choice: Choice): void;
}) {
  const more = Object.entries(choices).flatMap(([place, here]) =>
    has.includes(place) ? [] : here.map((each) => ({ place, ...each })),
  );
  if (more.length === 0) return null;
  return (
    <Disclosure summary={<>{summary}</>}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', py: 1 }}>
        {more.map(({ place, ...choice }) => (
          <Button
            key={`${place} ${choice.id}`}
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56 }}
            onClick={() => onChoose(place, choice)}
          >
            {choice.title} ({placeLabel(place).toLowerCase()})
          </Button>
        ))}
      </Box>
    </Disclosure>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
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
  choices: Record<string, { id: string; title: string }[]>;
  onChoose(place: string, assembly: string): void;
}) {
  const more = Object.entries(choices).flatMap(([place, here]) =>
    has.includes(place) ? [] : here.map((each) => ({ place, ...each })),
  );
  if (more.length === 0) return null;
  return (
    <Disclosure summary={<>{summary}</>}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', py: 1 }}>
        {more.map(({ place, id, title }) => (
          <Button
            key={`${place} ${id}`}
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56 }}
            onClick={() => onChoose(place, id)}
          >
            {title} ({placeLabel(place).toLowerCase()})
          </Button>
        ))}
      </Box>
    </Disclosure>
  );
}

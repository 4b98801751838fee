'use client';
import Box from '@mui/material/Box';
import { chosenAssemblies } from '@/model/strip/trays';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What is done to the seats of a place before its parts go in, with where it stops. */
export function BeforeParts({ bicycle, place }: Pick<StageProps, 'bicycle'> & { place: string }) {
  const { output } = useReckon('rebuild.prepare', { kind: bicycle.kind, assemblies: chosenAssemblies(bicycle) });
  const here = output?.preparations.filter((each) => each.place === place) ?? [];
  if (here.length === 0) return null;
  return (
    <Disclosure summary={<>Before parts go in: {here.length}</>} wide>
      <RuledList ordered aria-label="Before parts go in">
        {here.map(({ title, how, stop, qualified }) => (
          <Box component="li" key={title} sx={{ py: 1.25 }}>
            <Box sx={{ fontWeight: 640 }}>{title}</Box>
            <Box sx={{ fontSize: '0.95rem' }}>{how}</Box>
            <Box sx={{ fontSize: '0.95rem' }}>
              <b>Stop:</b> {stop}
            </Box>
            {qualified && <Box sx={{ fontSize: '0.95rem', fontWeight: 640 }}>For a qualified hand.</Box>}
          </Box>
        ))}
      </RuledList>
    </Disclosure>
  );
}

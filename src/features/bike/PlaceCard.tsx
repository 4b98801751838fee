'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { Close } from '@/ui/icons';
import { Suspense } from 'react';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { Notes } from '../notes/Notes';
import { StepPhotos } from '../photos/StepPhotos';
import { useDeclared, type PlaceProps } from '../workshop/declared';

/** Photographs of a place that belong to no step of the bench. */
export const OF_THE_PLACE = 'place';

/** What is known of one place, whatever the stage: what each subject tells of it, photographs and notes. */
export function PlaceCard({
  noting,
  onClose,
  ...at
}: PlaceProps & {
  noting: boolean;
  onClose(): void;
}) {
  const { bicycle, send, place } = at;
  const parts = useDeclared().flatMap(({ place: part }) => part ?? []);
  return (
    <Box
      component="section"
      aria-label={placeLabel(place)}
      sx={{ border: '1.5px solid', borderColor: 'text.primary', bgcolor: 'sheet.paper', p: { xs: 2, md: 2.5 }, mb: 4 }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', gap: 2 }}>
        <Typography variant="h2" sx={{ fontSize: '1.5rem' }}>
          {placeLabel(place)}
        </Typography>
        <IconButton aria-label="Close the place" onClick={onClose} sx={{ mt: -1, mr: -1 }}>
          <Close />
        </IconButton>
      </Box>
      <Suspense fallback={<Box sx={{ minHeight: 48 }} />}>
        {parts.map(({ View }, i) => (
          <View key={i} {...at} />
        ))}
      </Suspense>
      <Box sx={{ mt: 1 }}>
        <StepPhotos bicycle={bicycle} send={send} place={place} step={OF_THE_PLACE} title={placeLabel(place)} />
      </Box>
      <Box sx={{ mt: 2 }}>
        <Notes bicycle={bicycle} send={send} place={place} open={noting} />
      </Box>
    </Box>
  );
}

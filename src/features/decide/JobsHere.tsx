'use client';
import Box from '@mui/material/Box';
import type { PlaceProps } from '../workshop/declared';

/** The jobs that were kept for a place. */
export function JobsHere({ bicycle, place }: PlaceProps) {
  return bicycle.jobs
    .filter((job) => job.place === place && job.decision === 'keep')
    .map((job) => (
      <Box key={job.id}>
        Job: <b>{job.title}</b>
        {job.done ? ', done' : ''}
      </Box>
    ));
}

'use client';
import PhotoCameraOutlined from '@mui/icons-material/PhotoCameraOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '@/store/browser';
import { useWorkshopName, type StageProps } from '../workshop/WorkshopProvider';
import { keepPhoto, usePhoto } from './photos';

function Pinned({ id, label }: { id: string; label: string }) {
  const url = usePhoto(useWorkshopName(), id);
  return url ? (
    <img src={url} alt={label} style={{ height: 96, borderRadius: 3, display: 'block' }} />
  ) : (
    <Box sx={{ height: 96, width: 128, bgcolor: 'sheet.soft' }} />
  );
}

/** Photographs pinned to a step, and the prompt to take one. */
export function StepPhotos({
  bicycle,
  send,
  place,
  step,
  title,
}: StageProps & { place: string; step: string; title: string }) {
  const workshop = useWorkshopName();
  const [problem, setProblem] = useState<string | null>(null);
  const pinned = bicycle.photos.filter((photo) => photo.place === place && photo.step === step);
  async function take(file: File | undefined) {
    if (!file) return;
    const id = newId();
    try {
      await keepPhoto(workshop, id, file);
      send({ type: 'addPhoto', photo: { id, step, place, at: new Date().toISOString() } });
      setProblem(null);
    } catch {
      setProblem('That picture could not be kept: it is no photograph the browser can read, or the browser is full.');
    }
  }
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mt: 1 }}>
      {pinned.map((photo) => (
        <Pinned key={photo.id} id={photo.id} label={`Photograph pinned to: ${title}`} />
      ))}
      <Button component="label" variant="outlined" startIcon={<PhotoCameraOutlined />}>
        {pinned.length ? 'Another photograph' : 'Photograph it now'}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </Button>
      {problem && (
        <Typography role="alert" color="error">
          {problem}
        </Typography>
      )}
    </Box>
  );
}

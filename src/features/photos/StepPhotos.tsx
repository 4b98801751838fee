'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Camera } from '@/ui/toolIcons';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { FileButton } from '@/ui/FileButton';
import { dayOf } from '@/ui/format';
import { useWorkshop, type StageProps } from '../workshop/WorkshopProvider';
import { shrinkPhoto, smallId } from './shrink';
import { useBlob } from './useBlob';

function Small({ id, label, onOpen, height }: { id: string; label: string; onOpen(): void; height: number }) {
  const { url, missing } = useBlob(id, true);
  return (
    <Box
      component="button"
      onClick={onOpen}
      aria-label={label}
      sx={{
        all: 'unset',
        cursor: 'pointer',
        borderRadius: '3px',
        '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '2px' },
      }}
    >
      {url ? (
        <img src={url} alt="" loading="lazy" style={{ height, borderRadius: 3, display: 'block' }} />
      ) : (
        <Box
          sx={{
            height,
            width: height * 1.33,
            bgcolor: 'sheet.soft',
            display: 'grid',
            placeItems: 'center',
            fontSize: '0.78rem',
            textAlign: 'center',
            p: 1,
          }}
        >
          {missing ? 'lies on another device' : ''}
        </Box>
      )}
    </Box>
  );
}

const Large = dynamic(() => import('./LargePhoto').then((module) => module.LargePhoto), { ssr: false });

/** Photographs pinned to a step, and the prompt to take one. Small pictures are shown; the whole one opens. */
export function StepPhotos({
  bicycle,
  send,
  place,
  step,
  title,
  height = 96,
  inputId,
}: StageProps & { place: string; step: string; title: string; height?: number; inputId?: string }) {
  const { database } = useWorkshop();
  const [problem, setProblem] = useState<string | null>(null);
  const [large, setLarge] = useState<string | null>(null);
  const pinned = bicycle.photos.filter((photo) => photo.place === place && photo.step === step);
  async function take(file: File) {
    const id = newId();
    try {
      const { photo, small } = await shrinkPhoto(file);
      await database.writePhoto(id, photo);
      await database.writePhoto(smallId(id), small);
      send({ type: 'addPhoto', photo: { id, step, place, at: nowIso() } });
      setProblem(null);
    } catch {
      setProblem('That picture could not be kept: it is no photograph the browser can read, or the browser is full.');
    }
  }
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mt: 1 }}>
      {pinned.map((photo) => (
        <Small
          key={photo.id}
          id={photo.id}
          label={`Photograph of ${dayOf(photo.at)}: ${title}`}
          height={height}
          onOpen={() => setLarge(photo.id)}
        />
      ))}
      {large && (
        <Large
          id={large}
          label={`Photograph pinned to: ${title}`}
          onClose={() => setLarge(null)}
          onRemove={() => {
            send({ type: 'removePhoto', photo: large });
            setLarge(null);
          }}
        />
      )}
      <FileButton
        accept="image/*"
        camera
        startIcon={<Camera />}
        inputId={inputId}
        inputLabel={`Photograph: ${title}`}
        onFile={(file) => void take(file)}
      >
        {pinned.length ? 'Another photograph' : 'Photograph it now'}
      </FileButton>
      {problem && (
        <Typography role="alert" color="error">
          {problem}
        </Typography>
      )}
    </Box>
  );
}

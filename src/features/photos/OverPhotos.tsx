'use client';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { useState } from 'react';
import { useBlob } from './useBlob';

/** The same view before and after, laid over each other: the slider goes from the one to the other. */
export function OverPhotos({ before, now, label }: { before: string; now: string; label: string }) {
  const [share, setShare] = useState(50);
  const [was, is] = [useBlob(before), useBlob(now)];
  if (was.missing || is.missing) return <Box>One of the two lies on another device.</Box>;
  return (
    <Box sx={{ maxWidth: 460 }}>
      <Box
        sx={{
          position: 'relative',
          aspectRatio: '4 / 3',
          bgcolor: 'sheet.soft',
          overflow: 'hidden',
          borderRadius: '3px',
        }}
      >
        {[was, is].map(({ url }, i) =>
          url ? (
            <img
              key={i}
              src={url}
              alt={i === 0 ? `${label}, before` : `${label}, now`}
              style={{
                position: 'absolute',
                inset: 0,
                width: '100%',
                height: '100%',
                objectFit: 'contain',
                ...(i === 1 && { clipPath: `inset(0 0 0 ${100 - share}%)` }),
              }}
            />
          ) : null,
        )}
      </Box>
      <Slider
        aria-label={`${label}: from before to now`}
        value={share}
        onChange={(_event, value) => setShare(value)}
        sx={{ my: 1 }}
      />
    </Box>
  );
}

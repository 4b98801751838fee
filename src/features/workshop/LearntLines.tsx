'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useWorkshop } from './WorkshopProvider';

/** Stops reckoning by something that was learnt, everywhere and at once. */
export function UndoLesson({ lesson, words }: { lesson: string; words: string }) {
  const workshop = useWorkshop();
  return (
    <Button
      size="small"
      color="inherit"
      aria-label={`Undo: ${words}`}
      onClick={() => void workshop.changeSettings(({ learnt }) => ({ learnt: { ...learnt, [lesson]: 'no' } }))}
    >
      Undo
    </Button>
  );
}

/** What finished bicycles taught that the figures beside it are reckoned by, each undone with one tap. */
export function LearntLines({ lines }: { lines: readonly { key: string; words: string }[] }) {
  if (lines.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="Learnt from finished bicycles"
      sx={{ m: 0, my: 1, pl: 1.5, listStyle: 'none', borderLeft: '2px solid', borderColor: 'divider' }}
    >
      {lines.map(({ key, words }) => (
        <Box component="li" key={key} sx={{ fontSize: '0.94rem' }}>
          {words} <UndoLesson lesson={key} words={words} />
        </Box>
      ))}
    </Box>
  );
}

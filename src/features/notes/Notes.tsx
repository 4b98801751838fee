'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { Microphone } from '@/ui/toolIcons';
import { useEffect, useRef, useState } from 'react';
import type { Note } from '@/model/work/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { TextInput } from '@/ui/TextInput';
import { useBlob } from '../photos/useBlob';
import { useWorkshop, type StageProps } from '../workshop/WorkshopProvider';
import { useRecorder } from './useRecorder';

function Sound({ id }: { id: string }) {
  const { url, missing } = useBlob(id);
  if (missing) return <Typography variant="caption">The sound lies on another device.</Typography>;
  // A remark spoken at the bench has no words to show beside it.

  return url ? <audio controls src={url} style={{ height: 40, maxWidth: '100%' }} /> : null;
}

function NoteRow({ note, onWithdraw }: { note: Note; onWithdraw(): void }) {
  return (
    <Box component="li" sx={{ py: 1, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      <Box sx={{ flex: 1, minWidth: 180 }}>
        {note.text && <Box sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{note.text}</Box>}
        {note.sound && <Sound id={note.sound} />}
        <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>{dayOf(note.at)}</Box>
      </Box>
      <Button size="small" color="inherit" onClick={onWithdraw}>
        Undo
      </Button>
    </Box>
  );
}

/** Typed and spoken remarks on a place, or on the bicycle where `place` is null. */
export function Notes({ bicycle, send, place, open }: StageProps & { place: string | null; open?: boolean }) {
  const { database } = useWorkshop();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (open) field.current?.focus();
  }, [open]);
  const add = (words: string, sound: string | null) =>
    send({
      type: 'addNote',
      note: { id: newId(), place, text: words.slice(0, 2000), sound, at: nowIso(), withdrawn: false },
    });
  const recorder = useRecorder(async (blob) => {
    const id = `sound-${newId()}`;
    try {
      await database.writePhoto(id, blob);
      add('', id);
      setProblem(null);
    } catch {
      setProblem('The sound could not be kept: the browser is full. Free some space, then say it again.');
    }
  });
  function write(): void {
    if (text.trim() === '') return;
    add(text.trim(), null);
    setText('');
  }
  const rows = bicycle.notes.filter((note) => note.place === place && !note.withdrawn);
  return (
    <Box>
      {rows.length > 0 && (
        <Box component="ul" aria-label="Notes" sx={{ p: 0, m: 0, mb: 1, listStyle: 'none' }}>
          {rows.map((note) => (
            <NoteRow key={note.id} note={note} onWithdraw={() => send({ type: 'withdrawNote', note: note.id })} />
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <TextInput
          label="Note, then Enter"
          value={text}
          inputRef={field}
          fullWidth
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              write();
            }
          }}
          onBlur={write}
        />
        <IconButton
          aria-label={recorder.recording ? 'Speaking; let go to keep it' : 'Hold to speak a note'}
          aria-pressed={recorder.recording}
          color={recorder.recording ? 'error' : 'inherit'}
          onPointerDown={() => void recorder.start()}
          onPointerUp={() => recorder.stop()}
          onPointerLeave={() => recorder.stop()}
          onKeyDown={(event) => {
            if (event.key === ' ' && !event.repeat) {
              event.preventDefault();
              void recorder.start();
            }
          }}
          onKeyUp={(event) => event.key === ' ' && recorder.stop()}
          sx={{ border: '1px solid', borderColor: 'divider', width: 48, height: 48, touchAction: 'none' }}
        >
          <Microphone />
        </IconButton>
      </Box>
      {(problem ?? recorder.problem) && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {problem ?? recorder.problem}
        </Typography>
      )}
    </Box>
  );
}

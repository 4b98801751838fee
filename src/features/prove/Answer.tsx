'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Missing } from '@/core/prove/ready';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { TextInput } from '@/ui/TextInput';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';

/** What may be said about a missing thing here, without going to its stage. */
type Form = 'accept' | 'end' | null;

function formFor({ kind, blocks }: Missing): Form {
  if (kind === 'unaccepted' && blocks) return 'accept';
  return kind === 'unsafe' ? 'end' : null;
}

const REASONS = ['Known, and the owner agrees', 'Original, and kept', 'Done by the next owner'];

function Accept({ item, send, onDone }: { item: Missing; onDone(): void } & Pick<StageProps, 'send'>) {
  const { name } = useHand();
  const today = useToday();
  const [words, setWords] = useState('');
  const accept = (reason: string) => {
    const said = { by: name, on: today, words: reason.slice(0, 2000) };
    send({ type: 'acceptFinding', acceptance: { id: newId(), check: item.id, ...said, at: nowIso() } });
    onDone();
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}>
      {REASONS.map((reason) => (
        <Button key={reason} size="small" variant="outlined" onClick={() => accept(reason)}>
          {reason}
        </Button>
      ))}
      <TextInput
        label={`Another reason, then Enter (${name})`}
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && words.trim() && accept(words.trim())}
        sx={{ minWidth: 260 }}
      />
    </Box>
  );
}

function End({ item, send, onDone }: { item: Missing; onDone(): void } & Pick<StageProps, 'send'>) {
  const { name } = useHand();
  const today = useToday();
  const [by, setBy] = useState('');
  const [paper, setPaper] = useState('');
  const end = (how: 'removed' | 'cleared', who: string, what: string) => {
    send({
      type: 'endFinding',
      ending: { id: newId(), check: item.id, how, by: who, on: today, paper: what, at: nowIso() },
    });
    onDone();
  };
  const whole = by.trim() !== '' && paper.trim() !== '';
  return (
    <Box sx={{ mt: 1, display: 'grid', gap: 1.5, maxWidth: 620 }}>
      <Box>
        Mended: mark its job as done and look at it again. Read wrongly: read it again, the same way or a better one.
      </Box>
      <Button variant="outlined" color="inherit" sx={{ justifySelf: 'start' }} onClick={() => end('removed', name, '')}>
        The part is off the bicycle for good
      </Button>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextInput label="Qualified person" value={by} onChange={(event) => setBy(event.target.value.slice(0, 80))} />
        <TextInput label="Their paper" value={paper} onChange={(event) => setPaper(event.target.value.slice(0, 500))} />
        <Button variant="outlined" disabled={!whole} onClick={() => end('cleared', by.trim(), paper.trim())}>
          Cleared by them
        </Button>
      </Box>
    </Box>
  );
}

/** One missing thing in words, with what may be said about it on the spot. */
export function MissingRow({ item, send }: { item: Missing } & Pick<StageProps, 'send'>) {
  const [open, setOpen] = useState(false);
  const form = formFor(item);
  return (
    <Box component="li" sx={{ py: 0.4 }}>
      {item.words}
      {form && (
        <Button size="small" color="inherit" aria-expanded={open} sx={{ ml: 1 }} onClick={() => setOpen(!open)}>
          {form === 'accept' ? 'Accept it as it is…' : 'It ends when…'}
        </Button>
      )}
      {open && form === 'accept' && <Accept item={item} send={send} onDone={() => setOpen(false)} />}
      {open && form === 'end' && <End item={item} send={send} onDone={() => setOpen(false)} />}
    </Box>
  );
}

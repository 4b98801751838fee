'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import * as z from 'zod/mini';
import type { Missing } from '@/core/prove/ready';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { FormText, saidText, useSentForm } from '@/ui/forms';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';

/** What may be said about a missing thing here, without going to its stage. */
type Form = 'accept' | 'end' | null;

function formFor({ kind, blocks }: Missing): Form {
  if (kind === 'unaccepted' && blocks) return 'accept';
  return kind === 'unsafe' ? 'end' : null;
}

const reason = z.strictObject({ words: saidText('Say why.', 2000) });
const cleared = z.strictObject({
  by: saidText('Say who: only a qualified person clears it.', 80),
  paper: saidText('Say on which paper.', 500),
});

const REASONS = ['Known, and the owner agrees', 'Original, and kept', 'Done by the next owner'];

function Accept({ item, send, onDone }: { item: Missing; onDone(): void } & Pick<StageProps, 'send'>) {
  const { name } = useHand();
  const today = useToday();
  const accept = (why: string) => {
    const said = { by: name, on: today, words: why };
    send({ type: 'acceptFinding', acceptance: { id: newId(), check: item.id, ...said, at: nowIso() } });
    onDone();
  };
  const { control, submit } = useSentForm(reason, { words: '' }, ({ words }) => accept(words));
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start', mt: 1 }}>
      {REASONS.map((why) => (
        <Button key={why} size="small" variant="outlined" onClick={() => accept(why)}>
          {why}
        </Button>
      ))}
      <Box component="form" noValidate onSubmit={submit}>
        <FormText
          control={control}
          name="words"
          label={`Another reason, then Enter (${name})`}
          sx={{ minWidth: 260 }}
        />
      </Box>
    </Box>
  );
}

function End({ item, send, onDone }: { item: Missing; onDone(): void } & Pick<StageProps, 'send'>) {
  const { name } = useHand();
  const today = useToday();
  const end = (how: 'removed' | 'cleared', who: string, what: string) => {
    send({
      type: 'endFinding',
      ending: { id: newId(), check: item.id, how, by: who, on: today, paper: what, at: nowIso() },
    });
    onDone();
  };
  const { control, submit } = useSentForm(cleared, { by: '', paper: '' }, ({ by, paper }) => end('cleared', by, paper));
  return (
    <Box sx={{ mt: 1, display: 'grid', gap: 1.5, maxWidth: 620 }}>
      <Box>
        Mended: mark its job as done and look at it again. Read wrongly: read it again, the same way or a better one.
      </Box>
      <Button variant="outlined" color="inherit" sx={{ justifySelf: 'start' }} onClick={() => end('removed', name, '')}>
        The part is off the bicycle for good
      </Button>
      <Box
        component="form"
        noValidate
        onSubmit={submit}
        sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}
      >
        <FormText control={control} name="by" label="Qualified person" />
        <FormText control={control} name="paper" label="Their paper" />
        <Button type="submit" variant="outlined">
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

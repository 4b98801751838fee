'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Parcel, Preview } from '@/store/archive';
import { FileButton } from '@/ui/FileButton';
import { dayOf } from '@/ui/format';
import { Section } from '@/ui/Section';
import { useWorkshop } from '../workshop/WorkshopProvider';
import { archive, Told, type Doing } from './told';

function PreviewList({ title, names }: { title: string; names: string[] }) {
  if (names.length === 0) return null;
  return (
    <Box sx={{ py: 0.25 }}>
      <b>{title}:</b> {names.slice(0, 12).join(', ')}
      {names.length > 12 && ` and ${names.length - 12} more`}
    </Box>
  );
}

/** A file or a parcel in: read whole, shown, and taken only when it is said so. */
export function TakeIn() {
  const workshop = useWorkshop();
  const [doing, setDoing] = useState<Doing>(null);
  const [waiting, setWaiting] = useState<{ parcel: Parcel; seen: Preview; words: string } | null>(null);
  const [code, setCode] = useState('');

  async function open(data: Uint8Array) {
    setDoing({ busy: 'Reading it whole…' });
    const { unpack, preview, previewWords } = await archive();
    const read = await unpack(data);
    if (!read.ok) {
      setDoing({ wrong: read.why });
      return;
    }
    const seen = await preview(workshop, read.parcel);
    setWaiting({ parcel: read.parcel, seen, words: previewWords(seen) });
    setDoing(null);
  }
  async function fetchCode() {
    setDoing({ busy: 'Fetching it…' });
    try {
      const answer = await fetch(`/api/handover/${encodeURIComponent(code.trim())}`, { method: 'POST' });
      if (answer.ok) await open(new Uint8Array(await answer.arrayBuffer()));
      else setDoing({ wrong: ((await answer.json()) as { why: string }).why });
    } catch {
      setDoing({ wrong: 'Ergasto cannot be reached from here just now. Take it as a file instead.' });
    }
  }
  async function take() {
    if (!waiting) return;
    setDoing({ busy: 'Taking it in…' });
    try {
      const { takeIn } = await archive();
      await takeIn(workshop, waiting.parcel);
      const own = Object.keys(workshop.store.getState().summaries).length === waiting.parcel.file.bicycles.length;
      if (own && waiting.parcel.file.settings) await workshop.changeSettings(waiting.parcel.file.settings);
      setWaiting(null);
      setDoing({ said: 'Taken in.' });
    } catch {
      setDoing({ wrong: 'The browser would not write it, so nothing was changed. Free some space, then try again.' });
    }
  }
  return (
    <Section title="Take in">
      <Typography sx={{ maxWidth: '62ch', mb: 2 }}>
        An export, or a bicycle sent from another device. It is read whole first and shown here; nothing is changed
        before you say so. What was changed in both is merged, and what was entered twice is asked about.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <FileButton
          accept=".zip,application/zip"
          inputLabel="Choose a file to take in"
          onFile={(file) => {
            setWaiting(null);
            void file
              .arrayBuffer()
              .then((data) => open(new Uint8Array(data)))
              .catch(() => setDoing({ wrong: 'That file could not be read.' }));
          }}
        >
          Choose a file
        </FileButton>
        <TextField
          label="Or a code"
          value={code}
          onChange={(event) => setCode(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && void fetchCode()}
          sx={{ width: 170 }}
          slotProps={{ htmlInput: { autoCapitalize: 'characters', autoComplete: 'off' } }}
        />
        <Button variant="outlined" disabled={code.trim().length < 8} onClick={() => void fetchCode()}>
          Fetch
        </Button>
      </Box>
      {waiting && (
        <Box sx={{ border: '1.5px solid', borderColor: 'text.primary', p: 2, mt: 2, bgcolor: 'sheet.paper' }}>
          <Typography sx={{ fontWeight: 640, fontSize: '1.15rem' }}>{waiting.words}</Typography>
          <PreviewList title="New" names={waiting.seen.fresh} />
          <PreviewList title="Newer there" names={waiting.seen.newerThere} />
          <PreviewList title="Newer here, stays" names={waiting.seen.newerHere} />
          <PreviewList title="Changed in both, merged" names={waiting.seen.both} />
          <PreviewList title="The same" names={waiting.seen.same} />
          <Box sx={{ color: 'text.secondary', mt: 0.5 }}>Packed {dayOf(waiting.parcel.file.exportedAt)}.</Box>
          <Box sx={{ display: 'flex', gap: 1.5, mt: 2 }}>
            <Button
              variant="contained"
              onClick={() => void take()}
              disabled={waiting.parcel.file.bicycles.length === 0}
            >
              Take it in
            </Button>
            <Button color="inherit" onClick={() => setWaiting(null)}>
              Leave it
            </Button>
          </Box>
        </Box>
      )}
      <Told doing={doing} />
    </Section>
  );
}

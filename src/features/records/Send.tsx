'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { fileName } from '@/core/fileName';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';
import { archive, Told, zipBlob, type Doing } from './told';

/** One bicycle on to another device. */
export function Send() {
  const workshop = useWorkshop();
  const settings = useSettings();
  const summaries = useWorkshopState((state) => state.summaries);
  const asked = useSearchParams().get('send') ?? '';
  const [id, setId] = useState(asked);
  const [doing, setDoing] = useState<Doing>(null);
  const rows = Object.values(summaries).sort((a, b) => a.name.localeCompare(b.name, 'en'));
  const chosen = summaries[id];
  const canShare = typeof navigator !== 'undefined' && typeof navigator.canShare === 'function';

  async function pack(): Promise<{ blob: Blob; name: string; at: string } | null> {
    const bicycle = await workshop.open(id);
    if (!bicycle) return null;
    await workshop.settled();
    const { packBicycles } = await archive();
    const at = new Date().toISOString();
    const { zip } = await packBicycles(workshop.database, [bicycle], {
      scope: 'bicycles',
      settings: null,
      currency: settings.currency,
      at,
    });
    return { blob: zipBlob(zip), name: `${fileName(bicycle.name)}.zip`, at };
  }
  async function send(how: 'file' | 'share' | 'code') {
    setDoing({ busy: 'Packing…' });
    try {
      const packed = await pack();
      if (!packed) return;
      if (how === 'file') saveFile(packed.blob, packed.name);
      if (how === 'share') {
        const file = new File([packed.blob], packed.name, { type: 'application/zip' });
        if (!navigator.canShare({ files: [file] })) {
          setDoing({ wrong: 'This device shares no files: save it as a file instead.' });
          return;
        }
        await navigator.share({ files: [file], title: chosen?.name });
      }
      if (how === 'code') {
        const answer = await fetch('/api/handover', { method: 'POST', body: packed.blob });
        if (!answer.ok) {
          setDoing({ wrong: ((await answer.json()) as { why: string }).why });
          return;
        }
        const { code } = (await answer.json()) as { code: string };
        await workshop.markShared([id], packed.at);
        setDoing({
          said: (
            <>
              <Box sx={{ fontSize: '2.6rem', fontWeight: 680, letterSpacing: '0.06em' }}>
                {code.slice(0, 4)} {code.slice(4)}
              </Box>
              Type it on the other device under Take in, within ten minutes. It works once.
            </>
          ),
        });
        return;
      }
      await workshop.markShared([id], packed.at);
      setDoing({
        said: 'Packed and handed on. What is changed on both devices from now on is merged when it comes back.',
      });
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') setDoing(null);
      else
        setDoing({
          wrong: 'It could not be sent: Ergasto cannot be reached, or the browser refused. Save it as a file instead.',
        });
    }
  }
  return (
    <Section title="Send a bicycle to another device">
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextField
          select
          label="Which bicycle"
          value={chosen ? id : ''}
          onChange={(event) => setId(event.target.value)}
          sx={{ minWidth: 240 }}
        >
          {rows.map((row) => (
            <MenuItem key={row.id} value={row.id}>
              {row.name}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" disabled={!chosen} onClick={() => void send('code')}>
          By a code
        </Button>
        <Button variant="outlined" disabled={!chosen} onClick={() => void send('file')}>
          As a file
        </Button>
        {canShare && (
          <Button variant="outlined" disabled={!chosen} onClick={() => void send('share')}>
            Share
          </Button>
        )}
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1, maxWidth: '62ch' }}>
        A code works where both devices reach this same running Ergasto. The parcel lies in its memory for ten minutes
        at most and is gone when it is fetched.
      </Typography>
      <Told doing={doing} />
    </Section>
  );
}

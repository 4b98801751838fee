'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { fileName } from '@/core/fileName';
import { nowIso } from '@/store/now';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { useWorkshop, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { Told } from './Told';
import { useRecordsJob } from './useRecordsJob';

/** A parcel that is not taken within this time is not waited for. */
const HANDOVER_MS = 60_000;

/** One bicycle on to another device. */
export function Send() {
  const workshop = useWorkshop();
  const name = useWorkshopName();
  const summaries = useWorkshopState((state) => state.summaries);
  const asked = useSearchParams().get('send') ?? '';
  const [id, setId] = useState(asked);
  const { doing, setDoing, run, stop } = useRecordsJob();
  const rows = Object.values(summaries).sort((a, b) => a.name.localeCompare(b.name, 'en'));
  const chosen = Object.hasOwn(summaries, id) ? summaries[id] : undefined;
  const canShare = typeof navigator !== 'undefined' && typeof navigator.canShare === 'function';

  async function pack(): Promise<{ zip: Blob; name: string; at: string; missing: number } | null> {
    if (!chosen) return null;
    await workshop.settled();
    const at = nowIso();
    const packed = await run<{ zip: Blob; missing: number }>(
      'Packing…',
      (api, onProgress) => api.pack(name, { ids: [id], scope: 'bicycles', at }, onProgress),
      { wrong: 'It could not be packed: the browser refused to read it. Nothing was changed.' },
    );
    return packed && { ...packed, name: `${fileName(chosen.name)}.zip`, at };
  }
  async function send(how: 'file' | 'share' | 'code') {
    try {
      const packed = await pack();
      if (!packed) return;
      const without =
        packed.missing === 0
          ? ''
          : ` ${packed.missing === 1 ? '1 photograph lies' : `${packed.missing} photographs lie`} on another device and not in it.`;
      if (how === 'file') saveFile(packed.zip, packed.name);
      if (how === 'share') {
        const file = new File([packed.zip], packed.name, { type: 'application/zip' });
        if (!navigator.canShare({ files: [file] })) {
          setDoing({ wrong: 'This device shares no files: save it as a file instead.' });
          return;
        }
        await navigator.share({ files: [file], title: chosen?.name });
      }
      if (how === 'code') {
        setDoing({ busy: 'Handing it over…', progress: null, silent: false, brief: true });
        const answer = await fetch('/api/handover', {
          method: 'POST',
          body: packed.zip,
          signal: AbortSignal.timeout(HANDOVER_MS),
        });
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
              Type it on the other device under Import, within ten minutes. It works once.{without}
            </>
          ),
        });
        return;
      }
      await workshop.markShared([id], packed.at);
      setDoing({
        said: `Packed and handed on. What is changed on both devices from now on is merged when it comes back.${without}`,
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
      <Told doing={doing} onStop={stop} />
    </Section>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState, type ReactNode } from 'react';
import { fileName } from '@/core/fileName';
import type { Bicycle } from '@/model/record';
import type { Parcel, Preview } from '@/store/archive';
import { FileButton } from '@/ui/FileButton';
import { dayOf } from '@/ui/format';
import { saveFile } from '@/ui/saveFile';
import { BigNumber, Section } from '@/ui/Section';
import { TopBar } from '../bike/TopBar';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';

// Packing and its tables come when they are asked for.
const archive = () => import('@/store/archive');

type Doing = { busy: string } | { said: ReactNode } | { wrong: string } | null;

function Told({ doing }: { doing: Doing }) {
  if (!doing) return null;
  if ('busy' in doing) return <Typography role="status">{doing.busy}</Typography>;
  if ('wrong' in doing)
    return (
      <Typography role="alert" color="error" sx={{ mt: 1.5 }}>
        {doing.wrong}
      </Typography>
    );
  return (
    <Box role="status" sx={{ mt: 1.5 }}>
      {doing.said}
    </Box>
  );
}

function zipBlob(data: Uint8Array): Blob {
  return new Blob([data as Uint8Array<ArrayBuffer>], { type: 'application/zip' });
}

function useAllBicycles() {
  const workshop = useWorkshop();
  return async (): Promise<Bicycle[]> => {
    const ids = Object.keys(workshop.store.getState().summaries);
    const read = await Promise.all(ids.map((id) => workshop.open(id)));
    return read.filter((bicycle) => bicycle !== null);
  };
}

function Export() {
  const workshop = useWorkshop();
  const settings = useSettings();
  const all = useAllBicycles();
  const count = useWorkshopState((state) => Object.keys(state.summaries).length);
  const unexported = useWorkshopState((state) => state.unexported);
  const [doing, setDoing] = useState<Doing>(null);
  async function run() {
    setDoing({ busy: 'Packing…' });
    try {
      await workshop.settled();
      const { packBicycles } = await archive();
      const at = new Date().toISOString();
      const { zip, missing } = await packBicycles(workshop.database, await all(), {
        scope: 'workshop',
        settings,
        currency: settings.currency,
        at,
      });
      saveFile(zipBlob(zip), `${fileName(settings.name)}-${at.slice(0, 10)}.zip`);
      await workshop.markExported();
      setDoing({
        said: `Packed: ${(zip.length / 1e6).toFixed(1)} MB. Keep it somewhere else than this machine.${missing ? ` ${missing} photographs lie on another device and are not in it.` : ''}`,
      });
    } catch {
      setDoing({
        wrong:
          'It could not be packed: the browser refused to read a record or ran out of memory. Nothing was changed.',
      });
    }
  }
  return (
    <Section title="Export the workshop">
      <Box sx={{ display: 'flex', gap: 4, mb: 2, flexWrap: 'wrap' }}>
        <BigNumber value={count} label={count === 1 ? 'bicycle' : 'bicycles'} />
        <BigNumber value={unexported} label="changes since the last export" />
      </Box>
      <Typography sx={{ maxWidth: '62ch', mb: 2 }}>
        One zip with everything: the records as JSON with a published schema, photographs and sounds, tables of money,
        findings and torque for a spreadsheet, and each drawing as SVG.
      </Typography>
      <Button variant="contained" onClick={() => void run()} disabled={count === 0}>
        Export everything
      </Button>
      <Told doing={doing} />
    </Section>
  );
}

function PreviewList({ title, names }: { title: string; names: string[] }) {
  if (names.length === 0) return null;
  return (
    <Box sx={{ py: 0.25 }}>
      <b>{title}:</b> {names.slice(0, 12).join(', ')}
      {names.length > 12 && ` and ${names.length - 12} more`}
    </Box>
  );
}

function Import() {
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

function Send() {
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

function Room() {
  const [room, setRoom] = useState<{ persisted: boolean | null; usedMb: number | null; freeMb: number | null } | null>(
    null,
  );
  async function look(ask: boolean) {
    const storage = (navigator as Partial<Navigator>).storage;
    const persisted = ask ? await storage?.persist?.() : await storage?.persisted?.();
    const { usage, quota } = (await storage?.estimate?.()) ?? {};
    setRoom({
      persisted: persisted ?? null,
      usedMb: usage === undefined ? null : usage / 1e6,
      freeMb: usage === undefined || quota === undefined ? null : (quota - usage) / 1e6,
    });
  }
  useEffect(() => {
    const soon = setTimeout(() => void look(false));
    return () => clearTimeout(soon);
  }, []);
  if (!room) return null;
  return (
    <Section title="Room in this browser">
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', mb: 1.5 }}>
        {room.usedMb !== null && <BigNumber value={`${room.usedMb.toFixed(1)} MB`} label="used here" />}
        {room.freeMb !== null && (
          <BigNumber
            value={room.freeMb > 10_000 ? 'over 10 GB' : `${Math.round(room.freeMb)} MB`}
            label="free for it"
          />
        )}
      </Box>
      <Typography sx={{ maxWidth: '62ch' }}>
        {room.persisted === true
          ? 'The browser has promised to keep the records when it runs short of room.'
          : 'The browser may clear these records when it runs short of room, and a private window forgets them when it is closed. Export often.'}
      </Typography>
      {room.persisted === false && (
        <Button sx={{ mt: 1.5 }} variant="outlined" onClick={() => void look(true)}>
          Ask it to keep them
        </Button>
      )}
    </Section>
  );
}

/** The records themselves: out as open files, in again, and on to another device. */
export function RecordsPage() {
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          Records
        </Box>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: { xs: 2, md: 4 }, maxWidth: 900, mx: 'auto' }}>
        <Export />
        <Import />
        <Send />
        <Room />
      </Box>
    </>
  );
}

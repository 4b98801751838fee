'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { settingWords } from '@/model/settings/settingWords';
import type { Preview } from '@/store/archive/preview';
import { previewWords } from '@/store/archive/previewWords';
import { nowIso } from '@/store/now';
import { FileButton } from '@/ui/FileButton';
import { dayOf, money } from '@/ui/format';
import { Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import { useShare } from '../workshop/sharePart';
import { useSettings, useWorkshop, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { Told } from './Told';
import { useRecordsJob } from './useRecordsJob';

/** A parcel that does not come within this time is not waited for. */
const FETCH_MS = 30_000;

function PreviewList({ title, names, between = ', ' }: { title: string; names: string[]; between?: string }) {
  if (names.length === 0) return null;
  return (
    <Box sx={{ py: 0.25, overflowWrap: 'anywhere' }}>
      <b>{title}:</b> {names.slice(0, 12).join(between)}
      {names.length > 12 && ` and ${names.length - 12} more`}
    </Box>
  );
}

function missingWords(missing: number): string[] {
  if (missing === 0) return [];
  return [missing === 1 ? '1 that it speaks of' : `${missing} that it speaks of`];
}

/** What would come of a file, before anything is changed. */
function Seen({
  seen,
  words,
  first,
  onTake,
  onLeave,
}: {
  seen: Preview;
  words: string;
  /** Another file waits to be finished or taken back. */
  first: boolean;
  onTake(): void;
  onLeave(): void;
}) {
  const { currency } = useSettings();
  const share = useShare();
  const meets = share !== null && share.folder !== null;
  return (
    <Box sx={{ border: '1.5px solid', borderColor: 'text.primary', p: 2, mt: 2, bgcolor: 'sheet.paper' }}>
      <Typography sx={{ fontWeight: 640, fontSize: '1.15rem' }}>{words}</Typography>
      <PreviewList title="New" names={seen.fresh} />
      <PreviewList title="Newer there" names={seen.newerThere} />
      <PreviewList title="Newer here, stays" names={seen.newerHere} />
      <PreviewList title="Changed in both, merged" names={seen.both} />
      <PreviewList title="The same" names={seen.same} />
      <PreviewList title="Closed here, left as they are" names={seen.closed} />
      <PreviewList
        title="Settings that would change"
        between="; "
        names={seen.settings.map((change) => settingWords(change, (minor) => money(minor, currency)))}
      />
      <PreviewList title="Photographs not in it" names={missingWords(seen.missing)} />
      {seen.overfull.map((line) => (
        <Box key={line} sx={{ py: 0.25, color: 'state.watch', fontWeight: 600 }}>
          {line}. It is merged all the same; nothing is lost.
        </Box>
      ))}
      <Box sx={{ color: 'text.secondary', mt: 0.5 }}>Packed {dayOf(seen.packedAt)}.</Box>
      {meets && (
        <Box sx={{ mt: 1.5, fontWeight: 600, maxWidth: '62ch' }}>
          This workshop meets in a shared folder. Take files only from whoever is not in it: what the drawer counts
          would count twice.
        </Box>
      )}
      {first && (
        <Box sx={{ mt: 1.5, fontWeight: 600 }}>
          Another file is half taken in. Finish it, or take it all back, at the top of the page; then this one.
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2 }}>
        <Button
          variant="contained"
          onClick={onTake}
          disabled={first || (seen.bicycles === 0 && seen.settings.length === 0)}
        >
          Import it
        </Button>
        <Button color="inherit" onClick={onLeave}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}

/** A file or a parcel in: read whole, shown, and taken only when it is said so. */
export function TakeIn() {
  const workshop = useWorkshop();
  const name = useWorkshopName();
  const { doing, setDoing, run, stop } = useRecordsJob();
  const [waiting, setWaiting] = useState<{ seen: Preview; words: string } | null>(null);
  const [code, setCode] = useState('');
  const unfinished = useWorkshopState((state) => state.unfinished);
  const busy = doing !== null && 'busy' in doing;

  async function open(zip: Blob) {
    stop();
    setWaiting(null);
    await workshop.settled();
    const read = await run<{ ok: true; seen: Preview } | { ok: false; why: string }>(
      'Reading it whole…',
      (api, onProgress) => api.look(name, zip, onProgress),
      {
        wrong: 'That file could not be read: it is larger than this browser can hold. Nothing was changed.',
        keep: true,
      },
    );
    if (!read) return;
    if (!read.ok) {
      stop();
      setDoing({ wrong: read.why });
      return;
    }
    setWaiting({ seen: read.seen, words: previewWords(read.seen) });
  }
  async function fetchCode() {
    if (code.trim().length < 8) return;
    setDoing({ busy: 'Fetching it…', progress: null, silent: false, brief: true });
    try {
      const answer = await fetch(`/api/handover/${encodeURIComponent(code.trim())}`, {
        method: 'POST',
        signal: AbortSignal.timeout(FETCH_MS),
      });
      if (answer.ok) await open(await answer.blob());
      else setDoing({ wrong: ((await answer.json()) as { why: string }).why });
    } catch {
      setDoing({ wrong: 'Ergasto cannot be reached from here just now. Take it as a file instead.' });
    }
  }
  async function take() {
    await workshop.settled();
    const at = nowIso();
    const done = await run<true>(
      'Taking it in…',
      async (api, onProgress) => {
        await api.take(name, at, onProgress);
        return true;
      },
      { wrong: 'The browser would not write it, so nothing was changed. Free some space, then try again.' },
    );
    await workshop.reload();
    setWaiting(null);
    if (done) setDoing({ said: 'Imported.' });
    else if (workshop.store.getState().unfinished)
      setDoing({ wrong: 'It stopped half way. Finish it, or take it all back, at the top of the page.' });
  }
  return (
    <Section title="Import">
      <Typography sx={{ maxWidth: '62ch', mb: 2 }}>
        An export, or a bicycle sent from another device. It is read whole first and shown here; nothing is changed
        before you say so. What was changed in both is merged, and what was entered twice is asked about.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <FileButton
          accept=".zip,application/zip,.html,text/html"
          inputLabel="Choose a file to import"
          onFile={(file) => void open(file)}
        >
          Choose a file
        </FileButton>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <TextInput
            label="Or a code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && void fetchCode()}
            sx={{ width: 170 }}
            slotProps={{ htmlInput: { autoCapitalize: 'characters', autoComplete: 'off', maxLength: 40 } }}
          />
          <Button variant="outlined" disabled={code.trim().length < 8 || busy} onClick={() => void fetchCode()}>
            Fetch
          </Button>
        </Box>
      </Box>
      {waiting && !busy && (
        <Seen
          {...waiting}
          first={unfinished !== null}
          onTake={() => void take()}
          onLeave={() => {
            stop();
            setWaiting(null);
            setDoing(null);
          }}
        />
      )}
      <Told doing={doing} onStop={stop} />
    </Section>
  );
}

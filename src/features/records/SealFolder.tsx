'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { givePassphrase } from '@/store/share/browserShare';
import { TextInput } from '@/ui/TextInput';
import { SHARE_CHANGED, useShare } from '../workshop/sharePart';
import { useWorkshopName } from '../workshop/WorkshopProvider';

/** Shorter ones are tried out in an afternoon. */
const LEAST = 10;

const SAID = {
  opened: 'It opens.',
  sealed: 'Sealed. What lay there open goes under the seal.',
  wrong: 'It is sealed with another passphrase.',
  'not there': 'The folder is not there.',
} as const;

/** A passphrase for a folder that lies with others: names and contents then say nothing to whoever has it not. */
export function SealFolder() {
  const name = useWorkshopName();
  const share = useShare();
  const [words, setWords] = useState('');
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  if (!share) return null;
  const isShut = share.part.is === 'shut';
  const opens = isShut || share.hasOthers;
  if (share.isSealed && !share.hasOthers)
    return (
      <Box sx={{ maxWidth: '44ch', alignSelf: 'center' }}>
        Sealed. Without the passphrase nobody reads what lies there, you included.
      </Box>
    );
  const give = async () => {
    setBusy(true);
    const came = await givePassphrase(name, words);
    setBusy(false);
    setSaid(SAID[came]);
    if (came !== 'opened' && came !== 'sealed') return;
    setWords('');
    window.dispatchEvent(new Event(SHARE_CHANGED));
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        void give();
      }}
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'end', maxWidth: 520 }}
    >
      <TextInput
        label={opens ? 'Passphrase of the folder' : 'Seal it with a passphrase'}
        type="password"
        autoComplete="off"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        sx={{ width: 260 }}
      />
      <Button
        type="submit"
        variant="outlined"
        sx={{ minHeight: 48 }}
        disabled={busy || (opens ? words === '' : words.trim().length < LEAST)}
      >
        {opens ? 'Open it' : 'Seal it'}
      </Button>
      <Box sx={{ flexBasis: '100%', color: 'text.secondary', fontSize: '0.92rem' }}>
        <span role="status">{busy ? 'One moment…' : said}</span>{' '}
        {!opens &&
          `At least ${LEAST} letters, for a folder that lies with others. Every device is asked for it once. Lost, it cannot be got back: what lies in the folder is lost then, and what is on the devices is not.`}
      </Box>
    </Box>
  );
}

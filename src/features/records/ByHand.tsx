'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { byHand, lookIntoFolder } from '@/store/share/browserShare';
import { FileButton } from '@/ui/FileButton';
import { saveFile } from '@/ui/saveFile';
import { useWorkshop, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { JoinThem, type Meeting } from './JoinThem';

/** The same files as a zip, for whom no folder is given. */
export function ByHand() {
  const name = useWorkshopName();
  const workshop = useWorkshop();
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const here = useWorkshopState((state) => Object.keys(state.summaries).length);
  const [meeting, setMeeting] = useState<Meeting | null>(null);
  const go = async (zip: File | null, isAgreed = false) => {
    if (busy) return;
    setBusy(true);
    setSaid('');
    setMeeting(null);
    try {
      const look = zip && here > 0 && !isAgreed ? await lookIntoFolder(name, zip) : null;
      if (zip && look && look.bicycles > 0 && !look.isKnown) {
        setMeeting({ called: zip.name, there: look.bicycles, here, onJoin: () => void go(zip, true) });
        return;
      }
      const whole = await byHand(name, workshop, zip);
      if (whole === 'elsewhere') setSaid('Another tab looks after the folder: do it there.');
      else if (zip) setSaid('Taken in. Save a zip for the others, so that they have what is here.');
      else {
        saveFile(whole, 'ergasto-folder.zip');
        setSaid('Saved: whoever takes it in has what is here.');
      }
    } catch (error) {
      const why = error instanceof Error ? error.message : '';
      setSaid(
        why === 'sealed'
          ? 'That zip is sealed, and none of the passphrases given here opens it.'
          : why || 'That did not work. Nothing here was changed.',
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box sx={{ mt: 2 }}>
      <Typography sx={{ maxWidth: '62ch', mb: 1 }}>
        By hand: the same as one file, on a stick or by post. It may go round as often as you like; nothing is taken in
        twice.
      </Typography>
      {meeting && <JoinThem meeting={meeting} onLeave={() => setMeeting(null)} />}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button variant="outlined" disabled={busy} onClick={() => void go(null)}>
          Save it as a zip
        </Button>
        <FileButton accept=".zip,application/zip" inputLabel="A folder as a zip" onFile={(zip) => void go(zip)}>
          Take a zip in
        </FileButton>
        <span role="status">{busy ? 'One moment…' : said}</span>
      </Box>
    </Box>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import {
  askLeave,
  byHand,
  callDevice,
  canPick,
  chooseFolder,
  chooseGiven,
  deviceName,
  leaveFolder,
} from '@/store/share/browserShare';
import { givenFolderName } from '@/store/share/folders';
import { FileButton } from '@/ui/FileButton';
import { KeptText } from '@/ui/KeptText';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { partWords } from '../workshop/shareWords';
import { AtTheBench } from '../prove/AtTheBench';
import { SHARE_CHANGED, useShare } from '../workshop/sharePart';
import { useSettings, useWorkshop, useWorkshopName } from '../workshop/WorkshopProvider';
import { Differing } from './Differing';
import { SealFolder } from './SealFolder';

const begin = () => window.dispatchEvent(new Event(SHARE_CHANGED));

/** What this device is called among the others. */
function DeviceName() {
  const name = useWorkshopName();
  const [called, setCalled] = useState<string | null>(null);
  useEffect(() => void deviceName(name).then(setCalled), [name]);
  if (called === null) return null;
  return (
    <KeptText
      label="This device is called"
      value={called}
      width={260}
      most={80}
      onKeep={(next) => {
        setCalled(next);
        void callDevice(name, next).then(begin);
      }}
    />
  );
}

/** The same files as a zip, for whom no folder is given. */
function ByHand() {
  const name = useWorkshopName();
  const workshop = useWorkshop();
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const go = async (zip: Blob | null) => {
    if (busy) return;
    setBusy(true);
    setSaid('');
    try {
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

/** A folder that something else keeps the same on several devices: the workshop meets there. */
export function SharedFolder() {
  const name = useWorkshopName();
  const share = useShare();
  const { people } = useSettings();
  const [given, setGiven] = useState<string | null>(null);
  useEffect(() => void givenFolderName().then(setGiven), []);
  const part = share?.part ?? { is: 'begins' };
  const isChosen = share !== null && part.is !== 'none';
  if (name === 'demo')
    return (
      <Section id="folder" title="A shared folder">
        <Typography sx={{ maxWidth: '62ch' }}>
          Several devices, one workshop: what is entered on one is seen on all. The made-up workshop takes part in none,
          so that its bicycles never stand among a shop’s own.{' '}
          <Box component="a" href="/records?workshop=own#folder" sx={{ color: 'inherit' }}>
            Choose one for your own workshop
          </Box>
          .
        </Typography>
      </Section>
    );
  return (
    <Section
      id="folder"
      title="A shared folder"
      aside={<span role="status">{share ? partWords(part) : 'Looking for the folder…'}</span>}
    >
      <Typography sx={{ maxWidth: '62ch', mb: 1.5 }}>
        Choose a folder that is the same on every device: on a network drive, a stick, or kept alike by whatever the
        shop uses. What is entered on one is then seen on all: bicycles, photographs, the drawer, house rules. Each
        device keeps everything itself as well, and works on where the folder is not there.
      </Typography>
      {isChosen && <Differing />}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        {part.is === 'asks' && (
          <Button variant="contained" onClick={() => void askLeave(name).then(begin)}>
            Go on with “{part.name}”
          </Button>
        )}
        {canPick() && (
          <Button
            variant={isChosen ? 'text' : 'outlined'}
            color={isChosen ? 'inherit' : 'primary'}
            onClick={() => void chooseFolder(name).then((isDone) => isDone && begin())}
          >
            {isChosen ? 'Another folder' : 'Choose a folder'}
          </Button>
        )}
        {given !== null && share?.folder !== given && (
          <Button
            variant={isChosen ? 'text' : 'outlined'}
            color={isChosen ? 'inherit' : 'primary'}
            onClick={() => void chooseGiven(name, given).then(begin)}
          >
            Use “{given}” of this machine
          </Button>
        )}
        {isChosen && (
          <Button color="inherit" onClick={() => void leaveFolder(name).then(begin)}>
            Leave the folder
          </Button>
        )}
      </Box>
      {!isChosen && !canPick() && given === null && (
        <Typography sx={{ color: 'text.secondary', maxWidth: '62ch' }}>
          This browser gives no page a folder. Start Ergasto with one (npm run demo -- --share FOLDER), or carry it by
          hand as a zip.
        </Typography>
      )}
      {isChosen && (
        <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', mt: 2, alignItems: 'start' }}>
          <DeviceName />
          {people.length > 1 && <AtTheBench />}
          <SealFolder />
        </Box>
      )}
      <ByHand />
    </Section>
  );
}

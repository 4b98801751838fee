'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import {
  askLeave,
  callDevice,
  canPick,
  chooseFolder,
  deviceName,
  leaveFolder,
  lookIntoFolder,
  pickFolder,
} from '@/store/share/browserShare';
import { givenFolderName } from '@/store/share/folders';
import type { Place } from '@/store/share/kept';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { partWords } from '../workshop/shareWords';
import { AtTheBench } from '../prove/AtTheBench';
import { SHARE_CHANGED, useShare } from '../workshop/sharePart';
import { useSettings, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { ByHand } from './ByHand';
import { Differing } from './Differing';
import { JoinThem, type Meeting } from './JoinThem';
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

/** A folder that something else keeps the same on several devices: the workshop meets there. */
export function SharedFolder() {
  const name = useWorkshopName();
  const share = useShare();
  const { people } = useSettings();
  const [given, setGiven] = useState<string | null>(null);
  useEffect(() => void givenFolderName().then(setGiven), []);
  const part = share?.part ?? { is: 'begins' };
  const here = useWorkshopState((state) => Object.keys(state.summaries).length);
  const [meeting, setMeeting] = useState<Meeting | null>(null);
  const [wrong, setWrong] = useState('');
  const join = (place: Place) => {
    setMeeting(null);
    void chooseFolder(name, place).then(begin);
  };
  const choose = async (place: Place | null) => {
    if (!place) return;
    setWrong('');
    try {
      const { bicycles: there, isKnown } = await lookIntoFolder(name, place);
      const called = 'given' in place ? place.given : place.name;
      if (there > 0 && here > 0 && !isKnown) setMeeting({ called, there, here, onJoin: () => join(place) });
      else join(place);
    } catch {
      setWrong('That folder cannot be reached.');
    }
  };
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
      {meeting && <JoinThem meeting={meeting} onLeave={() => setMeeting(null)} />}
      {wrong && <Box role="alert">{wrong}</Box>}
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
            onClick={() => void pickFolder().then(choose)}
          >
            {isChosen ? 'Another folder' : 'Choose a folder'}
          </Button>
        )}
        {given !== null && share?.folder !== given && (
          <Button
            variant={isChosen ? 'text' : 'outlined'}
            color={isChosen ? 'inherit' : 'primary'}
            onClick={() => void choose({ given })}
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

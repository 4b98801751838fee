'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { askLeave, canShare, chooseFolder, chosenFolder, leaveFolder, type SharePart } from '@/store/browserShare';
import { Section } from '@/ui/Section';
import { onShare, shareNow, SHARE_CHANGED } from '../workshop/sharePart';
import { useWorkshopName } from '../workshop/WorkshopProvider';

/** How it stands, in a few words. */
function wordsOf(part: SharePart): string {
  switch (part.is) {
    case 'none':
      return 'No folder chosen';
    case 'asks':
      return 'Waits for your leave';
    case 'begins':
      return 'Looking at the folder…';
    case 'elsewhere':
      return 'Another tab looks after the folder';
    case 'full':
      return 'What the others wrote cannot be kept in this browser';
    case 'same':
      return 'Same as the folder';
    case 'to go out':
      return part.changes === 1 ? 'One change to go out' : `${part.changes} changes to go out`;
    default:
      return 'The folder is not there';
  }
}

const begin = () => window.dispatchEvent(new Event(SHARE_CHANGED));

/** A folder that something else keeps the same on several devices: bicycles meet there. */
export function SharedFolder() {
  const name = useWorkshopName();
  const part = useSyncExternalStore(onShare, shareNow, shareNow);
  const isChosen = part.is !== 'none';
  return (
    <Section title="A shared folder" aside={<span role="status">{wordsOf(part)}</span>}>
      <Typography sx={{ maxWidth: '62ch', mb: 1.5 }}>
        Choose a folder that is the same on every device: on a network drive, a stick, or kept alike by whatever the
        shop uses. What is entered on one is then seen on all. Bicycles only, so far: the drawer, house rules and
        photographs stay on each device.
      </Typography>
      {!canShare() ? (
        <Typography sx={{ color: 'text.secondary' }}>
          This browser gives no page a folder. Send bicycles by file or code instead.
        </Typography>
      ) : (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          {part.is === 'asks' && (
            <Button
              variant="outlined"
              onClick={() =>
                void chosenFolder(name)
                  .then((handle) => handle && askLeave(handle))
                  .then(begin)
              }
            >
              Go on with “{part.name}”
            </Button>
          )}
          <Button
            variant={isChosen ? 'text' : 'outlined'}
            onClick={() => void chooseFolder(name).then((isDone) => isDone && begin())}
          >
            {isChosen ? 'Another folder' : 'Choose a folder'}
          </Button>
          {isChosen && (
            <Button color="inherit" onClick={() => void leaveFolder(name).then(begin)}>
              Leave the folder
            </Button>
          )}
        </Box>
      )}
    </Section>
  );
}

'use client';
import { parseISO } from 'date-fns';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Notice } from '@/ui/Notice';
import type { Unfinished } from '@/store/state';
import { clockTime, dayOf } from '@/ui/format';
import { useWorkshop, useWorkshopName } from '../workshop/WorkshopProvider';
import { Told } from './Told';
import { useRecordsJob } from './useRecordsJob';

const WRONG = 'The browser would not write it. Free some space, then try again; nothing of it is lost.';

/** A file that was being taken in when a page died: it is finished, or all taken back. */
export function UnfinishedIntake({ at, done, total }: Unfinished) {
  const workshop = useWorkshop();
  const name = useWorkshopName();
  const { doing, run } = useRecordsJob();
  const busy = doing !== null && 'busy' in doing;
  async function finish() {
    await run('Taking in the rest…', (api, onProgress) => api.finish(name, onProgress), { wrong: WRONG });
    await workshop.reload();
  }
  async function takeBack() {
    const told = await run<{ stayed: number }>('Taking it back…', (api) => api.takeBack(name), { wrong: WRONG });
    await workshop.reload();
    if (told)
      workshop.say(
        told.stayed === 0
          ? 'All of it was taken back.'
          : `Taken back, but for ${told.stayed} that ${told.stayed === 1 ? 'was' : 'were'} changed here since.`,
      );
  }
  return (
    <Notice
      tone="bad"
      action={
        busy ? undefined : (
          <>
            <Button color="inherit" onClick={() => void finish()}>
              Finish it
            </Button>
            <Button color="inherit" onClick={() => void takeBack()}>
              Take it all back
            </Button>
          </>
        )
      }
    >
      A file was being taken in on {dayOf(at)} at {clockTime(parseISO(at))} when the page closed:{' '}
      <Box component="b" sx={{ fontVariantNumeric: 'tabular-nums' }}>
        {done} of {total}
      </Box>{' '}
      bicycles are in.
      <Told doing={doing} />
    </Notice>
  );
}

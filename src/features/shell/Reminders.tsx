'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useShare } from '../workshop/sharePart';
import { useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { Notice } from '@/ui/Notice';

/** After this many changes since the last export it is time for another. */
const MANY_CHANGES = 200;

const KEY = 'ergasto:export-later';

/** At how many changes the reminder was sent away; it comes again after as many more. */
function sentAway(): number | null {
  try {
    const kept = Number(localStorage.getItem(KEY) ?? NaN);
    return Number.isFinite(kept) ? kept : null;
  } catch {
    return null;
  }
}

function sendAway(at: number): void {
  try {
    localStorage.setItem(KEY, String(at));
  } catch {
    // It stays away for as long as the page is open.
  }
}

/** Asks the browser once to keep the records when it runs short of room, and reminds of the export. */
export function Reminders() {
  const own = useWorkshopName() === 'own';
  const unexported = useWorkshopState((state) => state.unexported);
  const any = useWorkshopState((state) => Object.keys(state.summaries).length > 0);
  // On a phone at a bicycle every line of the screen is the work's; the floor reminds soon enough.
  const atWork = usePathname() === '/bike';
  // What lies in a shared folder is a copy elsewhere.
  const isElsewhere = useShare()?.part.is === 'same';
  const [later, setLater] = useState(sentAway);
  useEffect(() => {
    if (!own || !any) return;
    const storage = (navigator as Partial<Navigator>).storage;
    void storage?.persisted?.().then((kept) => (kept ? true : storage.persist()));
  }, [own, any]);
  if (
    !own ||
    isElsewhere ||
    unexported < MANY_CHANGES ||
    (later !== null && unexported >= later && unexported < later + MANY_CHANGES)
  )
    return null;
  return (
    <Box sx={{ display: { xs: atWork ? 'none' : 'block', md: 'block' } }}>
      <Notice
        tone="plain"
        action={
          <>
            <Button color="inherit" component={Link} href="/records">
              Export
            </Button>
            <Button
              color="inherit"
              onClick={() => {
                setLater(unexported);
                sendAway(unexported);
              }}
            >
              Later
            </Button>
          </>
        }
      >
        {unexported} changes since the last export: keep a copy elsewhere.
      </Notice>
    </Box>
  );
}

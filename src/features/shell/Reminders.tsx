'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { Notice } from '@/ui/Notice';

/** After this many changes since the last export it is time for another. */
const MANY_CHANGES = 200;

/** Asks the browser once to keep the records when it runs short of room, and reminds of the export. */
export function Reminders() {
  const own = useWorkshopName() === 'own';
  const unexported = useWorkshopState((state) => state.unexported);
  const any = useWorkshopState((state) => Object.keys(state.summaries).length > 0);
  const [later, setLater] = useState(false);
  useEffect(() => {
    if (!own || !any) return;
    const storage = (navigator as Partial<Navigator>).storage;
    void storage?.persisted?.().then((kept) => (kept ? true : storage.persist()));
  }, [own, any]);
  if (!own || later || unexported < MANY_CHANGES) return null;
  return (
    <Notice
      tone="plain"
      action={
        <>
          <Button color="inherit" component={Link} href="/records">
            Export
          </Button>
          <Button color="inherit" onClick={() => setLater(true)}>
            Later
          </Button>
        </>
      }
    >
      {unexported} changes since the last export. A browser can be cleared: keep a copy of the records elsewhere.
    </Notice>
  );
}

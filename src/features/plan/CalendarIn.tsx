'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { useWorkshop } from '../workshop/WorkshopProvider';

/** A calendar file read in: what it takes from the sessions, and nothing else of it. */
export function CalendarIn({ taken, ahead }: { taken: number; ahead: number }) {
  const workshop = useWorkshop();
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<string | null>(null);
  const read = async (file: File) => {
    const { busyIn } = await import('@/model/exchange/calendarIn');
    const found = busyIn(await file.text(), new Date());
    if (!found.ok) {
      setSaid(found.why);
      return;
    }
    await workshop.changeSettings({ busy: found.busy });
    setSaid(
      `${found.busy.length} ${found.busy.length === 1 ? 'time is' : 'times are'} taken${found.skipped > 0 ? `; ${found.skipped} left out: over the bound, or without an end` : ''}.`,
    );
  };
  return (
    <Box sx={{ maxWidth: '52ch' }}>
      <input
        ref={input}
        type="file"
        accept=".ics,text/calendar"
        hidden
        aria-label="A calendar file"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void read(file);
          target.value = '';
        }}
      />
      <Button variant="outlined" color="inherit" sx={{ minHeight: 48 }} onClick={() => input.current?.click()}>
        Read a calendar in
      </Button>
      {taken > 0 && (
        <Button color="inherit" sx={{ minHeight: 48 }} onClick={() => void workshop.changeSettings({ busy: [] })}>
          Forget it
        </Button>
      )}
      <Box role="status" sx={{ color: 'text.secondary', mt: 0.5 }}>
        {said ??
          (taken > 0
            ? `${taken} times of a calendar are taken; ${ahead} sessions are left.`
            : 'Busy times of a calendar are taken out of the sessions.')}
      </Box>
    </Box>
  );
}

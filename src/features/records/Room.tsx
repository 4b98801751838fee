'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { BigNumber, Section } from '@/ui/Section';

/** How much room the records take here, and whether the browser keeps them. */
export function Room() {
  const [room, setRoom] = useState<{ persisted: boolean | null; usedMb: number | null; freeMb: number | null } | null>(
    null,
  );
  async function look(ask: boolean) {
    const storage = (navigator as Partial<Navigator>).storage;
    const persisted = ask ? await storage?.persist?.() : await storage?.persisted?.();
    const { usage, quota } = (await storage?.estimate?.()) ?? {};
    setRoom({
      persisted: persisted ?? null,
      usedMb: usage === undefined ? null : usage / 1e6,
      freeMb: usage === undefined || quota === undefined ? null : (quota - usage) / 1e6,
    });
  }
  useEffect(() => {
    const soon = setTimeout(() => void look(false));
    return () => clearTimeout(soon);
  }, []);
  if (!room) return null;
  return (
    <Section title="Room in this browser">
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', mb: 1.5 }}>
        {room.usedMb !== null && <BigNumber value={`${room.usedMb.toFixed(1)} MB`} label="used here" />}
        {room.freeMb !== null && (
          <BigNumber
            value={room.freeMb > 10_000 ? 'over 10 GB' : `${Math.round(room.freeMb)} MB`}
            label="free for it"
          />
        )}
      </Box>
      <Typography sx={{ maxWidth: '62ch' }}>
        {room.persisted === true
          ? 'The browser has promised to keep the records when it runs short of room.'
          : 'The browser may clear these records when it runs short of room, and a private window forgets them when it is closed. Export often.'}
      </Typography>
      {room.persisted === false && (
        <Button sx={{ mt: 1.5 }} variant="outlined" onClick={() => void look(true)}>
          Ask it to keep them
        </Button>
      )}
    </Section>
  );
}

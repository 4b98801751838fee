'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState, type ReactNode } from 'react';

/** What is seen only while a thumb or a key holds it, laid over the page so that nothing moves under the hand. */
export function HeldMoney({ label, children, pinned }: { label: string; children: ReactNode; pinned: boolean }) {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const letGo = () => setHeld(false);
    window.addEventListener('blur', letGo);
    document.addEventListener('visibilitychange', letGo);
    return () => {
      window.removeEventListener('blur', letGo);
      document.removeEventListener('visibilitychange', letGo);
    };
  }, []);
  const shown = held || pinned;
  return (
    <Box sx={{ flex: 1 }}>
      {shown && (
        <Box
          role="status"
          sx={{
            position: 'absolute',
            left: 0,
            right: 0,
            bottom: 'calc(100% + 8px)',
            bgcolor: 'sheet.paper',
            border: '1.5px solid',
            borderColor: 'text.primary',
            p: 2,
            zIndex: 6,
          }}
        >
          {children}
        </Box>
      )}
      <Button
        fullWidth
        variant="contained"
        aria-pressed={shown}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld(true);
        }}
        onPointerUp={() => setHeld(false)}
        onPointerCancel={() => setHeld(false)}
        onContextMenu={(event) => event.preventDefault()}
        onKeyDown={(event) => {
          if (event.key === ' ' || event.key === 'Enter') {
            event.preventDefault();
            setHeld(true);
          }
        }}
        onKeyUp={() => setHeld(false)}
        onBlur={() => setHeld(false)}
        sx={{ minHeight: 64, touchAction: 'none', userSelect: 'none', WebkitUserSelect: 'none' }}
      >
        {label}
      </Button>
    </Box>
  );
}

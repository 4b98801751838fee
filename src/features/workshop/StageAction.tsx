'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { createContext, use, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { useIsPhone } from './useIsPhone';
import type { Bead } from './declared';
import { useThreadNow } from './thread';

/** The foot of the page, where what is done next stays in sight. */
export const ActionSlotContext = createContext<HTMLElement | null>(null);

/** What stands at the foot of the page, in sight wherever the page is scrolled to. */
export function Foot({ flush = false, children }: { flush?: boolean; children: ReactNode }) {
  const slot = use(ActionSlotContext);
  const bar = <Box sx={flush ? undefined : { px: { xs: 2, md: 0 }, py: { xs: 1, md: 0 } }}>{children}</Box>;
  return slot ? createPortal(bar, slot) : bar;
}

/** The one action of what is open, at the foot of the page; on a phone with the way back beside it. */
export function StageAction({
  label,
  onDo,
  waits = null,
  onBack,
}: {
  label: string;
  onDo(): void;
  /** What has to be there first, in words; the action waits for it. */
  waits?: string | null;
  onBack?(): void;
}) {
  const phone = useIsPhone();
  return (
    <Foot flush>
      {waits && (
        <Box role="status" sx={{ px: { xs: 2, md: 0 }, py: 0.75, fontSize: '0.95rem' }}>
          {waits}
        </Box>
      )}
      <Box sx={{ display: 'flex' }}>
        {onBack && phone && (
          <Button
            color="inherit"
            variant="outlined"
            onClick={onBack}
            sx={{ minHeight: 64, px: 3, borderRadius: 0, bgcolor: 'sheet.paper' }}
          >
            Back
          </Button>
        )}
        <Button
          variant="contained"
          disabled={waits !== null}
          onClick={onDo}
          sx={{ flex: 1, minHeight: 64, fontSize: '1.2rem', borderRadius: { xs: 0, md: '3px' } }}
        >
          {label}
        </Button>
      </Box>
    </Foot>
  );
}

/** Once all is done here: the next bead of the place's thread; nothing where there is none, or while `after` is not done. */
export function NextOfThread({ after = null, onBack }: { after?: Bead['id'] | null; onBack(): void }) {
  const { next, done, go } = useThreadNow();
  if (after !== null && !done.includes(after)) return null;
  return next && <StageAction label={`Next: ${next.words}`} onDo={() => go(next)} onBack={onBack} />;
}

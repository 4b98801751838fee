'use client';
import Button from '@mui/material/Button';
import type { Bolt } from '@/core/rebuild/bolts';
import type { Signature } from '@/model/rebuild/part';
import type { StageProps } from '../workshop/WorkshopProvider';

/** How the round came to a bolt: worked on here or only checked, and whether it was loose. The sheet says so. */
export function InTheRound({ send, bolt, row }: Pick<StageProps, 'send'> & { bolt: Bolt; row: Signature }) {
  const change = (changes: Partial<Signature>) => send({ type: 'signBolt', signature: { ...row, ...changes } });
  return (
    <>
      <Button
        size="small"
        color="inherit"
        variant={row.what === 'checked' ? 'contained' : 'text'}
        aria-pressed={row.what === 'checked'}
        aria-label={`Only checked: ${bolt.label}`}
        onClick={() => change({ what: row.what === 'checked' ? 'done' : 'checked' })}
      >
        Only checked
      </Button>
      <Button
        size="small"
        color="inherit"
        variant={row.foundLoose ? 'contained' : 'text'}
        aria-pressed={row.foundLoose}
        aria-label={`It was loose: ${bolt.label}`}
        onClick={() => change({ foundLoose: !row.foundLoose })}
      >
        It was loose
      </Button>
    </>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { Bolt } from '@/core/rebuild/bolts';
import { clickedNm, SLOW_S } from '@/sim/wrench';
import { setNmOf } from '@/model/rebuild/wrench';

/** A tenth is what a wrench's scale shows. */
const shown = (nm: number) => Math.round(nm * 10) / 10;

/**
 * The stand-in for a click wrench: set to the middle of the band and pulled for as long as it is held. Let go too soon it has not
 * clicked; pulled fast it goes past its figure.
 */
export function WrenchPull({ bolt, onClicked }: { bolt: Bolt; onClicked(valueNm: number): void }) {
  const setNm = setNmOf(bolt);
  const since = useRef<number | null>(null);
  const [words, setWords] = useState('');
  useEffect(() => {
    since.current = null;
  }, [bolt.id]);
  if (setNm === null) return null;
  const press = () => {
    since.current ??= performance.now();
    setWords('Pulling…');
  };
  const release = () => {
    if (since.current === null) return;
    const pullS = (performance.now() - since.current) / 1000;
    since.current = null;
    const valueNm = shown(clickedNm(setNm, pullS));
    setWords(`Clicked: ${valueNm} N·m${pullS < SLOW_S ? ', pulled fast' : ''}`);
    onClicked(valueNm);
  };
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
      <Button
        variant="outlined"
        color="inherit"
        aria-label={`Pull the wrench, set to ${setNm} N·m: ${bolt.label}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          press();
        }}
        onPointerUp={release}
        onPointerCancel={() => {
          since.current = null;
          setWords('');
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || event.repeat) return;
          event.preventDefault();
          press();
        }}
        onKeyUp={(event) => event.key === 'Enter' && release()}
        onContextMenu={(event) => event.preventDefault()}
        sx={{ minHeight: 60, touchAction: 'none', userSelect: 'none' }}
      >
        Pull the wrench, {setNm} N·m
      </Button>
      <Box role="status" sx={{ fontWeight: 620 }}>
        {words}
      </Box>
    </Box>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { partIn, partWords } from '@/core/strip/tray';
import { bearingFor } from '@/model/bearings/bearingFor';
import { newId } from '@/store/browser';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { StockDialog } from '../stock/StockDialog';
import { PartList } from './PartList';
import type { TrayProps } from './TakeApart';

/** What lies in the tray, in the order it came off, and what was laid down for another assembly. */
export function InTheTray({
  bicycle,
  send,
  assembly,
  tray,
  strange,
  line,
  onLine,
}: TrayProps & {
  /** Parts that this assembly does not have. */
  strange: string[];
  /** The part whose line is open. */
  line: string | null;
  onLine(part: string | null): void;
}) {
  const [stocking, setStocking] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const stuckPart = stocking === null ? null : partIn(assembly, tray.extra, stocking);
  return (
    <>
      <Section title="In the tray" aside="in the order they came off">
        {Object.keys(tray.off).length === 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>
            Nothing in the tray yet. Parts lie down here as the steps are ticked.
          </Typography>
        ) : (
          <PartList
            send={send}
            assembly={assembly}
            tray={tray}
            bearing={bearingFor(bicycle, assembly.place)}
            beside={strange}
            open={line}
            onOpen={onLine}
            onStock={setStocking}
          />
        )}
        {strange.length > 0 && (
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mt: 1 }}>
            <Box>
              {strange.length === 1 ? 'One part was' : `${strange.length} parts were`} laid down for another assembly.
            </Box>
            <Button
              color="inherit"
              sx={{ minHeight: 48 }}
              onClick={() => send({ type: 'takeOutOfTray', place: assembly.place, parts: strange })}
            >
              Take {strange.length === 1 ? 'it' : 'them'} out of the tray
            </Button>
          </Box>
        )}
        <Box sx={{ mt: 1 }}>
          {adding ? (
            <KeptText
              label="A part that is not in the list"
              value=""
              width={320}
              onKeep={(words) => {
                setAdding(false);
                if (words)
                  send({ type: 'addPart', place: assembly.place, part: { id: newId(), label: words, side: null } });
              }}
            />
          ) : (
            <Button color="inherit" onClick={() => setAdding(true)} sx={{ minHeight: 48 }}>
              One more part
            </Button>
          )}
        </Box>
      </Section>
      {stocking !== null && stuckPart && (
        <StockDialog
          draft={{ label: partWords(stuckPart), place: assembly.place, bicycle: bicycle.id, from: bicycle.name }}
          onClose={(kept) => {
            if (kept) send({ type: 'fatePart', place: assembly.place, part: stocking, fate: 'stock' });
            setStocking(null);
          }}
        />
      )}
    </>
  );
}

'use client';
import Box from '@mui/material/Box';
import { useEffect, useState } from 'react';
import { ballRowOf, type Assembly } from '@/core/strip/tray';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf } from '@/model/bearings/questions';
import type { Bicycle } from '@/model/record';
import { isOff, partStates, stateWords, type PartState } from '@/model/strip/partStates';
import { dayOf } from '@/ui/format';
import { PrintAlone } from '@/ui/PrintAlone';
import { ExplodedDrawing } from '../at-hand/ExplodedDrawing';
import { placeHref } from '../workshop/usePlaceAt';
import { useToday } from '../workshop/useToday';

const STRIP_PX = 96;
/** Addresses that mean the machine itself: another that reads them opens nothing. */
const ITSELF = /^(localhost|127\.|\[::1\])/;

/** What another device finds behind the code, told on the label. */
const opensWords = (host: string): string =>
  ITSELF.test(host)
    ? 'Opens on this machine only: its address is not one that another device can reach.'
    : 'Opens where this bicycle is kept: on another device only once it was sent there.';

/** Balls as they were counted out; nothing where nobody counted. */
const counted = ({ id }: PartState, bicycle: Bicycle, place: string): string => {
  const row = ballRowOf(id);
  const out = row ? countsOf(bearingFor(bicycle, place), row).out : null;
  return out === null ? '' : `: ${out} out`;
};

/** A label for the tray on the bench: bicycle, assembly, day, its parts in the order they came off with what was counted, the line that they are read by, and a code that opens it. */
export function TrayLabel({ bicycle, assembly, onClose }: { bicycle: Bicycle; assembly: Assembly; onClose(): void }) {
  const [code, setCode] = useState<string | null>(null);
  const today = useToday();
  const { place, title } = assembly;
  const address = `${window.location.origin}${placeHref(bicycle.id, 'strip', place)}`;
  useEffect(() => {
    void import('qrcode').then(({ default: qr }) =>
      qr.toString(address, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }).then(setCode),
    );
  }, [address]);
  const states = partStates(bicycle, assembly);
  const off = states.filter(isOff).toSorted((a, b) => a.slot! - b.slot!);
  const soaking = off.filter(({ where }) => where === 'bath').length;
  return (
    <PrintAlone label={`Label of the tray: ${title}`} onClose={onClose}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '132px minmax(0, 1fr)', gap: 2.5, alignItems: 'start' }}>
        <Box
          role="img"
          aria-label={`Code that opens ${address}`}
          sx={{ width: 132, height: 132, '& svg': { display: 'block', width: '100%', height: '100%' } }}
          dangerouslySetInnerHTML={code ? { __html: code } : undefined}
        />
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontSize: '1.7rem', fontWeight: 680, lineHeight: 1.1 }}>{title}</Box>
          <Box sx={{ fontSize: '1.2rem', mt: 0.5 }}>{bicycle.name}</Box>
          <Box sx={{ fontSize: '1.05rem', mt: 0.5, fontVariantNumeric: 'tabular-nums' }}>
            {off.length === 1 ? 'One part' : `${off.length} parts`}
            {soaking > 0 && `, ${soaking} of them in a bath`}; {dayOf(today)}
          </Box>
          <Box sx={{ fontSize: '0.8rem', mt: 0.75, overflowWrap: 'anywhere' }}>{address}</Box>
          <Box sx={{ fontSize: '0.8rem' }}>{opensWords(window.location.host)}</Box>
        </Box>
      </Box>
      {assembly.parts.length > 1 && (
        <Box sx={{ mt: 2 }} className="on-paper">
          <ExplodedDrawing
            assembly={assembly}
            stateOf={(part) => states.find(({ id }) => id === part)}
            isAtHand={() => false}
            turn={null}
            mostPx={STRIP_PX}
            told={states.map(stateWords).join('; ')}
          />
        </Box>
      )}
      {off.length > 0 && (
        <Box
          component="ol"
          aria-label="In this tray"
          sx={{ m: 0, mt: 1.5, pl: 3, columns: '220px 2', columnGap: 3, fontSize: '0.95rem', '& li': { py: 0.1 } }}
        >
          {off.map((part) => (
            <li key={part.id} value={part.slot!}>
              {part.words}
              <b>{counted(part, bicycle, place)}</b>
              {part.mark && ` (${part.mark})`}
            </li>
          ))}
        </Box>
      )}
    </PrintAlone>
  );
}

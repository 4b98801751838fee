'use client';
import Box from '@mui/material/Box';
import { boltsInput, signedBolts } from '@/model/rebuild/questions';
import type { PlaceProps } from '../workshop/declared';
import { useReckon } from '../workshop/useReckon';
import { useSettings } from '../workshop/WorkshopProvider';
import { WhichWay } from '../workshop/WhichWay';
import { LooseButton } from '../workshop/LooseButton';

/** The bolts of a place: how tight, which way, and whether they were signed; and whether it is only loosely together. */
export function BoltsHere({ bicycle, send, place }: PlaceProps) {
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle, useSettings()));
  const bolts = (output?.bolts ?? []).filter((bolt) => bolt.place === place);
  const signed = new Map(signedBolts(bicycle, bolts).map((entry) => [entry.bolt, entry]));
  return (
    <>
      {bolts.map((bolt) => (
        <Box key={bolt.id}>
          {bolt.label}:{' '}
          {bolt.torqueMinNm === null
            ? (bolt.feel ?? 'by feel')
            : `${bolt.torqueMinNm} to ${bolt.torqueMaxNm} N·m, ${bolt.preparation}`}
          {bolt.hand === 'left' && <b>, left-hand thread</b>}
          {signed.has(bolt.id) && ', signed'}
          {bolt.fastener && <WhichWay question={{ fastener: bolt.fastener, side: bolt.side, action: 'loosen' }} />}
        </Box>
      ))}
      <Box sx={{ mt: 2, mr: 1.5, display: 'inline-block' }}>
        <LooseButton bicycle={bicycle} send={send} place={place} />
      </Box>
    </>
  );
}

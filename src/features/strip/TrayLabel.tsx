'use client';
import Box from '@mui/material/Box';
import { useEffect, useState } from 'react';
import { PrintAlone } from '@/ui/PrintAlone';
import { placeHref } from '../workshop/usePlaceAt';

/** A label for the tray on the bench: bicycle, assembly, and a code that opens it. */
export function TrayLabel({
  bicycleId,
  bicycleName,
  place,
  title,
  onClose,
}: {
  bicycleId: string;
  bicycleName: string;
  place: string;
  title: string;
  onClose(): void;
}) {
  const [code, setCode] = useState<string | null>(null);
  const address = `${window.location.origin}${placeHref(bicycleId, 'strip', place)}`;
  useEffect(() => {
    void import('qrcode').then(({ default: qr }) =>
      qr.toString(address, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' }).then(setCode),
    );
  }, [address]);
  return (
    <PrintAlone label={`Label of the tray: ${title}`} onClose={onClose}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '150px minmax(0, 1fr)', gap: 2.5, alignItems: 'center' }}>
        <Box
          role="img"
          aria-label={`Code that opens ${address}`}
          sx={{ width: 150, height: 150, '& svg': { display: 'block', width: '100%', height: '100%' } }}
          dangerouslySetInnerHTML={code ? { __html: code } : undefined}
        />
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontSize: '1.7rem', fontWeight: 680, lineHeight: 1.1 }}>{title}</Box>
          <Box sx={{ fontSize: '1.2rem', mt: 1 }}>{bicycleName}</Box>
          <Box sx={{ fontSize: '0.8rem', mt: 1, overflowWrap: 'anywhere' }}>{address}</Box>
        </Box>
      </Box>
    </PrintAlone>
  );
}

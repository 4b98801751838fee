'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { DRIVE_PLACES } from '@/core/drive/places';
import { placeHref } from './usePlaceAt';

/** The way to "will it work together", wherever a part of the drive is about to be ordered or was told by the gauge drawer. */
export function AskTogether({ place }: { place: string }) {
  const id = useSearchParams().get('id');
  if (id === null || !DRIVE_PLACES.includes(place)) return null;
  return (
    <Button component={Link} href={placeHref(id, 'rebuild', 'cogs')} size="small" sx={{ minHeight: 44 }}>
      Will it work together?
    </Button>
  );
}

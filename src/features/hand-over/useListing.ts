'use client';
import type { Listing } from '@/core/sell/listing';
import type { Bicycle } from '@/model/record';
import { listingInput } from '@/model/sell/listingFacts';
import { sentencesNow, type SentenceNow } from '@/model/sell/listingText';
import { fitInput } from '@/model/sell/fitInput';
import { money } from '@/ui/format';
import { useEvidence } from '../prove/useEvidence';
import { useReady } from '../prove/useReady';
import { useFindings } from '../workshop/useFindings';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings } from '../workshop/WorkshopProvider';

/** The listing as it goes out, from what the record knows now; null until all of it is reckoned. */
export function useListing(bicycle: Bicycle): { listing: Listing; sentences: SentenceNow[] } | null {
  const { currency } = useSettings();
  const today = useToday();
  const lookOver = useFindings(bicycle);
  const evidence = useEvidence(bicycle);
  const ready = useReady(bicycle);
  const fit = useReckon('buy.fit', fitInput(bicycle));
  const features = Object.keys(bicycle.features);
  const age = useReckon('buy.age', features.length > 0 ? { features, thisYear: Number(today.slice(0, 4)) } : null);
  const isKnown = lookOver !== null && ready !== null && !fit.pending && !age.pending;
  const { output } = useReckon(
    'sell.listing',
    isKnown
      ? listingInput(bicycle, {
          fit: fit.output,
          age: age.output,
          lookOver,
          evidence,
          ready,
          money: (minor) => money(minor, currency),
        })
      : null,
  );
  return output && { listing: output, sentences: sentencesNow(bicycle, output) };
}

'use client';
import Box from '@mui/material/Box';
import { padLimit, RIM_HOLLOW } from '@/core/inspect/check';
import { ReadingField } from '@/ui/ReadingField';
import { errorAt, type EvidenceProps } from './evidence';
import { Readings } from './Readings';

export function DiscFields({ seen, errors, note }: EvidenceProps) {
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Readings
        calculator="inspect.disc"
        question={(value) => ({ readingsMm: [...(seen.readingsMm ?? []), value], minimumMm: seen.minimumMm })}
        label="Disc, on the track"
        unit="mm"
        list={seen.readingsMm ?? []}
        note={(readingsMm) => note({ readingsMm })}
        error={errorAt(errors, 'readingsMm', 'readingsMm.0')}
        help="Several places round it; Enter after each"
      />
      <ReadingField
        label="Stamped minimum"
        kind="length"
        unit="mm"
        value={seen.minimumMm ?? null}
        width={190}
        onCommit={(minimumMm) => note({ minimumMm })}
        onClear={() => note({ minimumMm: undefined })}
        error={errorAt(errors, 'minimumMm')}
        help="Leave empty if it is worn away"
      />
    </Box>
  );
}

export function RimHollowFields({ seen, errors, note }: EvidenceProps) {
  return (
    <Readings
      calculator="inspect.wearLimit"
      question={(reading) => ({ ...RIM_HOLLOW, reading })}
      label="Hollow under a straight edge"
      unit="mm"
      list={seen.readingsMm ?? []}
      note={(readingsMm) => note({ readingsMm })}
      error={errorAt(errors, 'reading')}
      help="Deepest of both sides; Enter after each"
    />
  );
}

export function PadFields({ kind, seen, errors, note }: EvidenceProps) {
  return (
    <Readings
      calculator="inspect.wearLimit"
      question={(reading) => ({ ...padLimit(kind.brakes), reading })}
      label={kind.brakes === 'disc' ? 'Pad and backing' : 'Rubber left'}
      unit="mm"
      list={seen.readingsMm ?? []}
      note={(readingsMm) => note({ readingsMm })}
      error={errorAt(errors, 'reading')}
      help="Each pad; Enter after each"
    />
  );
}

/** Any reading that has a limit in the table. */
export function LimitFields({ check, seen, errors, note }: EvidenceProps) {
  return (
    <Readings
      calculator="inspect.wearLimit"
      question={(reading) => check.limit && { ...check.limit, reading }}
      label={check.label}
      unit={check.unit ?? 'mm'}
      list={seen.readingsMm ?? []}
      note={(readingsMm) => note({ readingsMm })}
      error={errorAt(errors, 'reading')}
      help="Enter after each"
    />
  );
}

export function TyreAgeFields({ seen, errors, note }: EvidenceProps) {
  return (
    <ReadingField
      label="Week and year"
      kind="number"
      value={seen.code === undefined ? null : Number(seen.code)}
      onCommit={(code) => note({ code: String(code).padStart(4, '0') })}
      onClear={() => note({ code: undefined })}
      refuse={(code) =>
        /^(0[1-9]|[1-4]\d|5[0-3])\d{2}$/.test(String(code).padStart(4, '0'))
          ? null
          : 'four figures, week then year: 2318'
      }
      error={errorAt(errors, 'code')}
      help="Four figures in an oval: 2318 is week 23 of 2018"
      width={210}
    />
  );
}

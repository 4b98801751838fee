'use client';
import Box from '@mui/material/Box';
import type { ComponentType } from 'react';
import { outcomesFor, type Check } from '@/core/inspect/check';
import { isDished } from '@/core/inspect/questions';
import { Choices } from '@/ui/Choices';
import { BearingFields } from './BearingFields';
import { ChainFields } from './ChainFields';
import { errorAt, type EvidenceProps } from './evidence';
import { HangerFields } from './HangerFields';
import { DiscFields, LimitFields, PadFields, RimHollowFields, TyreAgeFields } from './MeasuredFields';
import { RunoutFields } from './RunoutFields';
import { SpokeFields } from './SpokeFields';

const ARM = [
  { id: 'firm', label: 'Firm' },
  { id: 'loose', label: 'Loose' },
] as const;

const HANDS = [
  { id: 'left', label: 'The left hand' },
  { id: 'right', label: 'The right hand' },
] as const;

function OutcomeFields({ check, kind, seen, note }: EvidenceProps) {
  return (
    <Choices
      label="Seen"
      options={outcomesFor(check, kind, seen.outcome)}
      value={seen.outcome ?? null}
      onChoose={(outcome) => note({ outcome })}
    />
  );
}

function CrankFields({ seen, note }: EvidenceProps) {
  return (
    <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap' }}>
      <Choices label="Left arm" options={ARM} value={seen.left ?? null} onChoose={(left) => note({ left })} />
      <Choices label="Right arm" options={ARM} value={seen.right ?? null} onChoose={(right) => note({ right })} />
    </Box>
  );
}

function LeverHandFields({ seen, note }: EvidenceProps) {
  return (
    <Choices
      label="The front brake is worked by"
      options={HANDS}
      value={(seen.outcome as 'left' | 'right' | undefined) ?? null}
      onChoose={(outcome) => note({ outcome })}
    />
  );
}

const Runout = ({ errors, ...at }: EvidenceProps) => <RunoutFields {...at} error={errorAt(errors, 'readingsMm')} />;
const Spokes = ({ check, kind, ...at }: EvidenceProps) => <SpokeFields {...at} dished={isDished(check.place, kind)} />;

/** What each kind of check takes down. */
const FIELDS: Record<Check['kind'], ComponentType<EvidenceProps>> = {
  outcome: OutcomeFields,
  'bearing-cup': BearingFields,
  reading: LimitFields,
  'rim-hollow': RimHollowFields,
  disc: DiscFields,
  pads: PadFields,
  chain: ChainFields,
  crank: CrankFields,
  hanger: HangerFields,
  spokes: Spokes,
  'runout-rim': Runout,
  'runout-disc': Runout,
  'runout-ring': Runout,
  'tyre-age': TyreAgeFields,
  'lever-hand': LeverHandFields,
};

/** What one check takes down: a reading or a feel, by its kind. */
export function EvidenceFields(props: EvidenceProps) {
  const Fields = FIELDS[props.check.kind];
  return <Fields {...props} />;
}

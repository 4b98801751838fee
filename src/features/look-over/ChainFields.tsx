'use client';
import Box from '@mui/material/Box';
import { CHAIN_ROLLER_MM, miscount, USUAL_PITCHES } from '@/core/inspect/chainPitch';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { useSettings } from '../workshop/WorkshopProvider';
import { JudgedField } from '../workshop/JudgedField';
import { errorAt, type EvidenceProps } from './evidence';

const GAUGE = ['0', '0.5', '0.75', '1'] as const;
const GAUGE_CHOICES = GAUGE.map((id, i) => ({
  id,
  label: id === '0' ? 'Not at 0.5' : `In at ${id}${i < GAUGE.length - 1 ? `, not at ${GAUGE[i + 1]}` : ''}`,
}));

/** A chain's wear: by a rule, by a caliper, or by a gauge that drops in. */
export function ChainFields({ kind, seen, errors, note }: EvidenceProps) {
  const { rules } = useSettings();
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box data-readings sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Pitches spanned"
          kind="number"
          value={seen.pitches ?? USUAL_PITCHES}
          width={150}
          large
          onCommit={(pitches) => note({ pitches, dropsInAtPercent: undefined, notAtPercent: undefined })}
          error={errorAt(errors, 'pitches')}
          refuse={(n) =>
            Number.isInteger(n) && n >= 6 && n <= 400 ? null : 'count whole pitches, 6 to 400; a link pair is two'
          }
        />
        <JudgedField
          calculator="inspect.chainWear"
          question={(lengthMm) => ({
            chain: kind.chain,
            renewEarly: rules.chainRenewal === 'early',
            pitches: seen.pitches ?? USUAL_PITCHES,
            lengthMm,
          })}
          label="Length over them"
          kind="length"
          unit="mm"
          value={seen.lengthMm ?? null}
          width={210}
          large
          error={errorAt(errors, 'lengthMm', '')}
          refuse={(mm) => miscount(seen.pitches ?? USUAL_PITCHES, mm)}
          onCommit={(lengthMm) =>
            note({
              lengthMm,
              pitches: seen.pitches ?? USUAL_PITCHES,
              dropsInAtPercent: undefined,
              notAtPercent: undefined,
            })
          }
        />
      </Box>
      <ReadingField
        label="Or caliper over two rollers"
        kind="length"
        unit="mm"
        value={null}
        keepEmpty
        width={210}
        help={`Outside to outside, the same pitches apart; ${CHAIN_ROLLER_MM} mm of roller come off`}
        refuse={(mm) => miscount(seen.pitches ?? USUAL_PITCHES, mm - CHAIN_ROLLER_MM)}
        onCommit={(mm) =>
          note({
            lengthMm: Math.round((mm - CHAIN_ROLLER_MM) * 100) / 100,
            pitches: seen.pitches ?? USUAL_PITCHES,
            dropsInAtPercent: undefined,
            notAtPercent: undefined,
          })
        }
      />
      <Choices
        label="Or a drop-in gauge"
        options={GAUGE_CHOICES}
        value={
          seen.dropsInAtPercent === undefined
            ? null
            : (GAUGE.find((id) => Number(id) === seen.dropsInAtPercent) ?? null)
        }
        onChoose={(id) => {
          const next = GAUGE[GAUGE.indexOf(id) + 1];
          note({
            dropsInAtPercent: Number(id),
            notAtPercent: next ? Number(next) : null,
            lengthMm: undefined,
            pitches: undefined,
          });
        }}
      />
    </Box>
  );
}

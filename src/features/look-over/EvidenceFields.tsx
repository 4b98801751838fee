'use client';
import Box from '@mui/material/Box';
import type { BicycleKind } from '@/core/bicycle';
import { CHAIN_ROLLER_MM, miscount, USUAL_PITCHES } from '@/core/inspect/chainPitch';
import { outcomesFor, padLimit, RIM_HOLLOW, type Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import { Choices } from '@/ui/Choices';
import { isDished, rimPlayQuestion } from '@/core/inspect/questions';
import { ReadingField } from '@/ui/ReadingField';
import { JudgedField } from '../workshop/JudgedField';
import { HangerFields } from './HangerFields';
import { Readings } from './Readings';
import { RunoutFields } from './RunoutFields';
import { SpokeFields } from './SpokeFields';

export const FEELS = [
  { id: 'smooth', label: 'Smooth' },
  { id: 'light-rumble', label: 'Light rumble' },
  { id: 'gritty', label: 'Gritty' },
  { id: 'notchy', label: 'Notchy' },
  { id: 'tight', label: 'Tight' },
  { id: 'seized', label: 'Seized' },
] as const;

export const PLAYS = [
  { id: 'none', label: 'No play' },
  { id: 'slight', label: 'Slight' },
  { id: 'clear', label: 'Clear' },
] as const;

const ARM = [
  { id: 'firm', label: 'Firm' },
  { id: 'loose', label: 'Loose' },
] as const;

const HANDS = [
  { id: 'left', label: 'The left hand' },
  { id: 'right', label: 'The right hand' },
] as const;

const GAUGE = ['0', '0.5', '0.75', '1'] as const;
const GAUGE_CHOICES = GAUGE.map((id, i) => ({
  id,
  label: id === '0' ? 'Not at 0.5' : `In at ${id}${i < GAUGE.length - 1 ? `, not at ${GAUGE[i + 1]}` : ''}`,
}));

interface Props {
  check: Check;
  kind: BicycleKind;
  seen: Evidence;
  errors: { path: string; message: string }[];
  note(changes: Evidence): void;
}

function errorAt(errors: Props['errors'], ...paths: string[]): string | null {
  return errors.find((error) => paths.includes(error.path))?.message ?? null;
}

/** What one check takes down: a reading or a feel, by its kind. */
export function EvidenceFields({ check, kind, seen, errors, note }: Props) {
  switch (check.kind) {
    case 'outcome':
      return (
        <Choices
          label="Seen"
          options={outcomesFor(check, kind, seen.outcome)}
          value={seen.outcome ?? null}
          onChoose={(outcome) => note({ outcome })}
        />
      );
    case 'bearing-cup':
      return (
        <Box sx={{ display: 'grid', gap: 2 }}>
          <Choices
            label="Feel"
            options={FEELS}
            value={seen.feel && seen.feel !== 'unknown' ? seen.feel : null}
            onChoose={(feel) => note({ feel })}
          />
          <Choices
            label="Play"
            options={PLAYS}
            value={seen.play && seen.play !== 'unknown' ? seen.play : null}
            onChoose={(play) => note({ play })}
          />
          {(check.place.startsWith('hub') || check.place === 'headset') && (
            <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
              <JudgedField
                calculator="inspect.rimPlay"
                question={(movementMm) => rimPlayQuestion(check.place, movementMm, kind)}
                label={check.place === 'headset' ? 'Rock at the front axle' : 'Rock at the rim'}
                kind="number"
                unit="mm"
                value={seen.rimMm ?? null}
                onCommit={(rimMm) => note({ rimMm })}
                onClear={() => note({ rimMm: undefined })}
                refuse={(mm) => (mm < 0 || mm > 50 ? 'from stop to stop, 0 to 50 mm' : null)}
                width={190}
                step={0.1}
              />
              {check.place.startsWith('hub') && (
                <ReadingField
                  label="It spins for"
                  kind="number"
                  unit="s"
                  value={seen.spinS ?? null}
                  onCommit={(spinS) => note({ spinS })}
                  onClear={() => note({ spinS: undefined })}
                  refuse={(s) => (s < 0 || s > 600 ? '0 to 600 seconds' : null)}
                  help="Kept to compare with"
                  width={170}
                />
              )}
            </Box>
          )}
        </Box>
      );
    case 'crank':
      return (
        <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap' }}>
          <Choices label="Left arm" options={ARM} value={seen.left ?? null} onChoose={(left) => note({ left })} />
          <Choices label="Right arm" options={ARM} value={seen.right ?? null} onChoose={(right) => note({ right })} />
        </Box>
      );
    case 'chain':
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
              question={(lengthMm) => ({ chain: kind.chain, pitches: seen.pitches ?? USUAL_PITCHES, lengthMm })}
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
    case 'disc':
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
    case 'rim-hollow':
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
    case 'pads':
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
    case 'reading':
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
    case 'runout-rim':
    case 'runout-disc':
    case 'runout-ring':
      return <RunoutFields check={check} kind={kind} seen={seen} error={errorAt(errors, 'readingsMm')} note={note} />;
    case 'hanger':
      return <HangerFields kind={kind} seen={seen} note={note} />;
    case 'spokes':
      return <SpokeFields dished={isDished(check.place, kind)} seen={seen} note={note} />;
    case 'tyre-age':
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
    case 'lever-hand':
      return (
        <Choices
          label="The front brake is worked by"
          options={HANDS}
          value={(seen.outcome as 'left' | 'right' | undefined) ?? null}
          onChoose={(outcome) => note({ outcome })}
        />
      );
  }
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { frontBrakeSurface, type BicycleKind } from '@/core/bicycle';
import { miscount, USUAL_PITCHES } from '@/core/inspect/chainPitch';
import type { Check, Evidence } from '@/core/inspect/checks';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { RIM_HOLLOW } from '@/core/inspect/checks';
import { JudgedField } from '../workshop/JudgedField';

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

function Readings({
  label,
  calculator,
  question,
  unit,
  list,
  large,
  note,
  error,
  help,
}: {
  label: string;
  calculator: string;
  question(value: number): unknown;
  unit: string;
  list: number[];
  large?: boolean;
  note(list: number[]): void;
  error: string | null;
  help: string;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
      <JudgedField
        calculator={calculator}
        question={question}
        earlier={list}
        label={label}
        kind="length"
        unit={unit}
        value={null}
        keepEmpty
        large={large}
        width={190}
        error={error}
        help={help}
        onCommit={(value) => note([...list, value].slice(-48))}
      />
      <Box
        component="ul"
        aria-label={`${label}: taken so far`}
        sx={{ display: 'flex', gap: 1, p: 0, m: 0, listStyle: 'none', flexWrap: 'wrap' }}
      >
        {list.map((value, i) => (
          <li key={i}>
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              title="Take this reading back"
              aria-label={`Take back the reading ${value} ${unit}`}
              onClick={() => note(list.filter((_, at) => at !== i))}
            >
              {value} ×
            </Button>
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** What one check takes down: a reading or a feel, by its kind. */
export function EvidenceFields({ check, kind, seen, errors, note }: Props) {
  switch (check.kind) {
    case 'outcome':
      return (
        <Choices
          label="Seen"
          options={check.outcomes}
          value={seen.outcome ?? null}
          onChoose={(outcome) => note({ outcome })}
        />
      );
    case 'bearing':
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
    case 'surface':
      return frontBrakeSurface(kind) === 'disc' ? (
        <Box sx={{ display: 'grid', gap: 2 }}>
          <Readings
            calculator="inspect.disc"
            question={(value) => ({ readingsMm: [...(seen.readingsMm ?? []), value], minimumMm: seen.minimumMm })}
            label="Disc, on the track"
            unit="mm"
            large
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
      ) : (
        <Readings
          calculator="inspect.wearLimit"
          question={(reading) => ({ ...RIM_HOLLOW, reading })}
          label="Hollow under a straight edge"
          unit="mm"
          large
          list={seen.readingsMm ?? []}
          note={(readingsMm) => note({ readingsMm })}
          error={errorAt(errors, 'reading')}
          help="Deepest of both sides; Enter after each"
        />
      );
    case 'reading':
      return (
        <Readings
          calculator="inspect.wearLimit"
          question={(reading) => ({ ...check[frontBrakeSurface(kind) === 'disc' ? 'disc' : 'rim'], reading })}
          label={frontBrakeSurface(kind) === 'disc' ? 'Pad and backing' : 'Rubber left'}
          unit={check.unit}
          large
          list={seen.readingsMm ?? []}
          note={(readingsMm) => note({ readingsMm })}
          error={errorAt(errors, 'reading')}
          help="Each pad; Enter after each"
        />
      );
  }
}

/** What "looked, found nothing" means for a check, or null where only a reading tells. */
export function nothingFound(check: Check): Evidence | null {
  if (check.kind === 'outcome') return { outcome: check.outcomes[0]!.id };
  if (check.kind === 'bearing') return { feel: 'smooth', play: 'none' };
  if (check.kind === 'crank') return { left: 'firm', right: 'firm' };
  return null;
}

/** Evidence with changes laid over it; a change to undefined takes a field away. */
export function mergedEvidence(seen: Evidence, changes: Evidence): Evidence {
  return Object.fromEntries(Object.entries({ ...seen, ...changes }).filter(([, value]) => value !== undefined));
}

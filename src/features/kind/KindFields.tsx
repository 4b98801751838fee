'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { withConsequences, type BicycleKind } from '@/core/bicycle';

type OptionKey =
  | 'frame'
  | 'frameMaterial'
  | 'fork'
  | 'bars'
  | 'stem'
  | 'brakes'
  | 'gears'
  | 'chain'
  | 'cranks'
  | 'wheels'
  | 'bottomBracket';

const OPTIONS: { key: OptionKey; label: string; values: [string, string][] }[] = [
  {
    key: 'frame',
    label: 'Frame',
    values: [
      ['diamond', 'Diamond'],
      ['mixte', 'Mixte'],
      ['step-through', 'Step-through'],
      ['small-wheel', 'Small wheels'],
      ['long-tail', 'Long tail'],
      ['full-suspension', 'Full suspension'],
    ],
  },
  {
    key: 'frameMaterial',
    label: 'Frame of',
    values: [
      ['steel', 'Steel'],
      ['aluminium', 'Aluminium'],
      ['carbon', 'Carbon'],
    ],
  },
  {
    key: 'fork',
    label: 'Fork',
    values: [
      ['rigid', 'Rigid'],
      ['suspension', 'Suspension'],
    ],
  },
  {
    key: 'bars',
    label: 'Bars',
    values: [
      ['drop', 'Drop'],
      ['flat', 'Flat'],
      ['swept', 'Swept back'],
    ],
  },
  {
    key: 'stem',
    label: 'Stem',
    values: [
      ['quill', 'Quill'],
      ['threadless', 'Threadless'],
    ],
  },
  {
    key: 'brakes',
    label: 'Brakes',
    values: [
      ['caliper', 'Caliper'],
      ['cantilever', 'Cantilever'],
      ['direct-pull', 'Direct pull'],
      ['disc', 'Disc'],
      ['drum', 'Drum'],
      ['back-pedal', 'Back-pedal, caliper in front'],
    ],
  },
  {
    key: 'gears',
    label: 'Gears',
    values: [
      ['derailleur', 'Derailleur'],
      ['hub', 'Hub gear'],
      ['single', 'Single speed'],
      ['coaster', 'Single, back-pedal'],
    ],
  },
  {
    key: 'chain',
    label: 'Chain',
    values: [
      ['single-or-hub-gear', 'Single or hub gear'],
      ['5-8-speed', '5 to 8 at the back'],
      ['9-10-speed', '9 or 10 at the back'],
      ['11-speed', '11 at the back'],
      ['12-speed', '12 at the back'],
    ],
  },
  {
    key: 'cranks',
    label: 'Cranks',
    values: [
      ['square-taper', 'Square taper'],
      ['cottered', 'Cottered'],
      ['pinch-bolt', 'Pinch bolts'],
      ['one-piece', 'One piece'],
      ['other', 'Another kind'],
    ],
  },
  {
    key: 'bottomBracket',
    label: 'Bottom bracket thread',
    values: [
      ['', 'Not identified yet'],
      ['english', 'English'],
      ['italian', 'Italian'],
      ['french', 'French'],
      ['swiss', 'Swiss'],
      ['british-26', 'British 26 tpi'],
    ],
  },
  {
    key: 'wheels',
    label: 'Wheels held by',
    values: [
      ['quick-release', 'Quick release'],
      ['nutted', 'Nuts'],
    ],
  },
];

const FITTINGS = [
  ['mudguards', 'Mudguards'],
  ['rack', 'Rack'],
  ['lights', 'Lights'],
  ['basket', 'Basket'],
  ['electric', 'Electric'],
] as const;

const BEAD_SEATS = [
  [622, '622 mm (28 in, 700C)'],
  [630, '630 mm (27 in)'],
  [590, '590 mm (26 × 1 3/8)'],
  [584, '584 mm (650B)'],
  [559, '559 mm (26 in)'],
  [507, '507 mm (24 in)'],
  [451, '451 mm (20 in, high)'],
  [406, '406 mm (20 in)'],
  [349, '349 mm (16 in)'],
] as const;

function seatWords(size: number): string {
  return BEAD_SEATS.find(([seat]) => seat === size)?.[1] ?? `${size} mm`;
}

const SEATS = BEAD_SEATS.map(([size]) => size).sort((a, b) => a - b);

/** A size on a slider: the drawing follows while it is dragged; it is entered when it is let go. */
function SizeSlider({
  label,
  value,
  words,
  marks,
  min,
  max,
  onChange,
  onEnter,
}: {
  label: string;
  value: number;
  /** The size as people call it. */
  words(value: number): string;
  marks?: number[];
  min: number;
  max: number;
  onChange(value: number): void;
  onEnter(value: number): void;
}) {
  const [drag, setDrag] = useState<number | null>(null);
  return (
    <Box sx={{ px: 1 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: '0.82rem', color: 'text.secondary' }}>
        <span>{label}</span>
        <Box component="b" sx={{ color: 'text.primary' }}>
          {words(drag ?? value)}
        </Box>
      </Box>
      <Slider
        aria-label={label}
        getAriaValueText={words}
        value={drag ?? value}
        min={min}
        max={max}
        step={marks ? null : 1}
        marks={marks?.map((at) => ({ value: at }))}
        onChange={(_event, next) => {
          setDrag(next);
          onChange(next);
        }}
        onChangeCommitted={(_event, next) => {
          setDrag(null);
          onEnter(next);
        }}
        sx={{ py: 1.25 }}
      />
    </Box>
  );
}

/** What a bicycle is, as far as the work differs; the drawing and the bolts follow from it. */
export function KindFields({
  kind,
  onChange: enter,
  onDrag,
}: {
  kind: BicycleKind;
  onChange(changes: Partial<BicycleKind>): void;
  /** Called while a slider is dragged, where a drawing can follow it. */
  onDrag?(changes: Partial<BicycleKind>): void;
}) {
  const onChange = (changes: Partial<BicycleKind>) => enter(withConsequences(kind, changes));
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 1fr' }, gap: 1.5 }}>
      {OPTIONS.map(({ key, label, values }) => (
        <TextField
          key={key}
          select
          label={label}
          value={kind[key] ?? ''}
          onChange={(event) => onChange({ [key]: event.target.value === '' ? null : event.target.value })}
        >
          {values.map(([value, word]) => (
            <MenuItem key={value} value={value}>
              {word}
            </MenuItem>
          ))}
        </TextField>
      ))}
      <Box sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
        <SizeSlider
          label="Wheel size, bead seat"
          value={kind.beadSeatMm}
          words={seatWords}
          marks={SEATS}
          min={SEATS[0]!}
          max={SEATS.at(-1)!}
          onChange={(beadSeatMm) => onDrag?.({ beadSeatMm })}
          onEnter={(beadSeatMm) => onChange({ beadSeatMm })}
        />
        <SizeSlider
          label="Tyre width"
          value={kind.tyreWidthMm}
          words={(mm) => `${mm} mm`}
          min={18}
          max={64}
          onChange={(tyreWidthMm) => onDrag?.({ tyreWidthMm })}
          onEnter={(tyreWidthMm) => onChange({ tyreWidthMm })}
        />
      </Box>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', columnGap: 2, flexWrap: 'wrap' }}>
        {FITTINGS.map(([key, word]) => (
          <FormControlLabel
            key={key}
            control={<Checkbox checked={kind[key]} onChange={(event) => onChange({ [key]: event.target.checked })} />}
            label={word}
          />
        ))}
      </Box>
    </Box>
  );
}

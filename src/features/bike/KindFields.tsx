'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { bicycleKind, type BicycleKind } from '@/core/bicycle';

export const USUAL_KIND: BicycleKind = bicycleKind.parse({});

type OptionKey =
  'frame' | 'frameMaterial' | 'bars' | 'stem' | 'brakes' | 'chain' | 'cranks' | 'wheels' | 'bottomBracket';

const OPTIONS: { key: OptionKey; label: string; values: [string, string][] }[] = [
  {
    key: 'frame',
    label: 'Frame',
    values: [
      ['diamond', 'Diamond'],
      ['step-through', 'Step-through'],
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
      ['rim', 'Rim'],
      ['disc', 'Disc'],
    ],
  },
  {
    key: 'chain',
    label: 'Gears',
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

const BEAD_SEATS = [
  [622, '622 mm (28 in, 700C)'],
  [630, '630 mm (27 in)'],
  [590, '590 mm (26 × 1 3/8)'],
  [584, '584 mm (650B)'],
  [559, '559 mm (26 in)'],
  [406, '406 mm (20 in)'],
] as const;

/** What a bicycle is, as far as the work differs; the drawing and the bolts follow from it. */
export function KindFields({ kind, onChange }: { kind: BicycleKind; onChange(changes: Partial<BicycleKind>): void }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 1fr' }, gap: 1.5 }}>
      <TextField
        select
        label="Bead seat"
        value={kind.beadSeatMm}
        onChange={(event) => onChange({ beadSeatMm: Number(event.target.value) })}
      >
        {BEAD_SEATS.map(([size, label]) => (
          <MenuItem key={size} value={size}>
            {label}
          </MenuItem>
        ))}
      </TextField>
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
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 2 }}>
        <FormControlLabel
          control={
            <Checkbox checked={kind.mudguards} onChange={(event) => onChange({ mudguards: event.target.checked })} />
          }
          label="Mudguards"
        />
        <FormControlLabel
          control={<Checkbox checked={kind.rack} onChange={(event) => onChange({ rack: event.target.checked })} />}
          label="Rack"
        />
      </Box>
    </Box>
  );
}

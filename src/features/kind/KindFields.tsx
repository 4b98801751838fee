'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { Fragment, useState } from 'react';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { withConsequences, type BicycleKind } from '@/core/bicycle';
import { BEAD_SEATS, chosen, FINER_OPTIONS, MAIN_OPTIONS, seatWords, type KindOption } from './options';

const FITTINGS = [
  ['mudguards', 'Mudguards'],
  ['rack', 'Rack'],
  ['lights', 'Lights'],
  ['basket', 'Basket'],
  ['electric', 'Electric'],
] as const;

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

function OptionField({
  option,
  kind,
  onChange,
}: {
  option: KindOption;
  kind: BicycleKind;
  onChange(changes: Partial<BicycleKind>): void;
}) {
  return (
    <TextField
      select
      label={option.label}
      value={kind[option.key] ?? ''}
      // What is empty has a word of its own, which no label may lie over.
      slotProps={{ select: { displayEmpty: true } }}
      onChange={(event) => onChange(chosen(option, event.target.value))}
    >
      {option.values.map(([value, word]) => (
        <MenuItem key={value} value={value}>
          {word}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** A wheel whose size or tyre differs from the other's. */
function EndSizes({ kind, onChange }: { kind: BicycleKind; onChange(changes: Partial<BicycleKind>): void }) {
  return (['front', 'rear'] as const).map((end) => {
    const seat = `${end}BeadSeatMm` as const;
    const tyre = `${end}TyreWidthMm` as const;
    const word = end === 'front' ? 'Front' : 'Rear';
    return (
      <Fragment key={end}>
        <TextField
          select
          label={`${word} wheel size`}
          value={kind[seat] ?? ''}
          slotProps={{ select: { displayEmpty: true } }}
          onChange={({ target: { value } }) => onChange({ [seat]: value === '' ? null : Number(value) })}
        >
          <MenuItem value="">As said above</MenuItem>
          {BEAD_SEATS.map(([mm, words]) => (
            <MenuItem key={mm} value={mm}>
              {words}
            </MenuItem>
          ))}
        </TextField>
        <ReadingField
          label={`${word} tyre width`}
          kind="length"
          unit="mm"
          value={kind[tyre]}
          onCommit={(mm) => onChange({ [tyre]: mm })}
          onClear={() => onChange({ [tyre]: null })}
          refuse={(mm) => (mm < 18 || mm > 70 ? '18 to 70 mm' : null)}
        />
      </Fragment>
    );
  });
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
      {MAIN_OPTIONS.map((option) => (
        <OptionField key={option.key} option={option} kind={kind} onChange={onChange} />
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
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Disclosure wide summary={<>Finer: ends that differ, materials, what is sprung, gears</>}>
          {FINER_OPTIONS.map(({ title, options }) => (
            <Box key={title} role="group" aria-label={title} sx={{ mt: 2 }}>
              <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', mb: 1.25 }}>{title}</Box>
              <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 1fr' }, gap: 1.5 }}>
                {options.map((option) => (
                  <OptionField key={option.key} option={option} kind={kind} onChange={onChange} />
                ))}
                {title === 'Wheels' && <EndSizes kind={kind} onChange={onChange} />}
              </Box>
            </Box>
          ))}
        </Disclosure>
      </Box>
    </Box>
  );
}

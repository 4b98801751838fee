'use client';
import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { parseDecimal, parseLengthMm, parseMoneyMinor, type ParsedReading } from '@/core/units/parseReading';
import { moneyTyped } from './format';

export type ReadingKind = 'length' | 'number' | 'money';

const PARSERS: Record<ReadingKind, (text: string) => ParsedReading> = {
  length: parseLengthMm,
  number: parseDecimal,
  money: parseMoneyMinor,
};

export interface ReadingFieldProps {
  label: string;
  kind: ReadingKind;
  unit?: string;
  value: number | null;
  /** Called with a value that can be; what cannot be is refused beside the field and what was saved stays. */
  onCommit(value: number): void;
  /** Called when the field is left empty, where a reading may be taken back. */
  onClear?(): void;
  /** A hint for a value that this field cannot take, or null. */
  refuse?(value: number): string | null;
  help?: string;
  error?: string | null;
  /** Empty the field after each reading, for a row of readings. */
  keepEmpty?: boolean;
  width?: number | string;
  large?: boolean;
}

function typed(kind: ReadingKind, value: number | null): string {
  if (value === null) return '';
  return kind === 'money' ? moneyTyped(value) : String(Math.round(value * 1e4) / 1e4);
}

/** After Enter the next field of the form is ready, as a caliper's data lead expects. */
function moveOn(field: HTMLElement): void {
  const form = field.closest('[data-readings]') ?? document.body;
  const fields = [...form.querySelectorAll<HTMLElement>('input[data-reading]:not([disabled])')];
  const next = fields[fields.indexOf(field) + 1];
  if (next) next.focus();
}

/** One measured value: takes typing or a caliper's digits and Enter, says what cannot be, and moves on by itself. */
export function ReadingField({
  label,
  kind,
  unit,
  value,
  onCommit,
  onClear,
  refuse,
  help,
  error,
  keepEmpty,
  width = 150,
  large,
}: ReadingFieldProps) {
  const id = useId();
  const [draft, showDraft] = useState<string | null>(null);
  // Enter and the blur that follows it come before the next drawing: the second must know that the first has entered it.
  const typedNow = useRef<string | null>(null);
  const setDraft = (text: string | null) => {
    typedNow.current = text;
    showDraft(text);
  };
  const [hint, setHint] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const shown = draft ?? (keepEmpty ? '' : typed(kind, value));

  // A value that changes under the cursor (its neighbour moved it) stays selected, so that the next digits replace it.
  useEffect(() => {
    if (draft === null && document.activeElement === input.current) input.current?.select();
  }, [draft, shown]);

  function commit(): boolean {
    const draft = typedNow.current;
    if (draft === null) return true;
    if (draft.trim() === '') {
      setDraft(null);
      setHint(null);
      if (!keepEmpty && value !== null) onClear?.();
      return true;
    }
    const parsed = PARSERS[kind](draft);
    const refusal = parsed.ok ? (refuse?.(parsed.value) ?? null) : parsed.hint;
    if (!parsed.ok || refusal) {
      setHint(refusal);
      return false;
    }
    setHint(null);
    setDraft(null);
    if (keepEmpty || parsed.value !== value) onCommit(parsed.value);
    return true;
  }

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (commit() && !keepEmpty) moveOn(event.currentTarget);
    }
    if (event.key === 'Escape') {
      setDraft(null);
      setHint(null);
    }
  }

  const message = hint ?? error ?? help;
  return (
    <Box sx={{ width }}>
      <TextField
        id={id}
        label={label}
        value={shown}
        fullWidth
        error={Boolean(hint ?? error)}
        helperText={message}
        onChange={(event) => {
          setDraft(event.target.value);
          setHint(null);
        }}
        inputRef={input}
        onFocus={(event) => event.target.select()}
        onBlur={commit}
        slotProps={{
          htmlInput: {
            inputMode: 'decimal',
            autoComplete: 'off',
            'data-reading': true,
            onKeyDown,
            style: large ? { fontSize: '1.6rem', fontWeight: 640, height: 40 } : { fontWeight: 600 },
          },
          input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : undefined,
          inputLabel: { shrink: true },
          formHelperText: { role: hint ? 'alert' : undefined, sx: { mx: 0.5 } },
        }}
      />
    </Box>
  );
}

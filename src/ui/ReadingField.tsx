'use client';
import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import dynamic from 'next/dynamic';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import {
  parseDecimal,
  parseDistanceM,
  parseLengthMm,
  parseMoneyMinor,
  parsePressureBar,
  parseSignedMm,
  parseSpeedKmh,
  type ParsedReading,
} from '@/core/units/parseReading';
import type { StateId } from '@/core/vocabulary/vocabulary';
import { moneyTyped } from './format';
import { READING_EVENT } from './readingEvent';
import { StateMark } from './StateMark';
import { TextInput } from './TextInput';

const Trace = dynamic(() => import('./Trace').then((module) => module.Trace), { ssr: false });

export type ReadingKind = 'length' | 'signed' | 'number' | 'money' | 'pressure' | 'speed' | 'distance';

const PARSERS: Record<ReadingKind, (text: string) => ParsedReading> = {
  length: parseLengthMm,
  signed: parseSignedMm,
  number: parseDecimal,
  money: parseMoneyMinor,
  pressure: parsePressureBar,
  speed: parseSpeedKmh,
  distance: parseDistanceM,
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
  /** The limit and verdict while it is being typed, as far as they can be told at once. */
  judge?(value: number): { state: StateId; words: string } | null;
  /** Told each value that could be, while it is being typed, and null when there is none. */
  onDraft?(value: number | null): void;
  /** Earlier readings of the same thing, oldest first, shown as a small trace. */
  earlier?: number[];
  /** What one press of an arrow key moves; the last digit of the instrument. */
  step?: number;
}

function typed(kind: ReadingKind, value: number | null): string {
  if (value === null) return '';
  return kind === 'money' ? moneyTyped(value) : String(Math.round(value * 1e4) / 1e4);
}

function parsedOr(kind: ReadingKind, text: string): number | null {
  const parsed = PARSERS[kind](text);
  return parsed.ok ? parsed.value : null;
}

/** The size of the last digit of a number as it is written. Example: "6.34" gives 0.01. */
function lastDigit(text: string): number {
  const decimals = /[.,](\d*)$/.exec(text.trim())?.[1]?.length ?? 0;
  return 10 ** -decimals;
}

/** After Enter the next field of the form is ready, as a caliper's data lead expects; after the last the keys are given back. */
function moveOn(field: HTMLElement): void {
  const form = field.closest('[data-readings]') ?? document.body;
  const fields = [...form.querySelectorAll<HTMLElement>('input[data-reading]:not([disabled])')];
  const next = fields[fields.indexOf(field) + 1];
  // At once, not a moment later: a key that follows on the heels of Enter is the place's already.
  (next ?? field.closest<HTMLElement>('[data-has-keys]'))?.focus();
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
  judge,
  onDraft,
  earlier,
  step,
}: ReadingFieldProps) {
  const id = useId();
  const [draft, showDraft] = useState<string | null>(null);
  // Enter and the blur that follows it come before the next drawing: the second must know that the first has entered it.
  const typedNow = useRef<string | null>(null);
  const setDraft = (text: string | null) => {
    typedNow.current = text;
    showDraft(text);
    onDraft?.(text === null ? null : parsedOr(kind, text));
  };
  const [hint, setHint] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const shown = draft ?? (keepEmpty ? '' : typed(kind, value));

  // A value that changes under the cursor (its neighbour moved it) stays selected, so that the next digits replace it.
  useEffect(() => {
    if (draft === null && document.activeElement === input.current) input.current?.select();
  }, [draft, shown]);

  const takeNow = useRef<(text: string, field: HTMLElement) => void>(() => undefined);
  useEffect(() => {
    takeNow.current = (text, field) => {
      setDraft(text);
      if (commit() && !keepEmpty) moveOn(field);
    };
  });

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

  /** Arrow keys move the last digit that is shown. */
  function nudge(by: 1 | -1): void {
    const parsed = PARSERS[kind](shown);
    if (!parsed.ok) return;
    const size = kind === 'money' ? 100 : (step ?? lastDigit(shown));
    const next = Math.max(0, Math.round((parsed.value + by * size) * 1e4) / 1e4);
    setDraft(typed(kind, next));
    setHint(null);
  }

  useEffect(() => {
    const field = input.current;
    if (!field) return;
    const take = (event: Event) => takeNow.current((event as CustomEvent<string>).detail, field);
    field.addEventListener(READING_EVENT, take);
    return () => field.removeEventListener(READING_EVENT, take);
  }, []);

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (commit() && !keepEmpty) moveOn(event.currentTarget);
    }
    if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && !event.altKey) {
      event.preventDefault();
      nudge(event.key === 'ArrowUp' ? 1 : -1);
    }
    if (event.key === 'Escape') {
      setDraft(null);
      setHint(null);
    }
  }

  const reading = draft === null ? (keepEmpty ? null : value) : parsedOr(kind, draft);
  const verdict = reading !== null && !hint && draft !== null ? (judge?.(reading) ?? null) : null;
  const message = hint ?? error ?? help;
  return (
    <Box sx={{ width, maxWidth: '100%' }}>
      <TextInput
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
            'data-drafting': draft === null ? undefined : true,
            onKeyDown,
            style: large ? { fontSize: '1.6rem', fontWeight: 640, height: 40 } : { fontWeight: 600 },
          },
          input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : undefined,
          formHelperText: { role: hint ? 'alert' : undefined, sx: { mx: 0.5 } },
        }}
      />
      {verdict && (
        <Box aria-live="polite" sx={{ fontSize: '0.88rem', mt: 0.5 }}>
          <StateMark state={verdict.state} size={16} word={false} /> {verdict.words}
        </Box>
      )}
      {earlier && earlier.length > 1 && <Trace values={earlier} unit={unit ?? ''} />}
    </Box>
  );
}

'use client';
import { TextInput } from './TextInput';
import { useState } from 'react';

/** A line of text that is kept when it is left or with Enter, and refused in words where it cannot be. */
export function KeptText({
  label,
  value,
  refuse,
  onKeep,
  width,
  most = 120,
}: {
  label: string;
  value: string;
  refuse?(text: string): string | null;
  onKeep(text: string): void;
  width: number;
  /** Most letters taken. */
  most?: number;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const hint = draft === null ? null : (refuse?.(draft.trim()) ?? null);
  const keep = () => {
    if (draft === null || hint) return;
    if (draft.trim() !== value) onKeep(draft.trim());
    setDraft(null);
  };
  return (
    <TextInput
      label={label}
      value={draft ?? value}
      error={hint !== null}
      helperText={hint}
      onChange={(event) => setDraft(event.target.value.slice(0, most))}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
      sx={{ width: `min(${width}px, 100%)` }}
    />
  );
}

'use client';
import Button from '@mui/material/Button';
import { useRef, type ReactNode } from 'react';

/** A button that asks for a file; the camera where `camera` says so and there is one. */
export function FileButton({
  children,
  accept,
  camera = false,
  startIcon,
  inputId,
  inputLabel,
  onFile,
}: {
  children: ReactNode;
  accept: string;
  camera?: boolean;
  startIcon?: ReactNode;
  inputId?: string;
  inputLabel: string;
  onFile(file: File): void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outlined" startIcon={startIcon} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        id={inputId}
        type="file"
        accept={accept}
        capture={camera ? 'environment' : undefined}
        aria-label={inputLabel}
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}

'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';

// The dialog and its fields come when they are asked for, so that the first screen is there sooner.
const AddBicycleDialog = dynamic(() => import('./AddBicycleDialog').then((module) => module.AddBicycleDialog), {
  ssr: false,
});

/** The way in for a new bicycle. */
export function AddBicycle({ label, variant = 'contained' }: { label: string; variant?: 'contained' | 'outlined' }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant={variant} onClick={() => setOpen(true)}>
        {label}
      </Button>
      {open && <AddBicycleDialog onClose={() => setOpen(false)} />}
    </>
  );
}

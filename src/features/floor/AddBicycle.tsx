'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';

// The dialog and its fields come when they are asked for, so that the first screen is there sooner.
const AddBicycleDialog = dynamic(() => import('./AddBicycleDialog').then((module) => module.AddBicycleDialog), {
  ssr: false,
});

/** The way in for a new bicycle. Who has a key for it may open it from outside. */
export function AddBicycle({
  label,
  open: asked,
  onOpen,
}: {
  label: string;
  open?: boolean;
  onOpen?(open: boolean): void;
}) {
  const [own, setOwn] = useState(false);
  const open = asked ?? own;
  const set = onOpen ?? setOwn;
  return (
    <>
      <Button variant="contained" onClick={() => set(true)}>
        {label}
      </Button>
      {open && <AddBicycleDialog onClose={() => set(false)} />}
    </>
  );
}

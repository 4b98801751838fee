'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import * as z from 'zod/mini';
import type { BicycleKind } from '@/core/bicycle';
import { newBicycle } from '@/model/fresh';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { FormText, saidText, useSentForm } from '@/ui/forms';
import { KindFields } from '../kind/KindFields';
import { USUAL_KIND } from '../kind/usualKind';
import { stageHref } from '../workshop/stageLink';
import { useWorkshop } from '../workshop/WorkshopProvider';

const form = z.strictObject({ name: saidText('Give it a name first.', 120) });

/** A new bicycle: a name that says what it is, and what it is, seen as it is chosen. */
export function AddBicycleDialog({ onClose }: { onClose(): void }) {
  const [kind, setKind] = useState<BicycleKind>(USUAL_KIND);
  const workshop = useWorkshop();
  const router = useRouter();

  const { control, submit } = useSentForm(form, { name: '' }, async ({ name }) => {
    const id = newId();
    try {
      await workshop.addBicycle(newBicycle(id, nowIso(), name, kind));
    } catch {
      // What went wrong stands at the top of the page; what was typed stays here.
      return;
    }
    onClose();
    router.push(stageHref(id, 'buy'));
  });

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="add-title">
      <DialogTitle id="add-title">Add a bicycle</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 300px' }, gap: 3, pt: 1 }}>
          <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
            <Box component="form" id="add-bicycle" noValidate onSubmit={submit} sx={{ display: 'grid' }}>
              <FormText
                control={control}
                name="name"
                label="What is it? Name it so that you both know it"
                placeholder="Blue shopper with a basket"
                helperText=" "
                autoFocus
              />
            </Box>
            <KindFields
              kind={kind}
              onChange={(changes) => setKind({ ...kind, ...changes })}
              onDrag={(changes) => setKind((was) => ({ ...was, ...changes }))}
            />
          </Box>
          <Box sx={{ alignSelf: 'center' }}>
            <BicycleDrawing kind={kind} label="How it will be drawn" />
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose}>Not now</Button>
        <Button type="submit" form="add-bicycle" variant="contained">
          Put it on the floor
        </Button>
      </DialogActions>
    </Dialog>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { BicycleKind } from '@/core/bicycle';
import { newBicycle } from '@/model/fresh';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { TextInput } from '@/ui/TextInput';
import { KindFields } from '../kind/KindFields';
import { USUAL_KIND } from '../kind/usualKind';
import { useWorkshop } from '../workshop/WorkshopProvider';

/** A new bicycle: a name that says what it is, and what it is, seen as it is chosen. */
export function AddBicycleDialog({ onClose }: { onClose(): void }) {
  const [name, setName] = useState('');
  const [asked, setAsked] = useState(false);
  const [kind, setKind] = useState<BicycleKind>(USUAL_KIND);
  const workshop = useWorkshop();
  const router = useRouter();

  async function add() {
    if (name.trim() === '') {
      setAsked(true);
      return;
    }
    const id = newId();
    try {
      await workshop.addBicycle(newBicycle(id, nowIso(), name.trim(), kind));
    } catch {
      // What went wrong stands at the top of the page; what was typed stays here.
      return;
    }
    onClose();
    router.push(`/bike?id=${id}&stage=buy`);
  }

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="add-title">
      <DialogTitle id="add-title">A bicycle comes in</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 300px' }, gap: 3, pt: 1 }}>
          <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
            <TextInput
              label="What is it? Name it so that you both know it"
              placeholder="Blue shopper with a basket"
              value={name}
              autoFocus
              error={asked && name.trim() === ''}
              helperText={asked && name.trim() === '' ? 'Give it a name first.' : ' '}
              onChange={(event) => setName(event.target.value.slice(0, 120))}
              onKeyDown={(event) => event.key === 'Enter' && void add()}
            />
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
        <Button variant="contained" onClick={() => void add()}>
          Put it on the floor
        </Button>
      </DialogActions>
    </Dialog>
  );
}

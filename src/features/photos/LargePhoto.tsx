'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { useBlob } from './useBlob';

/** A photograph, whole. */
export function LargePhoto({
  id,
  label,
  onClose,
  onRemove,
}: {
  id: string;
  label: string;
  onClose(): void;
  onRemove(): void;
}) {
  const { url, missing } = useBlob(id);
  return (
    <Dialog open onClose={onClose} maxWidth="lg" aria-label={label}>
      {missing && <Typography sx={{ p: 3 }}>This photograph lies on another device, and not here.</Typography>}
      {url && <img src={url} alt={label} style={{ maxWidth: '100%', maxHeight: '78vh', objectFit: 'contain' }} />}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', p: 1.5 }}>
        <Button color="inherit" onClick={onRemove}>
          Remove it
        </Button>
        <Button variant="contained" autoFocus onClick={onClose}>
          Close
        </Button>
      </Box>
    </Dialog>
  );
}

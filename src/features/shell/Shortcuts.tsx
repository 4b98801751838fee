'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { DRAWING_KEYS, KEYMAP, keyWords, SCOPES, type Scope } from '@/ui/keys/keymap';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

const SCOPE_WORDS: Record<Scope, string> = {
  everywhere: 'Everywhere',
  floor: 'On the floor',
  bicycle: 'At a bicycle',
  'look-over': 'Looking over',
  bearing: 'Setting a bearing',
  practice: 'In the practice room',
  drawing: 'On the drawing',
  bench: 'Bench mode',
};

function Keys({ keys }: { keys: readonly string[] }) {
  return keys.map((key, i) => (
    <span key={key}>
      {i > 0 && ' or '}
      <Box
        component="kbd"
        sx={{
          fontFamily: 'inherit',
          fontWeight: 640,
          border: '1px solid',
          borderColor: 'text.secondary',
          borderRadius: '3px',
          px: 0.75,
          py: 0.1,
          whiteSpace: 'nowrap',
        }}
      >
        {keyWords(key)}
      </Box>
    </span>
  ));
}

/** Every key, by where it is heard. */
export function Shortcuts({ onClose }: { onClose(): void }) {
  const { letterKeys } = useSettings();
  const workshop = useWorkshop();
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent tabIndex={0}>
        <Typography sx={{ mb: 1 }}>
          Digits are always a reading, never a key. Enter in a reading goes on to the next field.
        </Typography>
        {SCOPES.map((scope) => {
          const rows = scope === 'drawing' ? DRAWING_KEYS : KEYMAP.filter((row) => row.scope === scope);
          return (
            <Box key={scope} component="section" sx={{ mt: 2 }}>
              <Typography variant="h3" sx={{ borderBottom: '1.5px solid', pb: 0.5, mb: 0.5 }}>
                {SCOPE_WORDS[scope]}
              </Typography>
              {rows.map((row) => (
                <Box key={row.words} sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, py: 0.5 }}>
                  <span>{row.words}</span>
                  <Box sx={{ textAlign: 'right' }}>
                    <Keys keys={row.keys} />
                  </Box>
                </Box>
              ))}
            </Box>
          );
        })}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2, justifyContent: 'space-between' }}>
        <FormControlLabel
          control={
            <Switch
              checked={letterKeys}
              onChange={(event) => void workshop.changeSettings({ letterKeys: event.target.checked })}
            />
          }
          label="Single-letter keys"
        />
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

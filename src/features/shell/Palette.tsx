'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { anyOrder } from '@/ui/anyOrder';
import { heardNow } from '@/ui/keys/useKeys';
import { useScheme } from '../top-bar/SchemeToggle';
import { useStages, useTasks } from '../workshop/declared';
import { useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { MOST_LISTED, paletteEntries, type Entry } from './paletteEntries';
import { pressable } from './pressable';

/** Everything that can be gone to, done or set, found by a few letters. */
export function Palette({
  onClose,
  onShortcuts,
  onCaliper,
}: {
  onClose(): void;
  onShortcuts(): void;
  onCaliper(): void;
}) {
  const router = useRouter();
  const stages = useStages();
  const tasks = useTasks();
  const here = useSearchParams().get('id');
  const summaries = useWorkshopState((state) => state.summaries);
  const demo = useWorkshopName() === 'demo';
  const { dark, toggle } = useScheme();
  // What is heard by a key when it opens is what can be done here.
  const [entries] = useState(() =>
    paletteEntries({
      here,
      summaries,
      stages,
      tasks,
      actions: [
        ...heardNow()
          .filter(({ id }) => id !== 'palette' && id !== 'shortcuts')
          .map(({ id, words, run }) => ({ id, label: words, run })),
        { id: 'keys', label: 'Keys', run: onShortcuts },
        { id: 'scheme', label: dark ? 'Light sheet' : 'Dark sheet', run: toggle },
        ...(demo ? [{ id: 'caliper', label: 'Made-up caliper', run: onCaliper }] : []),
      ],
      onPage: pressable(document),
    }),
  );
  const go = ({ to }: Entry) => {
    onClose();
    if (typeof to === 'string') router.push(to);
    // What is done is done where the palette is no longer in the way.
    else setTimeout(to);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      transitionDuration={0}
      slotProps={{ paper: { 'aria-label': 'Find anything' } }}
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start', pt: '8vh' } }}
    >
      <Autocomplete
        open
        autoHighlight
        disablePortal
        forcePopupIcon={false}
        options={entries}
        filterOptions={(options, state) =>
          (state.inputValue.trim() === '' ? options.filter(({ first }) => first) : anyOrder(options, state)).slice(
            0,
            MOST_LISTED,
          )
        }
        getOptionLabel={({ label, group, words = '' }) => `${label} ${group} ${words}`}
        noOptionsText="Nothing answers to that."
        renderOption={({ key, ...option }, entry) => (
          <Box
            component="li"
            key={key}
            {...option}
            sx={{ justifyContent: 'space-between !important', gap: 2, minHeight: '46px !important' }}
          >
            <span>{entry.label}</span>
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem', textAlign: 'right' }}>
              {entry.group}
            </Box>
          </Box>
        )}
        getOptionKey={(entry) => entry.id}
        onChange={(_event, entry) => entry && go(entry)}
        onKeyDown={(event) => event.key === 'Escape' && onClose()}
        sx={{ p: 2, pb: 0 }}
        slotProps={{
          popper: { sx: { position: 'static !important', transform: 'none !important', width: 'auto !important' } },
          paper: { elevation: 0, sx: { border: 0, boxShadow: 'none' } },
          listbox: { sx: { maxHeight: '50vh' } },
        }}
        renderInput={(input) => <TextField {...input} autoFocus label="Find anything and go there" />}
      />
    </Dialog>
  );
}

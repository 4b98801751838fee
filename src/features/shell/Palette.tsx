'use client';
import { own } from '@/core/own';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { anyOrder } from '@/ui/anyOrder';
import { benchHref } from '../workshop/benchHref';
import { useStages, useTasks } from '../workshop/declared';
import { stageHref } from '../workshop/stageLink';
import { useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';

interface Entry {
  id: string;
  group: string;
  label: string;
  run(): void;
}

/** Everything that can be gone to or done, found by a few letters. */
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
  const entries = useMemo(() => {
    const go = (path: string) => () => router.push(path);
    const current = here ? own(summaries, here) : undefined;
    const list: Entry[] = [];
    if (current) {
      for (const { id, label } of stages)
        list.push({ id: `stage ${id}`, group: current.name, label, run: go(stageHref(current.id, id)) });
      for (const { id, label } of tasks)
        list.push({
          id: `bench ${id}`,
          group: current.name,
          label: `Bench: ${label}`,
          run: go(benchHref(current.id, id)),
        });
    }
    list.push(
      { id: 'floor', group: 'Rooms', label: 'The floor', run: go('/') },
      { id: 'records', group: 'Rooms', label: 'Records: export, import, send', run: go('/records') },
      { id: 'settings', group: 'Rooms', label: 'House rules', run: go('/settings') },
      { id: 'keys', group: 'Rooms', label: 'Keys', run: onShortcuts },
    );
    if (demo) list.push({ id: 'caliper', group: 'Rooms', label: 'Made-up caliper', run: onCaliper });
    for (const row of Object.values(summaries))
      list.push({
        id: `bike ${row.id}`,
        group: 'Bicycles',
        label: row.name,
        run: go(stageHref(row.id, row.stage)),
      });
    return list;
  }, [router, here, summaries, stages, tasks, demo, onShortcuts, onCaliper]);
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
        options={entries}
        filterOptions={anyOrder}
        getOptionLabel={(entry) => `${entry.label} ${entry.group}`}
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
        onChange={(_event, entry) => {
          onClose();
          entry?.run();
        }}
        onKeyDown={(event) => event.key === 'Escape' && onClose()}
        sx={{ p: 2, pb: 0 }}
        slotProps={{
          popper: { sx: { position: 'static !important', transform: 'none !important', width: 'auto !important' } },
          paper: { elevation: 0 },
          listbox: { sx: { maxHeight: '50vh' } },
        }}
        renderInput={(input) => <TextField {...input} autoFocus label="Find anything and go there" />}
      />
    </Dialog>
  );
}

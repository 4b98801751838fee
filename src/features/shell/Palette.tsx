'use client';
import { own } from '@/core/own';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { STAGES } from '@/model/stages';
import { BENCH_TASKS } from '@/model/work/part';
import { anyOrder } from '@/ui/anyOrder';
import { TASK_WORDS } from '../bench/steps';
import { STAGE_LABELS } from '../bike/stages';
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
  const here = useSearchParams().get('id');
  const summaries = useWorkshopState((state) => state.summaries);
  const demo = useWorkshopName() === 'demo';
  const entries = useMemo(() => {
    const go = (path: string) => () => router.push(path);
    const current = here ? own(summaries, here) : undefined;
    const list: Entry[] = [];
    if (current) {
      for (const stage of STAGES)
        list.push({
          id: `stage ${stage}`,
          group: current.name,
          label: STAGE_LABELS[stage],
          run: go(`/bike?id=${encodeURIComponent(current.id)}&stage=${stage}`),
        });
      for (const task of BENCH_TASKS)
        list.push({
          id: `bench ${task}`,
          group: current.name,
          label: `Bench: ${TASK_WORDS[task]}`,
          run: go(`/bench?id=${encodeURIComponent(current.id)}&task=${task}`),
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
        run: go(`/bike?id=${encodeURIComponent(row.id)}&stage=${row.stage}`),
      });
    return list;
  }, [router, here, summaries, demo, onShortcuts, onCaliper]);
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

'use client';
import IconButton from '@mui/material/IconButton';
import { useColorScheme } from '@mui/material/styles';
import { Lamp, Moon } from '@/ui/icons';

/** Whether the sheet is dark, and the way to the other. */
export function useScheme(): { dark: boolean; ready: boolean; toggle(): void } {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return { dark, ready: mode !== undefined, toggle: () => setMode(dark ? 'light' : 'dark') };
}

/** Light sheet or dark. */
export function SchemeToggle() {
  const { dark, ready, toggle } = useScheme();
  return (
    <IconButton disabled={!ready} onClick={toggle} aria-label={dark ? 'Light sheet' : 'Dark sheet'} color="inherit">
      {dark ? <Lamp /> : <Moon />}
    </IconButton>
  );
}

'use client';
import DarkModeOutlined from '@mui/icons-material/DarkModeOutlined';
import LightModeOutlined from '@mui/icons-material/LightModeOutlined';
import IconButton from '@mui/material/IconButton';
import { useColorScheme } from '@mui/material/styles';

/** Light sheet or dark. */
export function SchemeToggle() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <IconButton
      disabled={!mode}
      onClick={() => setMode(dark ? 'light' : 'dark')}
      aria-label={dark ? 'Light sheet' : 'Dark sheet'}
      color="inherit"
    >
      {dark ? <LightModeOutlined /> : <DarkModeOutlined />}
    </IconButton>
  );
}

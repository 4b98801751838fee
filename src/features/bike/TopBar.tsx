'use client';
import HandymanOutlined from '@mui/icons-material/HandymanOutlined';
import StraightenOutlined from '@mui/icons-material/StraightenOutlined';
import RuleOutlined from '@mui/icons-material/RuleOutlined';
import Inventory2Outlined from '@mui/icons-material/Inventory2Outlined';
import DarkModeOutlined from '@mui/icons-material/DarkModeOutlined';
import LightModeOutlined from '@mui/icons-material/LightModeOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { useColorScheme } from '@mui/material/styles';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { OPEN_GAUGES } from '../shell/openGauges';
import { useWorkshopName } from '../workshop/WorkshopProvider';

function SchemeToggle() {
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

/** The top edge of every page: home, what is open, what runs. */
export function TopBar({ children, end }: { children?: ReactNode; end?: ReactNode }) {
  const demo = useWorkshopName() === 'demo';
  return (
    <Box
      component="header"
      className="no-print"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: { xs: 1, md: 2.5 },
        px: { xs: 2, md: 3 },
        minHeight: 60,
        borderBottom: '1px solid',
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <Box
        component={Link}
        prefetch={false}
        href="/"
        sx={{
          color: 'primary.main',
          textDecoration: 'none',
          fontWeight: 720,
          fontStretch: '112%',
          fontSize: '1.15rem',
          letterSpacing: '-0.01em',
          py: 1.5,
        }}
      >
        Ergasto
      </Box>
      {demo && (
        <Box
          component="span"
          sx={{
            display: { xs: 'none', sm: 'inline' },
            fontSize: '0.82rem',
            color: 'text.secondary',
            border: '1px dashed',
            borderColor: 'text.secondary',
            borderRadius: '3px',
            px: 1,
            py: 0.25,
            whiteSpace: 'nowrap',
          }}
          title="Made-up workshop. Your own records are kept apart."
        >
          Demonstration
        </Box>
      )}
      <Box sx={{ flex: 1, minWidth: 0 }}>{children}</Box>
      {end}
      <IconButton
        color="inherit"
        aria-label="Gauge drawer: what is it?"
        title="Gauge drawer (G)"
        onClick={() => window.dispatchEvent(new Event(OPEN_GAUGES))}
      >
        <StraightenOutlined />
      </IconButton>
      <IconButton
        component={Link}
        prefetch={false}
        href="/stock"
        color="inherit"
        aria-label="The drawer: parts in stock"
        title="The drawer"
      >
        <HandymanOutlined />
      </IconButton>
      <IconButton
        component={Link}
        prefetch={false}
        href="/records"
        color="inherit"
        aria-label="Records: export, import, send"
        title="Records"
      >
        <Inventory2Outlined />
      </IconButton>
      <IconButton
        component={Link}
        prefetch={false}
        href="/settings"
        color="inherit"
        aria-label="House rules"
        title="House rules"
      >
        <RuleOutlined />
      </IconButton>
      <SchemeToggle />
    </Box>
  );
}

'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import useMediaQuery from '@mui/material/useMediaQuery';
import { Caliper } from '@/ui/icons';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { OPEN_GAUGES } from './openGauges';
import { SchemeToggle } from './SchemeToggle';
import { WAYS } from './ways';
import { useWorkshopName } from '../workshop/WorkshopProvider';

const MoreOnPhone = dynamic(() => import('./MoreOnPhone').then((module) => module.MoreOnPhone), { ssr: false });

const WAY = {
  font: 'inherit',
  minWidth: 44,
  minHeight: 48,
  px: { xs: 1, lg: 1.25 },
  gap: 0.25,
  flexDirection: 'column',
  borderRadius: '3px',
  '&:hover': { bgcolor: 'background.default' },
} as const;

/** Beneath its picture where there is room: nobody has to guess what a picture means. */
function Word({ children }: { children: string }) {
  return (
    <Box
      component="span"
      sx={{ display: { xs: 'none', lg: 'block' }, fontSize: '0.78rem', fontWeight: 560, lineHeight: 1 }}
    >
      {children}
    </Box>
  );
}

/** The top edge of every page: home, what is open, what runs. */
export function TopBar({ children, end }: { children?: ReactNode; end?: ReactNode }) {
  const demo = useWorkshopName() === 'demo';
  const narrow = useMediaQuery('(max-width: 599px)', { noSsr: true });
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
      <Box
        component="nav"
        aria-label="Other pages"
        sx={{ display: 'flex', alignItems: 'center', gap: { xs: 0, lg: 0.5 }, flexShrink: 0 }}
      >
        <ButtonBase
          aria-label="Gauge drawer: what is it?"
          title="Gauge drawer (G)"
          onClick={() => window.dispatchEvent(new Event(OPEN_GAUGES))}
          sx={WAY}
        >
          <Caliper />
          <Word>Gauge drawer</Word>
        </ButtonBase>
        {WAYS.map(({ href, label, title, Icon }) => (
          <ButtonBase
            key={href}
            component={Link}
            prefetch={false}
            href={href}
            aria-label={label}
            title={title}
            sx={{ ...WAY, display: { xs: 'none', sm: 'inline-flex' } }}
          >
            <Icon />
            <Word>{title}</Word>
          </ButtonBase>
        ))}
      </Box>
      <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
        <SchemeToggle />
      </Box>
      {narrow && <MoreOnPhone />}
    </Box>
  );
}

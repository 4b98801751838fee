'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { More } from '@/ui/icons';
import Link from 'next/link';
import { useState } from 'react';
import { useScheme } from './SchemeToggle';
import { WAYS } from './ways';

/** On a phone the ways to the other pages lie behind one button, so that the name of the bicycle keeps its room. */
export function MoreOnPhone() {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { dark, ready, toggle } = useScheme();
  return (
    <Box sx={{ display: { xs: 'block', sm: 'none' } }}>
      <IconButton
        color="inherit"
        aria-label="More"
        aria-haspopup="menu"
        onClick={(event) => setAt(event.currentTarget)}
      >
        <More />
      </IconButton>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)} disablePortal>
        {WAYS.map(({ href, title }) => (
          <MenuItem key={href} component={Link} prefetch={false} href={href} sx={{ minHeight: 56 }}>
            {title}
          </MenuItem>
        ))}
        <MenuItem disabled={!ready} onClick={toggle} sx={{ minHeight: 56 }}>
          {dark ? 'Light sheet' : 'Dark sheet'}
        </MenuItem>
      </Menu>
    </Box>
  );
}

'use client';
import Box from '@mui/material/Box';
import dynamic from 'next/dynamic';
import { TopBar } from '../top-bar/TopBar';
import { useGoneTo } from '../workshop/useGoneTo';
import { Earlier } from './Earlier';
import { Export } from './Export';
import { Room } from './Room';
import { Send } from './Send';
import { TakeIn } from './TakeIn';

const SharedFolder = dynamic(() => import('./SharedFolder').then((module) => module.SharedFolder), { ssr: false });

/** The records themselves: out as open files, in again, and on to another device. */
export function RecordsPage() {
  useGoneTo();
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          Records
        </Box>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: { xs: 2, md: 4 }, maxWidth: 900, mx: 'auto' }}>
        <Export />
        <TakeIn />
        <Send />
        <SharedFolder />
        <Earlier />
        <Room />
      </Box>
    </>
  );
}

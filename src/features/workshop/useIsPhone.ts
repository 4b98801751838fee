'use client';
import useMediaQuery from '@mui/material/useMediaQuery';

/** Whether the screen is as narrow as a phone's. */
export const useIsPhone = (): boolean => useMediaQuery('(max-width: 899px)', { noSsr: true });

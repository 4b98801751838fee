'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Problem } from '@/features/shell/Problem';
import { Shell } from '@/features/shell/Shell';
import { SUBJECTS } from '@/features/allSubjects';
import { DeclaredContext } from '@/features/workshop/declared';
import { WorkshopProvider } from '@/features/workshop/WorkshopProvider';
import { theme } from '@/ui/theme';

export function Providers({ children }: { children: ReactNode }) {
  return (
    <AppRouterCacheProvider options={{ enableCssLayer: true }}>
      <ThemeProvider theme={theme} defaultMode="system">
        <CssBaseline />
        <DeclaredContext value={SUBJECTS}>
          <WorkshopProvider above={<Problem />}>
            <Shell>{children}</Shell>
          </WorkshopProvider>
        </DeclaredContext>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}

import type { Metadata } from 'next';
import { Suspense } from 'react';
import { PlanPage } from '@/features/plan/PlanPage';

export const metadata: Metadata = { title: 'Plan' };

export default function Page() {
  return (
    <Suspense>
      <PlanPage />
    </Suspense>
  );
}

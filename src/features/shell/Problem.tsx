'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { Notice } from '@/ui/Notice';
import { useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';

const UnfinishedIntake = dynamic(
  () => import('../records/UnfinishedIntake').then((module) => module.UnfinishedIntake),
  {
    ssr: false,
  },
);

/** What is wrong with the records as a whole, and what can be done about it. */
export function Problem() {
  const workshop = useWorkshop();
  const { problem, unopened, status, unfinished } = useWorkshopState((state) => state);
  const again = () => (status === 'ready' ? void workshop.retry() : window.location.reload());
  return (
    <>
      {problem && (
        <Notice
          tone="bad"
          action={
            <Button color="inherit" onClick={again}>
              Try again
            </Button>
          }
        >
          {problem}
        </Notice>
      )}
      {unfinished && <UnfinishedIntake {...unfinished} />}
      {unopened.length > 0 && (
        <Notice tone="bad">
          {unopened.length === 1 ? 'One bicycle was' : `${unopened.length} bicycles were`} left closed and untouched.{' '}
          {unopened[0]!.detail}
        </Notice>
      )}
    </>
  );
}

'use client';
import { useEffect, useState } from 'react';
import { takePart } from '@/store/browserShare';
import { Notice } from '@/ui/Notice';
import { SHARE_CHANGED, tellShare } from '../workshop/sharePart';
import { useWorkshop, useWorkshopName } from '../workshop/WorkshopProvider';

/** Takes part in the shared folder, where one was chosen; says so only when the folder is not there. */
export function ShareRunner() {
  const workshop = useWorkshop();
  const name = useWorkshopName();
  const [round, setRound] = useState(0);
  const [isAway, setAway] = useState(false);
  useEffect(() => {
    const again = () => setRound((was) => was + 1);
    window.addEventListener(SHARE_CHANGED, again);
    return () => window.removeEventListener(SHARE_CHANGED, again);
  }, []);
  useEffect(
    () =>
      takePart(name, workshop, (part) => {
        tellShare(part);
        setAway(part.is === 'not there');
      }),
    [name, workshop, round],
  );
  return isAway ? (
    <Notice tone="plain">
      The shared folder is not there. What you enter is kept here, and goes out when it is back.
    </Notice>
  ) : null;
}

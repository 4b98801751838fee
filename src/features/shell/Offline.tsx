'use client';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Notice } from '@/ui/Notice';

/** Keeps Ergasto for use without the network, and tells when a newer one is ready. */
export function Offline() {
  const [ready, setReady] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    const workers = (navigator as Partial<Navigator>).serviceWorker;
    if (!workers || process.env.NODE_ENV !== 'production') return;
    let gone = false;
    function watch(registration: ServiceWorkerRegistration): void {
      const found = (worker: ServiceWorker | null) => {
        // The very first one takes over by itself: there is nothing older to wait for.
        if (worker?.state === 'installed' && workers!.controller && !gone) setReady(worker);
      };
      found(registration.waiting);
      registration.addEventListener('updatefound', () => {
        const coming = registration.installing;
        coming?.addEventListener('statechange', () => found(coming));
      });
    }
    workers.register('/serwist/sw.js', { scope: '/', type: 'module' }).then(
      // A browser that forbids it gives nothing back.
      (registration: ServiceWorkerRegistration | undefined) => registration && watch(registration),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, []);
  if (!ready) return null;
  const take = () => {
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
    ready.postMessage({ type: 'TAKE_OVER' });
  };
  return (
    <Notice
      tone="plain"
      action={
        <>
          <Button color="inherit" onClick={take}>
            Take it
          </Button>
          <Button color="inherit" onClick={() => setReady(null)}>
            Later
          </Button>
        </>
      }
    >
      A newer Ergasto is ready. Finish what you are typing first.
    </Notice>
  );
}

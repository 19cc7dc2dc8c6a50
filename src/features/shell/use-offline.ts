'use client';
import { useEffect } from 'react';
import { toast } from 'sonner';

const DAY = 24 * 60 * 60 * 1000;
const AFTER_THE_VIEW_MS = 2500;

/** Says that a newer Dulvet is ready; it is opened when every tab was closed, or when the cook says so. */
function say(waiting: ServiceWorker): void {
  toast('A newer Dulvet is here. It opens when all its tabs have been closed.', {
    id: 'newer',
    duration: 15_000,
    action: {
      label: 'Open it now',
      onClick: () => {
        navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
        waiting.postMessage({ type: 'SKIP_WAITING' });
      },
    },
  });
}

/**
 * Keeps Dulvet on this device from the first visit, so that it works without network, and looks once a day for a newer
 * build. Browsers allow it over https and on this computer alone; elsewhere nothing is kept and nothing is said.
 */
export function useOffline(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    let timer: ReturnType<typeof setInterval> | undefined;
    const start = async () => {
      const registration = await navigator.serviceWorker.register('/sw.js', { scope: '/' });
      if (registration.waiting && navigator.serviceWorker.controller) say(registration.waiting);
      registration.addEventListener('updatefound', () => {
        const found = registration.installing;
        found?.addEventListener('statechange', () => {
          if (found.state === 'installed' && navigator.serviceWorker.controller) say(found);
        });
      });
      timer = setInterval(() => void registration.update().catch(() => undefined), DAY);
    };
    // what is looked at goes first; a browser that refuses goes on as before
    const soon = setTimeout(() => void start().catch(() => undefined), AFTER_THE_VIEW_MS);
    return () => {
      clearTimeout(soon);
      clearInterval(timer);
    };
  }, []);
}

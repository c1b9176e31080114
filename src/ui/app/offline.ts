'use client';

/** `waiting`: a new version is ready; `changed`: another tab has taken one up. */
export type Versions = 'one' | 'waiting' | 'changed';

/** A page that stays open asks this often whether there is a new version. */
const LOOK_MS = 30 * 60 * 1000;

const AFTER_MS = 4000;

let waiting: ServiceWorker | undefined;
let taking = false;

/** Has the browser keep the program for use offline, and tells of new versions. Returns how to stop. */
export function keepOffline(onVersions: (versions: Versions) => void): () => void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return () => undefined;
  const container = navigator.serviceWorker;
  const hadOne = container.controller !== null;
  let registration: ServiceWorkerRegistration | undefined;

  const look = (found: ServiceWorkerRegistration) => {
    if (!found.waiting || !container.controller) return;
    waiting = found.waiting;
    onVersions('waiting');
  };
  const changed = () => {
    if (taking) window.location.reload();
    // The first one ever takes no old one's place.
    else if (hadOne) onVersions('changed');
  };
  container.addEventListener('controllerchange', changed);
  const register = () =>
    container.register('/service-worker.js').then(
      (found?: ServiceWorkerRegistration) => {
        // Some browsers keep silent about what they block.
        if (!found) return;
        registration = found;
        look(found);
        found.addEventListener('updatefound', () => {
          found.installing?.addEventListener('statechange', () => look(found));
        });
      },
      // Blocked by the browser: all works, only not offline.
      () => undefined,
    );
  // The first pictures come before what is kept for later.
  const first = setTimeout(
    () => {
      register().catch(() => undefined);
    },
    hadOne ? 0 : AFTER_MS,
  );
  const timer = setInterval(() => {
    // Without a network there is nothing newer to be had.
    if (registration) registration.update().catch(() => undefined);
  }, LOOK_MS);
  return () => {
    clearTimeout(first);
    clearInterval(timer);
    container.removeEventListener('controllerchange', changed);
  };
}

/** Takes the waiting version up, and opens the page anew with it. */
export function takeUp(): void {
  taking = true;
  waiting?.postMessage('take-up');
}

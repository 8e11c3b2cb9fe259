import { lookAtClock } from './clock-difference';
import { prepareForNoSignal } from './kept-firm';
import { oneRoundAtATime } from './one-round';
import { runOutbox } from './outbox';
import { restoreHeardEvent } from './restored-event';

export { TechnicianHeard } from './technician-heard';

const lookForNewerMilliseconds = 30 * 60_000;
/** The page comes first; what is kept for later is fetched once it has had its time. */
const prepareDelayMilliseconds = 1500;
/** A page may stay open all day. */
const prepareEveryMilliseconds = 10 * 60_000;

/**
 * Starts what every page does beside its own work.
 * @param onNewer told once a newer version has taken over behind an open page.
 * @returns what ends it.
 */
export function startKeeping(onNewer: () => void): () => void {
  const endOutbox = runOutbox();
  const prepareInTurn = oneRoundAtATime(prepareForNoSignal);
  const prepare = () => {
    void prepareInTurn();
    void lookAtClock();
  };
  window.addEventListener(restoreHeardEvent, prepare);
  const timer = setTimeout(prepare, prepareDelayMilliseconds);
  // Who has set a clock right comes back to the page from somewhere else.
  const onVisible = () => {
    if (document.visibilityState === 'visible') void lookAtClock();
  };
  document.addEventListener('visibilitychange', onVisible);
  const again = setInterval(() => {
    if (document.visibilityState === 'visible') prepare();
  }, prepareEveryMilliseconds);
  const endWorker = runServiceWorker(onNewer);
  return () => {
    endOutbox();
    window.removeEventListener(restoreHeardEvent, prepare);
    clearTimeout(timer);
    clearInterval(again);
    document.removeEventListener('visibilitychange', onVisible);
    endWorker();
  };
}

/** A build has a service worker; a page that reloads while one edits has none. */
function runServiceWorker(onNewer: () => void): () => void {
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') {
    return () => undefined;
  }
  const { serviceWorker } = navigator;
  let hadOne = serviceWorker.controller !== null;
  // The first that a device ever gets is no newer one.
  const onChange = () => {
    if (hadOne) onNewer();
    hadOne = true;
  };
  serviceWorker.addEventListener('controllerchange', onChange);
  let timer: ReturnType<typeof setInterval> | undefined;
  serviceWorker
    .register('/service-worker.js', { updateViaCache: 'none' })
    .then((registration: ServiceWorkerRegistration | undefined) => {
      // A browser may take the call and give nothing.
      if (!registration) return;
      timer = setInterval(
        () => void registration.update().catch(() => undefined),
        lookForNewerMilliseconds,
      );
    })
    // Private windows and full devices have none: the pages then need the server.
    .catch(() => undefined);
  return () => {
    clearInterval(timer);
    serviceWorker.removeEventListener('controllerchange', onChange);
  };
}

const restMilliseconds = 3000;
/** Nobody has another page to look at meanwhile: it is waited for longer than the service worker does. */
const patienceMilliseconds = 60_000;
/** Whatever keeps a page from being shown though the server gives it: it is not loaded for ever. */
const mostLoads = 3;
const countedMilliseconds = 60_000;
const countKey = 'ohmmeter-loaded-again';

/** Loads the page of this address again as soon as the server gives it. Ends when what it returns is called. */
export function askServerAgain(): () => void {
  let isGone = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = async () => {
    const isGiven = await isAnswered();
    if (isGone) return;
    if (!isGiven) timer = setTimeout(() => void look(), restMilliseconds);
    else if (mayLoad()) {
      navigator.serviceWorker?.controller?.postMessage('server-answers');
      window.location.reload();
    }
  };
  void look();
  return () => {
    isGone = true;
    clearTimeout(timer);
  };
}

/** The service worker shows the device's own page where the server gives none: says whether that is on its way. */
export function loadStandIn(): boolean {
  const isOnItsWay = Boolean(navigator.serviceWorker?.controller) && mayLoad();
  if (isOnItsWay) window.location.reload();
  return isOnItsWay;
}

/** What is asked for in this way does not go by the service worker. */
async function isAnswered(): Promise<boolean> {
  try {
    const response = await fetch(window.location.href, {
      cache: 'no-store',
      signal: AbortSignal.timeout(patienceMilliseconds),
    });
    return response.status < 500;
  } catch {
    return false;
  }
}

function mayLoad(): boolean {
  try {
    const [address, count, at] = (sessionStorage.getItem(countKey) ?? '').split(' ');
    const isSame =
      address === window.location.href && Date.now() - Number(at) < countedMilliseconds;
    const loads = isSame ? Number(count) : 0;
    sessionStorage.setItem(countKey, `${window.location.href} ${loads + 1} ${Date.now()}`);
    return loads < mostLoads;
  } catch {
    // Without that store nothing counts: whoever wants the page taps.
    return false;
  }
}

import { changeOutbox } from './outbox-state';

/** What entries are dated by may differ from the server's by so much before it is told. */
const mostMilliseconds = 2 * 60_000;

/**
 * How far a device's clock is ahead of the server's, behind below nought; undefined where they agree, or nothing can be said.
 * @param said what the server's clock said, as its answer's date, to the second.
 * @param askedAt when it was asked, and `heardAt` when it answered, by the device's clock.
 */
export function clockAheadMilliseconds(
  said: string | null,
  askedAt: number,
  heardAt: number,
): number | undefined {
  const serverAt = Date.parse(said ?? '');
  // Somewhere between the two it was said: no more is believed than is sure.
  const ahead = askedAt - (serverAt + 1000);
  const behind = serverAt - heardAt;
  if (ahead > mostMilliseconds) return ahead;
  if (behind > mostMilliseconds) return -behind;
  return undefined;
}

/** Looks whether this device dates entries as the server would. Without an answer it leaves what was found before. */
export async function lookAtClock(): Promise<void> {
  try {
    const askedAt = Date.now();
    const response = await fetch('/api/health', { method: 'HEAD', cache: 'no-store' });
    changeOutbox({
      clockAheadMilliseconds: clockAheadMilliseconds(
        response.headers.get('date'),
        askedAt,
        Date.now(),
      ),
    });
  } catch {
    // Nobody answered.
  }
}

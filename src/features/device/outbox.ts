import { oneRoundAtATime } from './one-round';
import { noConnection, sendAll, type SendOutcome } from './send';
import { changeOutbox, presentOutbox, type KeptOfJob, type Outbox } from './outbox-state';
import { deviceStore, watchStore, type KeptState } from './store';

/** Sends what waits. Asked for while it is under way, it looks once more afterwards. */
export const sendWhatWaits = oneRoundAtATime(async () => {
  try {
    const outcome = await sendAll();
    if (outcome) changeOutbox(reachOf(outcome));
  } catch {
    // Without a store of its own nothing waits on this device; whoever wrote was told.
  }
});

function reachOf(outcome: SendOutcome): Pick<Outbox, 'isReachable' | 'serverSays'> {
  if (outcome.kind !== 'waiting' || !outcome.isUnreachable) {
    return { isReachable: true, serverSays: undefined };
  }
  const { message } = outcome;
  return { isReachable: false, serverSays: message === noConnection ? undefined : message };
}

/** The page works out and shows what comes next meanwhile: on a slow phone both at once take each twice as long. */
const restMilliseconds = 250;
let soon: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits once the page has had its time. What is kept goes from any page, should this one be closed before. */
export function sendSoon(): void {
  soon ??= setTimeout(() => {
    soon = undefined;
    void sendWhatWaits();
  }, restMilliseconds);
}

interface Kept {
  readonly jobId: string;
  readonly order: number;
  readonly state: KeptState;
  readonly problem?: string;
}

const listed: readonly KeptState[] = ['waiting', 'refused'];

async function readKept(): Promise<Kept[]> {
  const store = deviceStore();
  const [calls, entries] = await Promise.all([
    store.calls.where('state').anyOf(listed).toArray(),
    store.entries.where('state').anyOf(listed).toArray(),
  ]);
  return [...calls.map((each) => ({ ...each, jobId: each.id })), ...entries];
}

/** What is told of a list of things that are kept. */
export function summaryOf(
  kept: readonly Kept[],
): Pick<Outbox, 'byJob' | 'waiting' | 'refused' | 'since'> {
  const byJob: Record<string, KeptOfJob> = {};
  for (const each of [...kept].sort((one, other) => one.order - other.order)) {
    const { waiting, refused, problem } = byJob[each.jobId] ?? { waiting: 0, refused: 0 };
    const isRefused = each.state === 'refused';
    byJob[each.jobId] = {
      waiting: waiting + (isRefused ? 0 : 1),
      refused: refused + (isRefused ? 1 : 0),
      problem: problem ?? (isRefused ? each.problem : undefined),
    };
  }
  const jobs = Object.values(byJob);
  return {
    byJob,
    waiting: jobs.reduce((sum, each) => sum + each.waiting, 0),
    refused: jobs.reduce((sum, each) => sum + each.refused, 0),
    since: kept.length === 0 ? undefined : Math.min(...kept.map((each) => each.order)) / 1000,
  };
}

const retryMilliseconds = 4000;

/**
 * Watches what waits, and sends it from whichever page is open.
 * @returns what ends it.
 */
export function runOutbox(): () => void {
  const endWatch = watchStore(readKept, (kept) => {
    const before = presentOutbox().waiting;
    changeOutbox(summaryOf(kept));
    if (presentOutbox().waiting > before) sendSoon();
  });
  const timer = setInterval(() => {
    if (presentOutbox().waiting > 0) void sendWhatWaits();
  }, retryMilliseconds);
  const now = () => void sendWhatWaits();
  window.addEventListener('online', now);
  // A phone that is put away may not run again for long.
  document.addEventListener('visibilitychange', now);
  now();
  return () => {
    endWatch();
    clearInterval(timer);
    window.removeEventListener('online', now);
    document.removeEventListener('visibilitychange', now);
  };
}

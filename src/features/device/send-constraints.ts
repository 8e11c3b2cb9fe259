import type { Constraints } from '@/core/job-file';
import {
  constraintsDraftKey,
  deviceStore,
  forgetDraft,
  inTime,
  readDraft,
  writeDraft,
} from './store';
import { serverPatienceMilliseconds } from './server-patience';

/** The sending under way. One at a time, so that an earlier setting never arrives after a later one. */
let last: Promise<unknown> = Promise.resolve();

/** The newest by job that the store of this device would not keep. */
const unkept = new Map<string, string>();

const neitherKeptNorSent =
  'Neither this device nor the server has it: with a connection, choose it again.';

/**
 * Keeps the constraints on this device, then sends them. Gives the server's reason where it refused, and says so where a store
 * that refuses could not keep what did not reach the server either.
 */
export async function keepConstraints(
  jobId: string,
  constraints: Constraints,
): Promise<string | undefined> {
  const text = JSON.stringify(constraints);
  const isKept = await inTime(writeDraft(constraintsDraftKey(jobId), text)).then(
    () => true,
    () => false,
  );
  if (isKept) unkept.delete(jobId);
  else unkept.set(jobId, text);
  return inTurn(jobId, text);
}

/** What this device kept and the server has not taken yet; goes off again at once. */
export async function keptConstraints(jobId: string): Promise<Constraints | undefined> {
  const text = await readDraft(constraintsDraftKey(jobId)).catch(() => '');
  if (text === '') return undefined;
  void inTurn(jobId, text);
  return JSON.parse(text) as Constraints;
}

/** Sends what was set on any job and has not been taken yet. */
export async function sendKeptConstraints(): Promise<void> {
  const prefix = constraintsDraftKey('');
  const kept = await deviceStore().drafts.where('key').startsWith(prefix).toArray();
  await Promise.all(kept.map(({ key, text }) => inTurn(key.slice(prefix.length), text)));
}

function inTurn(jobId: string, text: string): Promise<string | undefined> {
  const send = () => sendUnlessReplaced(jobId, text);
  const sent = last.then(send, send);
  last = sent;
  return sent;
}

async function sendUnlessReplaced(jobId: string, text: string): Promise<string | undefined> {
  const key = constraintsDraftKey(jobId);
  const isUnkept = unkept.get(jobId) === text;
  if (!isUnkept) {
    if ((await readDraft(key).catch(() => '')) !== text) return undefined;
    // The server does not know the job yet: it goes once the call has.
    if (await deviceStore().calls.get(jobId)) return undefined;
  }
  try {
    const response = await fetch(`/api/jobs/${jobId}/constraints`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: text,
      signal: AbortSignal.timeout(serverPatienceMilliseconds),
    });
    if (response.status >= 500) return isUnkept ? neitherKeptNorSent : undefined;
    if (!isUnkept) await forgetDraft(key, text);
    if (response.ok) return undefined;
    const { problems, message } = (await response.json()) as {
      message?: string;
      problems?: readonly { readonly message: string }[];
    };
    return problems?.map((each) => each.message).join(' ') ?? message ?? 'Not taken.';
  } catch {
    // No connection: it stays kept here and goes with whatever is sent next.
    return isUnkept ? neitherKeptNorSent : undefined;
  }
}

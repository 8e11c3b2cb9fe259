import pg from 'pg';
import { entriesChannel } from './entries';

const retryMilliseconds = 1000;

type Listener = (isConnected: boolean) => void;

interface Hub {
  readonly byJob: Map<string, Set<Listener>>;
  client?: pg.Client;
  isConnected: boolean;
}

const global = globalThis as { ohmmeterEntriesHub?: Hub };

/**
 * Tells of every batch of entries that comes to a job, from whichever server it came. One connection a process, opened with
 * the first listener; while it is lost, listeners are told that they hear nothing.
 * @returns what ends it.
 */
export function listenForEntries(jobId: string, listener: Listener): () => void {
  const hub: Hub = (global.ohmmeterEntriesHub ??= { byJob: new Map(), isConnected: false });
  const own = hub.byJob.get(jobId) ?? new Set<Listener>();
  own.add(listener);
  hub.byJob.set(jobId, own);
  if (hub.client) {
    if (hub.isConnected) listener(true);
  } else void connect(hub);
  return () => {
    own.delete(listener);
    if (own.size === 0) hub.byJob.delete(jobId);
  };
}

async function connect(hub: Hub): Promise<void> {
  const client = new pg.Client({
    connectionString: process.env.OHMMETER_APPLICATION_DATABASE_URL,
    connectionTimeoutMillis: 4000,
    keepAlive: true,
  });
  hub.client = client;
  const lost = () => {
    if (hub.client !== client) return;
    hub.client = undefined;
    hub.isConnected = false;
    tellAll(hub, false);
    setTimeout(() => void connect(hub), retryMilliseconds).unref();
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', ({ payload }) => {
    for (const each of hub.byJob.get(payload ?? '') ?? []) each(true);
  });
  try {
    await client.connect();
    await client.query(`listen ${entriesChannel}`);
    hub.isConnected = true;
    // What came while nobody listened is asked for now.
    tellAll(hub, true);
  } catch {
    // Not reached: as good as lost. `lost` tries again.
    lost();
  }
}

function tellAll(hub: Hub, isConnected: boolean): void {
  for (const listeners of hub.byJob.values()) for (const each of listeners) each(isConnected);
}

/**
 * A browser that is told what to open, and not watched: a driver for tests hears of every request and every line of code, which
 * took a slow page a third of its time (docs/benchmarks/response.md).
 */
import { spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Readable, Writable } from 'node:stream';

interface Reply {
  readonly id?: number;
  readonly result?: unknown;
  readonly error?: { readonly message: string };
}

type Send = <T>(method: string, params?: object, sessionId?: string) => Promise<T>;

/** What somebody looks at. */
export interface Screen {
  readonly width: number;
  readonly height: number;
  /** So many times slower than this machine. */
  readonly slower: number;
  readonly isPhone: boolean;
}

export interface PlainPage {
  /** Opens an address; does not wait for it. */
  open(address: string): Promise<void>;
  /** What an expression in the page gives, waited for if it is a promise. */
  read<T>(expression: string): Promise<T>;
  /** Waits until an expression in the page is true, which it asks ten times a second. */
  until(expression: string): Promise<void>;
  close(): Promise<void>;
}

export interface PlainProfile {
  /** @param watching code that runs in the page before its own. */
  page(...watching: string[]): Promise<PlainPage>;
  close(): Promise<void>;
}

/** As a phone's browser says what it is. */
const phone = {
  userAgent: 'Mozilla/5.0 (Linux; Android 10; K) AppleWebKit/537.36 (KHTML, like Gecko) Mobile',
  userAgentMetadata: {
    platform: 'Android',
    platformVersion: '10',
    architecture: '',
    model: 'K',
    mobile: true,
  },
};

const patienceMilliseconds = 60_000;
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Starts Debian's Chromium. */
export async function plainBrowser(screen: Screen) {
  const folder = await mkdtemp(path.join(tmpdir(), 'ohmmeter-browser-'));
  const child = spawn(
    '/usr/bin/chromium-headless-shell',
    [
      '--no-sandbox',
      '--disable-gpu',
      '--remote-debugging-pipe',
      `--user-data-dir=${folder}`,
      'about:blank',
    ],
    { stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'] },
  );
  const send = sender(child.stdio[3] as Writable, child.stdio[4] as Readable);
  return {
    profile: () => newProfile(send, screen),
    async close() {
      const ended = new Promise((resolve) => child.once('exit', resolve));
      child.kill();
      await ended;
      await rm(folder, { recursive: true, force: true });
    },
  };
}

/** Messages of the Chrome DevTools Protocol, each ended by a zero byte. */
function sender(to: Writable, from: Readable): Send {
  let last = 0;
  let rest = '';
  const waiting = new Map<number, (reply: Reply) => void>();
  from.setEncoding('utf8').on('data', (part: string) => {
    const messages = (rest + part).split('\0');
    rest = messages.pop()!;
    for (const each of messages) {
      const reply = JSON.parse(each) as Reply;
      if (reply.id !== undefined) waiting.get(reply.id)?.(reply);
    }
  });
  return <T>(method: string, params: object = {}, sessionId?: string) =>
    new Promise<T>((resolve, reject) => {
      const id = ++last;
      waiting.set(id, ({ result, error }) => {
        waiting.delete(id);
        if (error) reject(new Error(`${method}: ${error.message}`));
        else resolve(result as T);
      });
      to.write(`${JSON.stringify({ id, method, params, sessionId })}\0`);
    });
}

async function newProfile(send: Send, screen: Screen): Promise<PlainProfile> {
  const { browserContextId } = await send<{ browserContextId: string }>(
    'Target.createBrowserContext',
  );
  return {
    page: (...watching) => newPage(send, screen, browserContextId, watching),
    close: () => send('Target.disposeBrowserContext', { browserContextId }),
  };
}

async function newPage(
  send: Send,
  { width, height, slower, isPhone }: Screen,
  browserContextId: string,
  watching: readonly string[],
): Promise<PlainPage> {
  const { targetId } = await send<{ targetId: string }>('Target.createTarget', {
    url: 'about:blank',
    browserContextId,
  });
  const { sessionId } = await send<{ sessionId: string }>('Target.attachToTarget', {
    targetId,
    flatten: true,
  });
  const tell = <T = unknown>(method: string, params: object = {}) =>
    send<T>(method, params, sessionId);
  await tell('Page.enable');
  await tell('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile: isPhone,
  });
  if (isPhone) await tell('Emulation.setTouchEmulationEnabled', { enabled: true });
  if (isPhone) await tell('Emulation.setUserAgentOverride', phone);
  for (const source of watching) await tell('Page.addScriptToEvaluateOnNewDocument', { source });
  await tell('Emulation.setCPUThrottlingRate', { rate: slower });
  const read = async <T>(expression: string): Promise<T> => {
    const { result, exceptionDetails } = await tell<{
      result: { value: T };
      exceptionDetails?: { text: string; exception?: { description?: string } };
    }>('Runtime.evaluate', { expression, awaitPromise: true, returnByValue: true });
    if (exceptionDetails) {
      throw new Error(exceptionDetails.exception?.description ?? exceptionDetails.text);
    }
    return result.value;
  };
  return {
    async open(address) {
      await tell('Page.navigate', { url: address });
    },
    read,
    async until(expression) {
      const end = Date.now() + patienceMilliseconds;
      while (!(await read<boolean>(`Boolean(${expression})`).catch(() => false))) {
        if (Date.now() > end) throw new Error(`it never came: ${expression}`);
        await pause(100);
      }
    },
    async close() {
      await send('Target.closeTarget', { targetId });
    },
  };
}

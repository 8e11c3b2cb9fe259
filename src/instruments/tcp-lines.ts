import { connect, type Socket } from 'node:net';
import { GoneError, type LineTransport } from './instrument';

/** An instrument that says nothing for so long is not waited for. */
const patienceMilliseconds = 1500;
/** No instrument sends lines of this length: whatever it is, it is not listened to. */
const longestLine = 4096;

/** Lines over a TCP socket, one question at a time. It connects when it is first asked, and again after it was lost. */
export function tcpLines(host: string, port: number): LineTransport {
  let socket: Socket | undefined;
  let held = '';
  let waiting: { give(line: string): void; fail(error: Error): void } | undefined;
  let last: Promise<unknown> = Promise.resolve();

  const gone = () =>
    new GoneError(
      `The instrument at ${host}:${port} is not there: unplugged, off, or out of reach. What was read before is kept.`,
    );

  function opened(): Promise<Socket> {
    if (socket && !socket.destroyed) return Promise.resolve(socket);
    return new Promise((resolve, reject) => {
      const fresh = connect({ host, port });
      const timer = setTimeout(() => fresh.destroy(gone()), patienceMilliseconds);
      held = '';
      fresh.setEncoding('latin1');
      fresh.on('data', (text: string) => {
        held += text;
        if (held.length > longestLine) {
          fresh.destroy(gone());
          return;
        }
        for (let end = held.indexOf('\n'); end >= 0; end = held.indexOf('\n')) {
          const line = held.slice(0, end).replace(/\r$/, '');
          held = held.slice(end + 1);
          // A line that nobody asked for, or that comes too late, answers nothing.
          waiting?.give(line);
        }
      });
      fresh.on('connect', () => {
        clearTimeout(timer);
        socket = fresh;
        resolve(fresh);
      });
      const lost = () => {
        clearTimeout(timer);
        if (socket === fresh) socket = undefined;
        waiting?.fail(gone());
        reject(gone());
      };
      fresh.on('error', lost);
      fresh.on('close', lost);
    });
  }

  async function ask(line: string): Promise<string | undefined> {
    const open = await opened();
    return new Promise((resolve, reject) => {
      const end = () => {
        clearTimeout(timer);
        waiting = undefined;
      };
      const timer = setTimeout(() => {
        end();
        resolve(undefined);
      }, patienceMilliseconds);
      waiting = {
        give(answer) {
          end();
          resolve(answer);
        },
        fail(error) {
          end();
          reject(error);
        },
      };
      open.write(`${line}\n`);
    });
  }

  return {
    ask(line) {
      const turn = last.then(() => ask(line));
      last = turn.catch(() => undefined);
      return turn;
    },
    close() {
      socket?.destroy();
      socket = undefined;
    },
  };
}

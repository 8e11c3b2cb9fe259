import { createStream, type RotatingFileStream } from 'rotating-file-stream';

/**
 * The server's log: one JSON object a line, in files of a bounded size and number that only the one who runs Ohmmeter may
 * read. What an error says is never written: it may hold what somebody typed. Its kind, its code and its place are.
 */

interface LogLine {
  readonly level: 'error' | 'warning';
  /** A constant of the program, never anything that came from outside. */
  readonly what: string;
  readonly errors?: readonly ErrorTrace[];
}

export interface ErrorTrace {
  readonly name: string;
  readonly code?: string;
  readonly frames: readonly string[];
}

export function logFault(what: string, error: unknown): void {
  write({ level: 'error', what, errors: tracesOf(error) });
}

const mostCauses = 5;
const mostFrames = 12;
const plainWord = /^[\w-]{1,60}$/;
const frame = /^\s+at (?:[\w.<>[\] $#]{1,120} )?\(?[\w:/.@~%[\]+-]{1,300}:\d+:\d+\)?$/;

/** An error and what caused it, without anything that any of them says. */
export function tracesOf(error: unknown): ErrorTrace[] {
  const traces: ErrorTrace[] = [];
  for (let each = error; each instanceof Error && traces.length < mostCauses; each = each.cause) {
    const { code } = each as { code?: unknown };
    traces.push({
      name: plainWord.test(each.name) ? each.name : 'Error',
      ...(typeof code === 'string' && plainWord.test(code) ? { code } : {}),
      frames: (each.stack ?? '')
        .split('\n')
        .filter((line) => frame.test(line))
        .slice(0, mostFrames)
        .map((line) => line.trim()),
    });
  }
  return traces;
}

/** A file begins anew at this size, and so many are kept. */
const fileSize = '1M';
const mostFiles = 5;
/** A disk that is full is tried again after so long; meanwhile lines are dropped, not waited for. */
const restMilliseconds = 5000;

interface LogFile {
  stream?: RotatingFileStream;
  restUntil: number;
  dropped: number;
}

const global = globalThis as { ohmmeterLog?: LogFile };

function write(line: LogLine): void {
  const folder = process.env.OHMMETER_LOGS;
  const log = (global.ohmmeterLog ??= { restUntil: 0, dropped: 0 });
  const text = (more: object) =>
    `${JSON.stringify({ at: new Date().toISOString(), ...line, ...more })}\n`;
  if (!folder) {
    process.stderr.write(text({}));
    return;
  }
  if (Date.now() < log.restUntil) {
    log.dropped += 1;
    return;
  }
  log.stream ??= open(folder, log);
  log.stream.write(text(log.dropped > 0 ? { dropped: log.dropped } : {}));
  log.dropped = 0;
}

function open(folder: string, log: LogFile): RotatingFileStream {
  const stream = createStream('server.log', {
    path: folder,
    size: fileSize,
    maxFiles: mostFiles,
    mode: 0o600,
  });
  const rest = () => {
    log.stream = undefined;
    log.restUntil = Date.now() + restMilliseconds;
  };
  stream.on('error', rest);
  return stream;
}

const methods = ['log', 'info', 'warn', 'error', 'debug'] as const;

/** Whatever else is written to the console, by packages too, goes the same way: of errors their kind, of words nothing. */
export function takeOverConsole(): void {
  for (const method of methods) {
    console[method] = (...said: unknown[]) => {
      const errors = said.flatMap(tracesOf);
      if (errors.length === 0) return;
      write({
        level: method === 'error' ? 'error' : 'warning',
        what: 'said to the console',
        errors,
      });
    };
  }
}

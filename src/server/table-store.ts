import { createHash } from 'node:crypto';
import {
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';

/** Tables of plates as this build made them, kept on the disk: a server that starts again need not work them out again. */
export interface TableStore {
  /** Undefined where there are none, or they cannot be read: they are made again. */
  read(plate: string): string | undefined;
  /** A disk that is full or refuses costs nothing but time later. */
  write(plate: string, text: string): void;
}

/** Plates whose tables are kept; half a megabyte each. The oldest go first. */
const mostPlates = 200;

/** A store for one build, in a folder of its own; what other builds left there is removed. */
export function openTableStore(folder: string, build: string): TableStore {
  const own = path.join(folder, build);
  try {
    mkdirSync(own, { recursive: true, mode: 0o700 });
    for (const other of readdirSync(folder)) {
      if (other !== build) rmSync(path.join(folder, other), { recursive: true, force: true });
    }
  } catch {
    return { read: () => undefined, write: () => undefined };
  }
  const fileOf = (plate: string) =>
    path.join(own, `${createHash('sha256').update(plate).digest('hex')}.json`);
  return {
    read(plate) {
      try {
        return readFileSync(fileOf(plate), 'utf8');
      } catch {
        return undefined;
      }
    },
    write(plate, text) {
      const file = fileOf(plate);
      const unfinished = `${file}.${process.pid}`;
      try {
        // Whole or not at all: it gets its name when all of it is there.
        writeFileSync(unfinished, text, { mode: 0o600 });
        renameSync(unfinished, file);
        forgetOldest(own);
      } catch {
        rmSync(unfinished, { force: true });
      }
    },
  };
}

function forgetOldest(folder: string): void {
  const files = readdirSync(folder);
  if (files.length <= mostPlates) return;
  const aged = files.map((name) => ({ name, at: statSync(path.join(folder, name)).mtimeMs }));
  aged.sort((one, other) => one.at - other.at);
  for (const { name } of aged.slice(0, files.length - mostPlates)) {
    rmSync(path.join(folder, name), { force: true });
  }
}

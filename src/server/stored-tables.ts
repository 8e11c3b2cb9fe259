import { familyOfJob } from '../core/appliances/all';
import { adoptTables, packTables, tablesOf, type TablePack } from '../core/job-diagnosis';
import type { JobFile } from '../core/job-file';
import type { TableStore } from './table-store';

let store: TableStore | undefined;

/** From now on this thread takes tables from the disk where they are there, and keeps there what it had to work out. */
export function keepTables(given: TableStore): void {
  store = given;
}

/** Texts of the packs last asked for, as they are sent, by what they are of. */
const texts = new Map<string, string>();
const mostTexts = 16;

function remember(of: string, text: string): string {
  texts.delete(of);
  texts.set(of, text);
  const oldest = texts.keys().next().value;
  if (texts.size > mostTexts && oldest !== undefined) texts.delete(oldest);
  return text;
}

/** Takes the tables of the job's plate from the disk into this thread's engine; gives their text, or undefined without them. */
export function takeStoredTables(job: Pick<JobFile, 'unit' | 'site'>): string | undefined {
  const family = familyOfJob(job);
  const plate = family.plateOf(job);
  const of = tablesOf(family, plate);
  const known = texts.get(of);
  if (known !== undefined) return remember(of, known);
  const text = store?.read(of);
  if (text === undefined) return undefined;
  try {
    if (!adoptTables(family, plate, JSON.parse(text) as TablePack)) return undefined;
    return remember(of, text);
  } catch {
    // Damaged on the disk: made again.
    return undefined;
  }
}

/** The tables of the job's plate as the text that is sent to a device: from the disk, or worked out and kept there. */
export function tableTextOf(job: Pick<JobFile, 'unit' | 'site'>): string {
  const stored = takeStoredTables(job);
  if (stored !== undefined) return stored;
  const pack = packTables(job);
  const text = JSON.stringify(pack);
  store?.write(pack.of, text);
  return remember(pack.of, text);
}

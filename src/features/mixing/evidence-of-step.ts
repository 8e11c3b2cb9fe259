import type { ApplianceFamily } from '@/core/appliances';
import { effectiveEntries, type Entry } from '@/core/job-file';
import type { MixingReading } from '@/core/mixing-valve';
import type { NewEntry } from '@/features/record/use-job-record';

/** Checks that the first reading of a valve answers, and the first step either way, where the family has them. */
const first = [
  ['mixer-hot-port-temperature', 'hotCelsius'],
  ['mixer-mixed-port-temperature', 'mixedCelsius'],
  ['tap-temperature', 'tapCelsius'],
] as const;
const opened = 'mixer-step-open-rise';
const shut = 'mixer-step-shut-fall';

/**
 * What readings at the valve tell the diagnosis: the three as found, and what the first step either way gave. What is read
 * after it is read of another valve, and stands in its own entries alone.
 */
export function evidenceOfStep(
  family: Pick<ApplianceFamily, 'isCheckId'>,
  logbook: readonly Entry[],
  before: readonly MixingReading[],
  now: MixingReading,
): NewEntry[] {
  const last = before.at(-1);
  const entries = effectiveEntries(logbook);
  const read = entries.filter((each) => each.kind === 'mixing' && each.phase === 'read');
  // Begun anew, the valve may stand anywhere: what is read of it is not as it was found.
  if (read.length !== before.length) return [];
  const isTaken = (check: string) =>
    entries.some((each) => each.kind === 'reading' && each.check === check);
  if (!last) {
    if (now.eighths !== 0) return [];
    return first
      .filter(([check]) => family.isCheckId(check))
      .map(([check, key]) => ({ kind: 'reading', check, value: { celsius: now[key] } }));
  }
  const moved = now.eighths - last.eighths;
  const check = moved === 1 ? opened : moved === -1 ? shut : undefined;
  if (check === undefined || last.eighths !== 0 || !family.isCheckId(check)) return [];
  if (isTaken(opened) || isTaken(shut)) return [];
  const kelvin = Math.round(moved * (now.tapCelsius - last.tapCelsius) * 100) / 100;
  return [{ kind: 'reading', check, value: { kelvin } }];
}

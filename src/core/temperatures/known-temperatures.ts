import type { ApplianceFamily } from '../appliances';
import { effectiveEntries, type JobFile } from '../job-file';

/**
 * What was last read at each drawn point, in °C: by hand, or followed. Corrections count; a reading that is struck does not.
 * A point that nobody read is not there: what the model has for it is no reading.
 */
export function knownCelsiusOf(
  { entries }: Pick<JobFile, 'entries'>,
  { check, drawing }: Pick<ApplianceFamily, 'check' | 'drawing'>,
): Readonly<Record<string, number>> {
  const known = new Map<string, number>();
  const note = (point: string | undefined, celsius: number | undefined) => {
    if (point === undefined || celsius === undefined) return;
    if (drawing.points && Object.hasOwn(drawing.points, point)) known.set(point, celsius);
  };
  for (const entry of effectiveEntries(entries)) {
    if (entry.kind === 'reading') {
      const named = entry.check === undefined ? undefined : check(entry.check);
      // A difference and a rate are in degrees too, and are no temperature of the point.
      if (named && named.quantity !== 'temperature') continue;
      note(entry.point ?? named?.point, entry.value?.celsius);
    } else if (entry.kind === 'log' && entry.place && drawing.placePoints) {
      const point = Object.hasOwn(drawing.placePoints, entry.place)
        ? drawing.placePoints[entry.place]
        : undefined;
      note(point, entry.track?.celsius.at(-1));
    }
  }
  return Object.fromEntries(known);
}

import type { LogEntry } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { valueWords } from './words';

const placeWords: Readonly<Record<string, string>> = {
  outlet: 'Outlet',
  'tank-top': 'Tank, top',
  'tank-bottom': 'Tank, bottom',
  'cold-inlet': 'Cold inlet',
  'upper-cover': 'Upper cover',
  'lower-cover': 'Lower cover',
  'hot-pipe': 'Hot pipe',
  'flow-pipe': 'Flow pipe',
  'return-pipe': 'Return pipe',
  room: 'Room',
  buffer: 'Buffer',
};

/** A place of a log as it is said; a display's readout by the name of its sensor. */
export const placeName = (place: string): string =>
  placeWords[place] ??
  (place.startsWith('readout-') ? `Display, ${place.slice(8).replaceAll('-', ' ')}` : place);

/** What an entry of a log says, as one short text. */
export function logWords(
  { phase, place, track, instrument, file, due, rate }: LogEntry,
  system: UnitSystem,
): string {
  switch (phase) {
    case 'samples': {
      const count = track?.celsius.length ?? 0;
      const from = placeName(place ?? '');
      const read =
        count === 1
          ? valueText(track!.celsius[0]!, 'temperature', system)
          : `${count} readings over ${Math.max(1, Math.round((track!.second.at(-1)! - track!.second[0]!) / 60))} min`;
      return [from, read, instrument ?? file].filter(Boolean).join(', ');
    }
    case 'tap-opened':
      return rate ? valueWords(rate, system, 'flow') : '';
    case 'look-again':
      return due ?? '';
    default:
      return '';
  }
}

import type { Entry } from '../../core/job-file';
import type { Clock } from '../../core/practice';
import type { SimulatedUnit } from '../../core/simulation';

/** A household of able adults that wants it hotter. */
const wantedCelsius = 46;
const coldCelsius = 9;
/** State of a check at an open tap. */
const running = { controls: { power: 'on', tap: 'open' }, apart: [], done: [], known: {} };

/** A mixing valve of a simulated unit: read as found, opened so many eighths, read after each. */
export function mixedEntries(unit: SimulatedUnit, steps: number, clock: Clock): Entry[] {
  const common = (minutes: number) => ({
    id: clock.newId(),
    at: clock.after(minutes),
    kind: 'mixing' as const,
  });
  const celsiusOf = (check: string): number => {
    const answer = unit.answer(check, running);
    return answer.kind === 'number' ? answer.value : Number.NaN;
  };
  const read = (eighths: number): Entry => ({
    ...common(4),
    phase: 'read',
    eighths,
    hot: { celsius: celsiusOf('mixer-hot-port-temperature') },
    mixed: { celsius: celsiusOf('mixer-mixed-port-temperature') },
    cold: { celsius: coldCelsius },
    tap: { celsius: celsiusOf('tap-temperature') },
  });
  return [
    {
      ...common(6),
      phase: 'begun',
      outlet: 'kitchen',
      rule: 'own',
      limit: { celsius: 48 },
      isFrail: false,
      wanted: { celsius: wantedCelsius },
    },
    read(0),
    ...Array.from({ length: steps }, (_, k) => {
      // The step itself is what its check takes.
      unit.answer('mixer-step-open-rise', running);
      return read(k + 1);
    }),
  ];
}

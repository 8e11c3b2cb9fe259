import type { LoggedCourse } from '../../job-file/logs';
import type { TapChannel, TapLog } from '../../water';

/** Which of a tap's temperatures a place of a log is. */
const places: Readonly<Record<string, Pick<TapChannel, 'place' | 'isReadout'>>> = {
  'flow-pipe': { place: 'flow', isReadout: false },
  'readout-flow': { place: 'flow', isReadout: true },
  'return-pipe': { place: 'return', isReadout: false },
  outlet: { place: 'tap', isReadout: false },
  'readout-outlet': { place: 'tap', isReadout: true },
  'hot-pipe': { place: 'tap', isReadout: false },
};

const longestSeconds = 120;

/** The draws of a log that were followed, each from the opening of a tap to its end, two minutes at most. */
export function tapLogsOf(
  { channels, events }: Pick<LoggedCourse, 'channels' | 'events'>,
  fromSecond = -Infinity,
  untilSecond = Infinity,
): readonly (TapLog & { readonly fromSecond: number })[] {
  const kept = channels.flatMap(({ place, samples }) =>
    Object.hasOwn(places, place) ? [{ ...places[place]!, samples }] : [],
  );
  const ends = events.filter(({ kind }) => kind === 'tap' || kind === 'repair' || kind === 'power');
  return events.flatMap((event) => {
    if (event.kind !== 'tap' || event.litrePerMinute <= 0) return [];
    const opened = event.second;
    if (opened < fromSecond || opened > untilSecond) return [];
    const next = ends.find(({ second }) => second > opened)?.second ?? Infinity;
    const until = Math.min(next, opened + longestSeconds, untilSecond);
    const within = kept.flatMap(({ samples, ...rest }) => {
      const own = samples
        .filter(({ second }) => second >= opened - beforeSecond && second <= until)
        .map(({ second, celsius }) => ({ second: Math.max(0, second - opened), celsius }));
      return own.length > 0 ? [{ ...rest, samples: own }] : [];
    });
    const last = Math.max(0, ...within.map(({ samples }) => samples.at(-1)!.second));
    const first = within.find(({ place }) => place === 'flow')?.samples[0];
    return [
      {
        fromSecond: opened,
        channels: within,
        seconds: last,
        ...(first && first.second <= startWithin ? { startCelsius: first.celsius } : {}),
      },
    ];
  });
}

/** A reading so long before the tap was opened still tells where it began; and one so long after it, in seconds. */
const beforeSecond = 15;
const startWithin = 6;

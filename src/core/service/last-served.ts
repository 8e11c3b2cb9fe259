import type { Entry } from '../job-file';
import { services, type CountedFrom } from './intervals';

/** When something was last done on a unit, as ISO time, by the service that counts from it. */
export type LastServed = Readonly<Record<string, string>>;

/**
 * When each service was last done, by the entries that count, of one job. A procedure counts where it was gone through to its
 * end and its key step was not left out.
 * @param keySteps by procedure, the step without which it does not count.
 */
export function lastServed(
  entries: readonly Entry[],
  keySteps: Readonly<Record<string, string | undefined>>,
): LastServed {
  return Object.fromEntries(
    services.flatMap(({ id, countedFrom }) => {
      const last = latest(countedFrom.flatMap((each) => timeOf(each, entries, keySteps) ?? []));
      return last === undefined ? [] : [[id, last]];
    }),
  );
}

/** Of times in any zone the last; what two devices wrote comes in the order in which it was sent. */
export const latest = (times: readonly string[]): string | undefined =>
  [...times].sort((one, other) => Date.parse(one) - Date.parse(other)).at(-1);

function timeOf(
  from: CountedFrom,
  entries: readonly Entry[],
  keySteps: Readonly<Record<string, string | undefined>>,
): string | undefined {
  const lastOf = (is: (entry: Entry) => boolean) => latest(entries.filter(is).map(({ at }) => at));
  if ('service' in from) {
    return lastOf((each) => each.kind === 'service' && each.service === from.service);
  }
  if ('part' in from) {
    return lastOf(
      (each) => each.kind === 'part' && each.action === 'fitted' && isPart(each.part, from.part),
    );
  }
  if ('reading' in from) {
    return lastOf((each) => each.kind === 'reading' && each.check === from.reading);
  }
  if ('repairs' in from) {
    return lastOf((each) => each.kind === 'action' && from.repairs.includes(each.repair ?? ''));
  }
  if ('observations' in from) {
    const times = from.observations.map((check) =>
      lastOf((each) => each.kind === 'observation' && each.check === check),
    );
    const had = times.filter((each) => each !== undefined);
    // All of them: as long ago as the one that was longest ago.
    return had.length === times.length
      ? had.sort((one, other) => Date.parse(one) - Date.parse(other))[0]
      : undefined;
  }
  if ('procedure' in from) {
    const key = keySteps[from.procedure];
    const withKey = new Set(
      entries.flatMap((each) =>
        each.kind === 'step' && each.step === key && each.phase === 'done' ? [each.run] : [],
      ),
    );
    return lastOf(
      (each) =>
        each.kind === 'step' &&
        each.procedure === from.procedure &&
        each.ends === 'done' &&
        (key === undefined || withKey.has(each.run)),
    );
  }
  return undefined;
}

const isPart = (fitted: string, part: string) => fitted.toLowerCase().startsWith(part);

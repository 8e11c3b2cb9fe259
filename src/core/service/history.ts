import { effectiveEntries, type JobFile } from '../job-file';
import { services, type Circumstance } from './intervals';
import { lastServed, latest, type LastServed } from './last-served';

/** What one job tells of services on its unit. */
export interface ServiceTold {
  /** When each was last done. */
  readonly served: LastServed;
  /** When a look was had after which nothing of it is due, by service. */
  readonly ended?: LastServed;
  /** What makes a service due sooner, as it was last seen. */
  readonly seen?: Readonly<Partial<Record<Circumstance, Seen>>>;
}

interface Seen {
  readonly at: string;
  readonly isSo: boolean;
}

/** What all that was told of a unit comes to. */
export interface ServiceHistory {
  readonly served: LastServed;
  readonly circumstances: readonly Circumstance[];
}

/** A family as far as it says what counts as served. */
export interface ServingFamily {
  readonly procedures: readonly { readonly id: string; readonly keyStep?: string }[];
}

/** What a job tells by its own logbook and call: by the entries that count, not by those that were struck or corrected. */
export function serviceTold(
  job: Pick<JobFile, 'entries' | 'complaint'> & { readonly job?: Pick<JobFile['job'], 'openedAt'> },
  { procedures }: ServingFamily,
): ServiceTold {
  const entries = effectiveEntries(job.entries);
  const looks = entries.filter((each) => each.kind === 'observation');
  const ended = services.flatMap(({ id, endedBy = [] }) => {
    const at = latest(looks.filter(({ check }) => endedBy.includes(check)).map((each) => each.at));
    return at === undefined ? [] : [[id, at] as const];
  });
  const anode = looks.findLast(({ check }) => check === 'anode-look');
  const lint = job.complaint?.answers?.lint;
  return {
    served: lastServed(
      entries,
      Object.fromEntries(procedures.map(({ id, keyStep }) => [id, keyStep])),
    ),
    ended: Object.fromEntries(ended),
    seen: {
      ...(anode ? { 'worn-was-seen': { at: anode.at, isSo: anode.value === 'worn' } } : {}),
      ...(lint === 'yes' || lint === 'no'
        ? { laundry: { at: job.job?.openedAt ?? '', isSo: lint === 'yes' } }
        : {}),
    },
  };
}

/**
 * What several jobs on one unit tell together.
 * @param before what was known of the unit before any of them.
 */
export function serviceHistory(
  told: readonly ServiceTold[],
  before: Partial<ServiceHistory> = {},
): ServiceHistory {
  const served = told.map((each) => each.served).reduce(laterOf, before.served ?? {});
  const ended = told.map((each) => each.ended ?? {}).reduce(laterOf, {});
  const seen = told
    .flatMap((each) => Object.entries(each.seen ?? {}) as [Circumstance, Seen][])
    .sort(([, one], [, other]) => timeOf(one.at) - timeOf(other.at));
  const circumstances = new Set(before.circumstances);
  for (const [circumstance, { isSo }] of seen) {
    if (isSo) circumstances.add(circumstance);
    else circumstances.delete(circumstance);
  }
  return {
    served: Object.fromEntries(
      Object.entries(served).filter(
        ([id, at]) => !Object.hasOwn(ended, id) || timeOf(ended[id]!) <= timeOf(at),
      ),
    ),
    circumstances: [...circumstances].sort(),
  };
}

/** The later of two for each service. */
export function laterOf(one: LastServed, other: LastServed): LastServed {
  const both = new Map(Object.entries(one));
  for (const [id, at] of Object.entries(other)) {
    const known = both.get(id);
    both.set(id, known === undefined ? at : latest([at, known])!);
  }
  return Object.fromEntries(both);
}

/** Times of different zones are told apart by what they mean; of what has none it is long ago. */
const timeOf = (iso: string): number => Date.parse(iso) || 0;

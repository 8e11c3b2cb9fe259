/**
 * Brings a job file of an older version to the present one, step after step. Each step has a name and stays for good. A minor
 * version only adds: what was written before means what it meant, and there is nothing to change in it.
 */
export interface Migration {
  readonly name: string;
  /** Version and minor that it leads to. */
  readonly to: readonly [version: number, minor: number];
  bring(older: object): object;
}

const asItWas = (older: object): object => older;

export const migrations: readonly Migration[] = [
  { name: 'leaving-and-looking-again', to: [1, 1], bring: asItWas },
  {
    name: 'named-points-controls-facts-services-and-plates-of-any-family',
    to: [1, 2],
    bring: asItWas,
  },
  {
    name: 'steps-of-procedures-services-and-what-new-parts-say',
    to: [1, 3],
    bring: asItWas,
  },
  {
    name: 'temperature-logs-readings-by-the-clock-and-reasons-of-settings',
    to: [1, 4],
    bring: asItWas,
  },
  {
    name: 'water-on-its-way-ratios-and-values-of-two-quantities-in-one-reading',
    to: [1, 5],
    bring: asItWas,
  },
  {
    name: 'radiators-balanced-by-their-surfaces',
    to: [1, 6],
    bring: asItWas,
  },
  { name: 'mixing-valves-set-step-by-step', to: [1, 7], bring: asItWas },
  { name: 'a-backup-that-took-the-place-of-the-logbook', to: [1, 8], bring: asItWas },
  { name: 'a-job-that-came-as-a-file', to: [1, 9], bring: asItWas },
  { name: 'what-makes-a-service-due-sooner', to: [1, 10], bring: asItWas },
];

/** What this program writes. */
export const currentVersion = {
  version: migrations.at(-1)!.to[0],
  minor: migrations.at(-1)!.to[1],
};

/** @param file an object whose `version` is a whole number from 1 up to the present version. */
export function migrate(file: unknown): object {
  const { version, minor = 0 } = file as { version: number; minor?: number };
  return migrations
    .filter(({ to: [major, to] }) => major > version || (major === version && to > minor))
    .reduce((each, { bring }) => bring(each), file as object);
}

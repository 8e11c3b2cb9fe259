import type { FamilyCatalogue } from './catalogue';
import type { BalancingEntry } from './generated/job-types';
import type { JobFileProblem } from './problem';
import { phaseProblems } from './phase-problems';

type Field = Exclude<keyof BalancingEntry, 'id' | 'at' | 'kind' | 'phase'>;

/** What an entry of each phase has to say. */
const needed: Readonly<Record<BalancingEntry['phase'], readonly Field[]>> = {
  radiator: ['radiator', 'room', 'radiatorKind', 'height', 'width'],
  warming: [],
  valve: ['radiator', 'turnsFromShut', 'as'],
  boiler: ['flow'],
  surface: ['radiator', 'top', 'bottom'],
  'set-aside': ['radiator', 'aside'],
  'taken-in': ['radiator'],
  changed: [],
  ended: ['ended'],
};

/** Measured fields, with what each may be in its kept unit: what lies beyond is a slip of the keys or of the unit. */
const measured = {
  height: {
    quantity: 'length',
    least: 150,
    most: 2600,
    words: 'of a radiator, 150 to 2600 mm high',
  },
  width: {
    quantity: 'length',
    least: 150,
    most: 6000,
    words: 'of a radiator, 150 to 6000 mm wide',
  },
  rated: { quantity: 'power', least: 50, most: 15_000, words: 'of a radiator, 50 to 15000 W' },
  roomTemperature: {
    quantity: 'temperature',
    least: -10,
    most: 45,
    words: 'of a room, −10 to 45 °C',
  },
  top: { quantity: 'temperature', least: 0, most: 110, words: 'of a radiator, 0 to 110 °C' },
  bottom: { quantity: 'temperature', least: 0, most: 110, words: 'of a radiator, 0 to 110 °C' },
  flow: {
    quantity: 'temperature',
    least: 0,
    most: 110,
    words: 'of water at a boiler, 0 to 110 °C',
  },
  return: {
    quantity: 'temperature',
    least: 0,
    most: 110,
    words: 'of water at a boiler, 0 to 110 °C',
  },
} as const;

/** Said where a boiler's water comes back as warm as it left. */
const exchanged = 'The return is not warmer than the flow: are they exchanged?';

/** What an entry of balancing lacks, or says that cannot be. */
export function balancingProblems(
  entry: BalancingEntry,
  pointer: string,
  { heatsRadiators, family }: FamilyCatalogue,
): JobFileProblem[] {
  if (!heatsRadiators) {
    return [{ pointer: `${pointer}/kind`, message: `${family} heats no radiators.` }];
  }
  const problems = phaseProblems(entry, pointer, needed[entry.phase], measured);
  if (problems.length > 0 || entry.phase !== 'boiler') return problems;
  const celsiusOf = (value: BalancingEntry['flow']) => (value as { celsius: number }).celsius;
  return entry.return === undefined || celsiusOf(entry.return) < celsiusOf(entry.flow)
    ? []
    : [{ pointer: `${pointer}/return`, message: exchanged }];
}

import type { BranchChanges } from './circuit-of';
import type { PowerOnDanger } from './danger-names';
import type { ElectricalDeclaration } from './declaration';
import type { UnitHypothesis } from './unit-hypothesis';
import type { Plate } from './plate';
import { plateCircuit } from './plate-circuit';
import { trialRunner } from './situation';

/**
 * What each is worth avoiding, in minutes of work. A breaker closed on a fault arcs; current to earth is damp or a burst
 * sheath beside the hands; a shell at volts kills. Common practice.
 */
export const usualDangerMinutes: Readonly<Record<PowerOnDanger, number>> = {
  'trips-again': 60,
  'current-to-earth': 15,
  'shell-live': 400,
};

/** More than a sound heater leaks: less than about 1 MΩ between what is live and the tank. Common practice. */
const leastEarthAmpere = 0.1e-3;
/** A touched shell is harmless below this, in volts AC (IEC 60364-4-41, from memory). */
const harmlessVolt = 50;

/** Minutes that each danger costs under every hypothesis. */
export function dangersOf(
  declaration: Pick<ElectricalDeclaration, 'branches' | 'twins' | 'thermostats'>,
  plate: Plate,
  hypotheses: readonly UnitHypothesis[],
  prices: Readonly<Record<PowerOnDanger, number>>,
): Readonly<Record<PowerOnDanger, Float64Array>> {
  const run = runOnce(declaration, plate);
  const found = new Map<number, EarthFault>();
  const faults = hypotheses.map(({ circuit, changes }) => {
    const known = found.get(circuit) ?? run(changes);
    found.set(circuit, known);
    return known;
  });
  const minutes = (name: PowerOnDanger, isSo: (h: number) => boolean) =>
    Float64Array.from(hypotheses, (_, h) => (isSo(h) ? prices[name] : 0));
  return {
    'trips-again': minutes('trips-again', (h) => hypotheses[h]!.situation.trips !== undefined),
    'current-to-earth': minutes(
      'current-to-earth',
      (h) => faults[h]!.earthAmpere > leastEarthAmpere,
    ),
    'shell-live': minutes('shell-live', (h) => faults[h]!.shellVolt > harmlessVolt),
  };
}

interface EarthFault {
  readonly earthAmpere: number;
  readonly shellVolt: number;
}

/** The worst of a faulty circuit, whichever of its thermostats calls. */
function runOnce(
  declaration: Pick<ElectricalDeclaration, 'branches' | 'twins' | 'thermostats'>,
  plate: Plate,
): (changes: BranchChanges) => EarthFault {
  const { thermostats } = declaration;
  const all = (position: 'calling' | 'satisfied') =>
    Object.fromEntries(thermostats.map(({ id }) => [id, position] as const));
  const settings = [
    all('calling'),
    ...thermostats.map(({ id }) => ({ ...all('calling'), [id]: 'satisfied' as const })),
  ];
  const solve = plateCircuit(declaration, plate).solver();
  return (changes) => {
    const run = trialRunner(declaration, plate, changes, solve);
    const runs = settings.map(run);
    return {
      earthAmpere: Math.max(...runs.map((each) => each.earthAmpere)),
      shellVolt: Math.max(...runs.map((each) => each.shellVolt)),
    };
  };
}

import { solveCircuit } from '../../circuit';
import type { FaultId, FaultVariant } from './faults';
import { buildNetlist, type BranchChanges, type Plate, type SwitchPositions } from './topology';

/** How the unit stands when the technician arrives, worked out from what the faulty circuit did to the water. */
export interface Situation {
  readonly share: number;
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly limitTripped: boolean;
  /** The breaker goes again as soon as it is switched on. */
  readonly breakerTrips: boolean;
}

/** Temperatures of common practice: cold feed, a dial at its lowest mark, as usually set, and past the limit. */
export const temperatures = {
  coldCelsius: 18,
  lowDialCelsius: 36,
  usualDialCelsius: 50,
  highDialCelsius: 68,
  overCelsius: 78,
} as const;

/** Below this power an element heats nothing that a user would notice, in watts. */
const leastHeatingWatt = 250;
/** With both thermostats satisfied, this much power runs the tank away, in watts. */
const runawayWatt = 250;

/**
 * Situations that a fault leads to, with their shares. Powers and currents come from the circuit: they decide whether
 * the top and the bottom get hot, whether the limit has tripped and whether the breaker holds.
 */
export function situationsOf(plate: Plate, fault: FaultId, variant: FaultVariant): Situation[] {
  const { coldCelsius, usualDialCelsius, overCelsius } = temperatures;
  const cold = { topCelsius: coldCelsius, bottomCelsius: coldCelsius };
  if (variant.supply) {
    return [{ share: 1, ...cold, limitTripped: false, breakerTrips: false }];
  }
  if (fault === 'limit.nuisance-trip') {
    return [{ share: 1, ...cold, limitTripped: true, breakerTrips: false }];
  }

  const start = run(plate, variant.changes, 'calling', 'calling');
  const trips = breakerTripChance(start.legAmpere);
  const tripped: Situation[] =
    trips > 0 ? [{ share: trips, ...cold, limitTripped: false, breakerTrips: true }] : [];
  const holds = 1 - trips;
  if (holds === 0) return tripped;

  const topHeats = start.upperWatt > leastHeatingWatt;
  const next = run(plate, variant.changes, topHeats ? 'satisfied' : 'calling', 'calling');
  const bottomHeats = next.lowerWatt > leastHeatingWatt;
  const satisfied = run(
    plate,
    variant.changes,
    topHeats || bottomHeats ? 'satisfied' : 'calling',
    bottomHeats ? 'satisfied' : 'calling',
  );
  const runsAway =
    (topHeats || bottomHeats) &&
    satisfied.upperWatt + (bottomHeats ? satisfied.lowerWatt : 0) > runawayWatt;
  if (runsAway) {
    const over = {
      topCelsius: overCelsius,
      bottomCelsius: bottomHeats ? overCelsius : coldCelsius,
    };
    const limitWorks = fault !== 'limit.never-trips';
    return [
      ...tripped,
      ...(limitWorks
        ? [
            // Found some hours later, mostly drawn cold again.
            { share: holds * 0.55, ...cold, limitTripped: true, breakerTrips: false },
            { share: holds * 0.25, ...over, limitTripped: true, breakerTrips: false },
          ]
        : []),
      { share: holds * (limitWorks ? 0.2 : 1), ...over, limitTripped: false, breakerTrips: false },
    ];
  }
  const upperDial = fault === 'dials.low' ? 40 : usualDialCelsius;
  const lowerDial = fault === 'dials.low' || fault === 'dials.unequal' ? 38 : usualDialCelsius;
  const heated = {
    // Heated from the bottom alone, the warm water rises: the whole tank follows the lower dial.
    topCelsius: topHeats ? upperDial : bottomHeats ? lowerDial : coldCelsius,
    bottomCelsius: bottomHeats ? lowerDial : coldCelsius,
  };
  return [...tripped, { share: holds, ...heated, limitTripped: false, breakerTrips: false }];
}

function run(
  plate: Plate,
  changes: BranchChanges,
  upperThermostat: SwitchPositions['upperThermostat'],
  lowerThermostat: SwitchPositions['lowerThermostat'],
) {
  const solved = solveCircuit(
    buildNetlist(plate, changes, {
      breaker: 'on',
      limit: 'closed',
      upperThermostat,
      lowerThermostat,
      lifted: [],
    }),
  );
  const watt = (element: string) =>
    solved.powerIn(`${element}.a-half`) + solved.powerIn(`${element}.b-half`);
  return {
    upperWatt: watt('upper-element'),
    lowerWatt: watt('lower-element'),
    legAmpere: Math.max(
      Math.abs(solved.currentThrough('breaker-1')),
      Math.abs(solved.currentThrough('breaker-2')),
    ),
  };
}

/** A 30 A breaker: holds at 33 A, goes sooner or later above. Common practice. */
export function breakerTripChance(legAmpere: number): number {
  if (legAmpere > 60) return 0.95;
  if (legAmpere > 40) return 0.6;
  return legAmpere > 33 ? 0.3 : 0;
}

import { tripChance, type Situation, type Trial } from '../electrical/situation';

/** Cold feed, a knob as usually set and at its lowest, and water past the cutout. Common practice. */
export const coldCelsius = 16;
export const dialCelsius = { usual: 52, high: 68, low: 30 } as const;
const overCelsius = 82;

/** Below this power an element heats nothing that a user would notice; above it with the thermostat satisfied, the tank runs away. */
const leastHeatingWatt = 150;

/** Situations that a faulty circuit leads to, with their shares: is the water hot, has the cutout gone, does the breaker hold. */
export function situations(trial: Trial): Situation[] {
  const at = (celsius: number) => ({ topCelsius: celsius, bottomCelsius: celsius });
  const start = trial.run({ only: 'calling' });
  const { chance, trips } = tripChance(trial.plate, start);
  const holds = 1 - chance;
  const tripped: Situation[] =
    chance > 0 ? [{ share: chance, ...at(coldCelsius), limitTripped: false, trips }] : [];
  const heats = start.watt.only! > leastHeatingWatt;
  if (heats && trial.run({ only: 'satisfied' }).watt.only! > leastHeatingWatt) {
    if (!trial.limitWorks) {
      return [...tripped, { share: holds, ...at(overCelsius), limitTripped: false }];
    }
    return [
      ...tripped,
      // Found some hours later, mostly drawn cold again.
      { share: holds * 0.55, ...at(coldCelsius), limitTripped: true },
      { share: holds * 0.3, ...at(overCelsius), limitTripped: true },
      { share: holds * 0.15, ...at(overCelsius), limitTripped: false },
    ];
  }
  const set = trial.dialCelsius.only;
  const heated = set === undefined ? dialCelsius.usual : set + 2;
  return [...tripped, { share: holds, ...at(heats ? heated : coldCelsius), limitTripped: false }];
}

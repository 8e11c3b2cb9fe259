import { tripChance, type Situation, type Trial } from '../electrical/situation';

/** Cold feed, a dial as usually set and at its lowest, and water past the limit. Common practice. */
export const coldCelsius = 18;
export const dialCelsius = { usual: 50, high: 68, low: 36 } as const;
const overCelsius = 78;

/** Below this power an element heats nothing that a user would notice; above it with both thermostats satisfied, the tank runs away. */
const leastHeatingWatt = 250;

/**
 * Situations that a faulty circuit leads to, with their shares. Powers and currents decide whether the top and the bottom
 * get hot, whether the limit has tripped and whether the breaker holds.
 */
export function situations(trial: Trial): Situation[] {
  const cold = { topCelsius: coldCelsius, bottomCelsius: coldCelsius, limitTripped: false };
  const start = trial.run({ upper: 'calling', lower: 'calling' });
  const { chance, trips } = tripChance(trial.plate, start);
  const holds = 1 - chance;
  const tripped: Situation[] = chance > 0 ? [{ share: chance, ...cold, trips }] : [];

  const heats = (unit: ReturnType<Trial['run']>, element: string) =>
    unit.watt[element]! > leastHeatingWatt;
  const topHeats = heats(start, 'upper');
  const handedOver = trial.run({ upper: topHeats ? 'satisfied' : 'calling', lower: 'calling' });
  const bottomHeats = heats(handedOver, 'lower');
  const idle = trial.run({
    upper: topHeats || bottomHeats ? 'satisfied' : 'calling',
    lower: bottomHeats ? 'satisfied' : 'calling',
  });
  const idleWatt = idle.watt.upper! + (bottomHeats ? idle.watt.lower! : 0);
  if ((topHeats || bottomHeats) && idleWatt > leastHeatingWatt) {
    const over = {
      topCelsius: overCelsius,
      bottomCelsius: bottomHeats ? overCelsius : coldCelsius,
    };
    if (!trial.limitWorks) return [...tripped, { share: holds, ...over, limitTripped: false }];
    return [
      ...tripped,
      // Found some hours later, mostly drawn cold again.
      { share: holds * 0.55, ...cold, limitTripped: true },
      { share: holds * 0.25, ...over, limitTripped: true },
      { share: holds * 0.2, ...over, limitTripped: false },
    ];
  }
  const dial = (id: string) => trial.dialCelsius[id] ?? dialCelsius.usual;
  const upper = trial.dialCelsius.upper === undefined ? dialCelsius.usual : dial('upper') + 2;
  return [
    ...tripped,
    {
      share: holds,
      // Heated from the bottom alone, the warm water rises: the whole tank follows the lower dial.
      topCelsius: topHeats ? upper : bottomHeats ? dial('lower') : coldCelsius,
      bottomCelsius: bottomHeats ? dial('lower') : coldCelsius,
      limitTripped: false,
    },
  ];
}

import { openTurns } from '../../core/balancing';
import type { Entry } from '../../core/job-file';
import type { Clock } from '../../core/practice';
import { seededRandom } from '../../core/simulation';
import { drawHouse, settledHouse, thermometerFor } from '../../core/simulation/house';
import type { DemoJob } from './firm';

/** Radiators of a simulated house: listed, opened, warmed up, and read once. */
export function balancedEntries(
  { house: seed, rooms }: Extract<DemoJob['until'], { stage: 'balanced' }>,
  clock: Clock,
): Entry[] {
  const random = seededRandom(seed);
  const house = drawHouse(random);
  const read = thermometerFor(house, random);
  const settled = settledHouse(
    house,
    house.radiators.map(() => openTurns),
  );
  const common = (minutes: number) => ({
    id: clock.newId(),
    at: clock.after(minutes),
    kind: 'balancing' as const,
  });
  const flow = settled.reduce((sum, each) => sum + each.litrePerMinute, 0);
  const back = settled.reduce((sum, each) => sum + each.litrePerMinute * each.outCelsius, 0) / flow;
  return [
    ...house.radiators.map(({ id, ratedWatt, widthMetre }, k): Entry => ({
      ...common(0.3),
      phase: 'radiator',
      radiator: id,
      room: rooms[k % rooms.length]!,
      radiatorKind: '22',
      height: { millimetre: 600 },
      width: { millimetre: Math.round(widthMetre * 1000) },
      rated: { watt: ratedWatt },
    })),
    { ...common(12), phase: 'warming', found: 'flow 60 °C, thermostat 19 °C, heads at 3' },
    {
      ...common(12),
      phase: 'boiler',
      flow: { celsius: Math.round(house.flowCelsius) },
      return: { celsius: Math.round(back) },
    },
    ...settled.map((each, k): Entry => {
      const { topCelsius, bottomCelsius } = read(each, k);
      return {
        ...common(0.6),
        phase: 'surface',
        radiator: house.radiators[k]!.id,
        top: { celsius: topCelsius },
        bottom: { celsius: bottomCelsius },
      };
    }),
  ];
}

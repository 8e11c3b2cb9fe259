import { longest, runTank } from '../../thermal/tank';
import type { SignalWater } from '../kit/signal/declaration';
import { heatAhead } from '../kit/heat-ahead';
import { goodElements, type Elements } from './elements';
import { dialCelsius } from './model';
import { modelOfPlate } from './model-of-plate';
import type { GasPlate } from './plate';
import { coldCelsius, type GasStanding } from './standing';
import { burner, gasTank, grownUse, house } from './water';

/** A burner of so little difference is one burner, in watts. */
const wattStep = 250;

/** Heat of the burner when its bulb calls: as the unit is set, in a tank that is cold. */
function callingWatt(unit: Parameters<SignalWater<GasPlate, GasStanding>['logTank']>[0]): number {
  const heat = modelOfPlate(unit.plate).run({
    plate: unit.plate,
    elements: unit.elements as Elements,
    standing: { ...unit.standing, tankCelsius: coldCelsius },
    state: unit.state,
  })['heat']!;
  return Math.round(heat / wattStep) * wattStep;
}

const neverShuts = (elements: Readonly<Record<string, number>>) => elements['valve.shuts']! < 0.5;

/** The tank over the burner, for its logs and for a shower. */
export const gasStorageWater: SignalWater<GasPlate, GasStanding> = {
  litre: ({ volumeLitre }) => volumeLitre,
  heaters: (plate) => {
    const { inputWatt, efficiency } = plate as GasPlate;
    return [{ label: 'Burner', watt: inputWatt * efficiency, height: 0 }];
  },
  logTank(unit) {
    const { plate, standing } = unit;
    const elements = unit.elements as Elements;
    const watt = callingWatt(unit);
    const design = gasTank(plate, elements);
    const isOpen = neverShuts(elements);
    return {
      key: [
        watt,
        isOpen ? 'never shuts' : '',
        design.sedimentShare ?? 0,
        design.thermostats[0]!.cutOutCelsius,
        design.inlet,
        Math.round(standing.tankCelsius),
      ].join(' '),
      tank: {
        design,
        power: isOpen ? () => [watt] : burner(watt),
        limitTripped: false,
        standing: [standing.tankCelsius],
        coldCelsius,
      },
    };
  },
  ahead: (plate, water) => {
    const { inputWatt, efficiency } = plate as GasPlate;
    return heatAhead(
      gasTank(plate as GasPlate, goodElements(plate as GasPlate)),
      burner(inputWatt * efficiency),
      water,
      coldCelsius,
    );
  },
  shower(unit, faults, { litrePerMinute, wantedCelsius }) {
    const elements = unit.elements as Elements;
    const watt = callingWatt(unit);
    return runTank(gasTank(unit.plate, elements), {
      ...house,
      seconds: longest.showerMinutes * 60,
      startCelsius: unit.standing.tankCelsius,
      draws: [
        {
          atSecond: 0,
          durationSecond: longest.showerMinutes * 60 + 1,
          litrePerMinute: litrePerMinute * (faults.includes('demand') ? grownUse : 1),
          wantedCelsius,
        },
      ],
      power: neverShuts(elements) ? () => [watt] : burner(watt),
      sampleEverySecond: 30,
    });
  },
  dialAt({ second, to }) {
    const celsius = dialCelsius[to];
    return celsius === undefined
      ? undefined
      : { atSecond: second, thermostat: 0, cutOutCelsius: celsius };
  },
};

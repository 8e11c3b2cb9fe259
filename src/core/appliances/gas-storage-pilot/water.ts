import {
  runTank,
  showerOf,
  trueOverPlateVolume,
  usualLossWattPerKelvin,
  usualShower,
  type Shower,
  type TankDesign,
} from '../../thermal/tank';
import type { Elements } from './elements';
import type { GasPlate } from './plate';
import { coldCelsius } from './standing';

/**
 * The water of a gas heater: one burner under it, one bulb that feels it near the bottom. What is drawn, how it falls and
 * when it is back follow from the tank. Heights and differential are common practice.
 */

/** How late the heat comes through a full layer of sediment, and the share of the tank that it takes. Common practice. */
const sediment = { lagSecond: 500, share: 0.16 } as const;
const bulb = { height: 0.18, differentialKelvin: 7 } as const;
const limitCelsius = 82;
const roomCelsius = 19;
/** Fewer layers than a fit of a log has. */
const layers = 18;

/** The tank of a plate, with what its elements have become. */
export function gasTank({ volumeLitre }: GasPlate, elements: Elements): TankDesign {
  const depth = step(elements['tank.sediment'], 0.1);
  return {
    volumeLitre: volumeLitre * trueOverPlateVolume,
    layers,
    ...(depth > 0 ? { sedimentShare: sediment.share * depth } : {}),
    heaters: [{ height: 0, ...(depth > 0 ? { lagSecond: sediment.lagSecond * depth } : {}) }],
    thermostats: [
      {
        height: bulb.height,
        // A heated tank is found at its setting: there it shuts.
        cutOutCelsius: step(elements['dial.celsius'] - elements['valve.early-kelvin'], 0.5) + 1,
        differentialKelvin: bulb.differentialKelvin,
      },
    ],
    limit: { height: 0.85, celsius: limitCelsius },
    lossWattPerKelvin: 1.6 * usualLossWattPerKelvin(volumeLitre),
    inlet: elements['tank.dip-tube'] < 0.5 ? 'top' : 'bottom',
  };
}

export interface GasWaterModel {
  /** After so many litres, drawn at so many a minute: too soon for the burner to tell. */
  drawn(elements: Elements, tankCelsius: number, litre: number, litrePerMinute: number): number;
  /** After half an hour of so much heat, from cold. */
  recovered(elements: Elements, heatWatt: number): number;
  /** What somebody has who showers, drawing so many times as much as is usual. */
  shower(elements: Elements, standing: StandingWater, use: number): Shower;
}

/** As it stands when somebody comes. */
export interface StandingWater {
  readonly tankCelsius: number;
  readonly heatWatt: number;
}

/** Units whose water does the same are worked out once; between two that were, along the line. */
export function gasWater(plate: GasPlate): GasWaterModel {
  const known = new Map<string, number | Shower>();
  const once = <T extends number | Shower>(
    what: string,
    elements: Elements,
    work: (design: TankDesign) => T,
  ): T => {
    const design = gasTank(plate, elements);
    const { cutOutCelsius } = design.thermostats[0]!;
    const key = `${what} ${design.sedimentShare ?? 0} ${cutOutCelsius} ${design.inlet}`;
    let found = known.get(key) as T | undefined;
    if (found === undefined) {
      if (known.size >= mostKept) known.clear();
      found = work(design);
      known.set(key, found);
    }
    return found;
  };
  return {
    drawn: (elements, tankCelsius, litre, litrePerMinute) =>
      along(Math.max(0, litre), 10, (whole) =>
        once(`drawn ${tankCelsius} ${whole} ${litrePerMinute}`, elements, (design) => {
          if (whole === 0) return tankCelsius;
          const seconds = (whole / litrePerMinute) * 60;
          return runTank(design, {
            ...house,
            seconds,
            startCelsius: tankCelsius,
            // Still running when it is looked at.
            draws: [{ atSecond: 0, durationSecond: seconds + 1, litrePerMinute }],
            power: () => [0],
            sampleEverySecond: seconds,
          }).samples.at(-1)!.outletCelsius;
        }),
      ),
    recovered: (elements, heatWatt) =>
      along(Math.max(0, heatWatt), 500, (watt) =>
        once(
          `recovered ${watt}`,
          elements,
          (design) =>
            runTank(design, {
              ...house,
              seconds: 1800,
              startCelsius: coldCelsius,
              draws: [],
              power: burner(watt),
              sampleEverySecond: 1800,
            }).samples.at(-1)!.outletCelsius,
        ),
      ),
    shower: (elements, standing, use) => {
      const startCelsius = step(standing.tankCelsius, 1);
      const watt = step(standing.heatWatt, 500);
      return once(`shower ${startCelsius} ${watt} ${use}`, elements, (design) =>
        showerOf(
          design,
          { ...house, startCelsius, power: burner(watt) },
          { ...usualShower, litrePerMinute: usualShower.litrePerMinute * use },
        ),
      );
    },
  };
}

export const house = { coldCelsius, roomCelsius } as const;

export const burner =
  (watt: number) =>
  (calling: number): readonly number[] => [calling > 0 ? watt : 0];

const step = (value: number, size: number): number => Math.round(value / size) * size;

/** What lies between two worked-out values, along the line: a slope is a slope, and no stair. */
function along(value: number, size: number, at: (round: number) => number): number {
  const low = Math.floor(value / size) * size;
  const share = (value - low) / size;
  return share === 0 ? at(low) : at(low) * (1 - share) + at(low + size) * share;
}

const mostKept = 5000;

/** A household whose use has grown draws so much more. Common practice. */
export const grownUse = 2;

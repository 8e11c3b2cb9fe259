import { condensingEfficiency, flueOverReturnKelvin } from './burner';
import { joulePerLitreKelvin } from './properties';
import { radiatorWatt } from './radiator';

/** What a setting costs and saves, in what a household pays for: gas, water, time. */

const joulePerKilowattHour = 3.6e6;

/** Gross efficiency of a condensing boiler that heats at a flow temperature, by its return. */
export const heatingEfficiency = (flowCelsius: number, dropKelvin: number): number =>
  condensingEfficiency(flowCelsius - dropKelvin + flueOverReturnKelvin.full);

/** Share of their rated heat that radiators give at a flow and a return, EN 442. */
export const radiatorShare = (
  flowCelsius: number,
  returnCelsius: number,
  roomCelsius: number,
): number => radiatorWatt({ ratedWatt: 1 }, (flowCelsius + returnCelsius) / 2 - roomCelsius);

export interface KeptWarm {
  /** What is kept warm, in J/K, and what it loses, in W/K. */
  readonly bodyJoulePerKelvin: number;
  readonly lossWattPerKelvin: number;
  /** Between which temperatures. */
  readonly offCelsius: number;
  readonly onCelsius: number;
  readonly roomCelsius: number;
  readonly efficiency: number;
}

/** Times a day that a boiler which keeps its plates warm fires with nothing drawn. */
export function firingsADay({
  bodyJoulePerKelvin,
  lossWattPerKelvin,
  offCelsius,
  onCelsius,
  roomCelsius,
}: KeptWarm): number {
  const seconds =
    (bodyJoulePerKelvin / lossWattPerKelvin) *
    Math.log((offCelsius - roomCelsius) / (onCelsius - roomCelsius));
  return 86_400 / seconds;
}

/** Gas that keeping warm takes in a year, in kWh gross. @param firings a day. */
export const keepWarmKilowattHours = (
  { bodyJoulePerKelvin, offCelsius, onCelsius, efficiency }: KeptWarm,
  firings: number,
): number =>
  (firings * 365 * bodyJoulePerKelvin * (offCelsius - onCelsius)) /
  efficiency /
  joulePerKilowattHour;

/** Litres that a draw runs off before it is hot, which keeping warm saves. */
export const litresSavedADraw = (litrePerMinute: number, coldSeconds: number): number =>
  (litrePerMinute * coldSeconds) / 60;

/** Litres that stand in a pipe. */
export const pipeLitre = (lengthMetre: number, boreMillimetre: number): number =>
  (Math.PI / 4) * (boreMillimetre / 1000) ** 2 * lengthMetre * 1000;

/** The most that can be drawn at a rise, in L/min. */
export const drawLimit = (watt: number, riseKelvin: number): number =>
  (watt * 60) / (joulePerLitreKelvin * riseKelvin);

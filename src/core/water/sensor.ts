/** Thermistors and turbines, as a control reads them. */

export interface Thermistor {
  /** At 25 °C. */
  readonly ohm25: number;
  readonly betaKelvin: number;
}

const kelvin = (celsius: number) => celsius + 273.15;

/** Ohms of a thermistor by the law of beta. 10 kΩ and 3977 K: 20 272 Ω at 10 °C. */
export const thermistorOhm = ({ ohm25, betaKelvin }: Thermistor, celsius: number): number =>
  ohm25 * Math.exp(betaKelvin * (1 / kelvin(celsius) - 1 / 298.15));

/** Temperature that it shows, in °C. @throws RangeError for ohms that are not above nought. */
export function thermistorCelsius({ ohm25, betaKelvin }: Thermistor, ohm: number): number {
  if (!(ohm > 0)) throw new RangeError('a thermistor has ohms above nought');
  return 1 / (Math.log(ohm / ohm25) / betaKelvin + 1 / 298.15) - 273.15;
}

/** Flow that a turbine shows: nothing below 0.7 L/min, nothing where water runs backwards. */
export const turbineShows = (litrePerMinute: number, gain: number): number =>
  litrePerMinute < 0.7 ? 0 : gain * litrePerMinute;

import { valueText, type UnitSystem } from '@/core/quantities';
import { rightKelvin, type SensorVerdict, type TwoPointDrift } from '@/core/sensors';

const kelvins = (kelvin: number, system: UnitSystem) =>
  valueText(Math.abs(kelvin), 'temperature-difference', system);
const higher = (kelvin: number) => (kelvin >= 0 ? 'too hot' : 'too cold');

/** What the ohms say of the sensor. */
export function verdictWords(verdict: SensorVerdict, system: UnitSystem): string {
  switch (verdict.kind) {
    case 'open':
      return 'Open: the sensor or its wire is broken, or the plug is off.';
    case 'short':
      return 'Short: the sensor or its wire is bridged, or wet.';
    case 'right':
      return `Right, within ${kelvins(verdict.kelvin, system)} of the thermometer.`;
    case 'drifted':
      return `Off: it reads ${kelvins(verdict.kelvin, system)} ${higher(verdict.kelvin)}.${verdict.fits ? ` These are the ohms of ${verdict.fits.words}: see whether another kind was fitted.` : ''}`;
  }
}

/** What two temperatures say that one does not. */
export function driftWords(
  { kelvin, kelvinPerKelvin, isConstant }: TwoPointDrift,
  system: UnitSystem,
): string {
  if (!isConstant) {
    return `Off by more where it is ${kelvinPerKelvin > 0 === kelvin > 0 ? 'hotter' : 'colder'}: another curve than this one, or a contact that warms.`;
  }
  return Math.abs(kelvin) <= rightKelvin
    ? 'Right at both, as near as a thermometer tells: the sensor is sound.'
    : `Off by the same at both, ${kelvins(kelvin, system)} ${higher(kelvin)}: it has drifted, or hangs where it is ${kelvin > 0 ? 'hotter' : 'colder'} than the thermometer.`;
}

/**
 * What a number means: the quantities a technician reads, the unit each is kept in, and the units it is shown in.
 *
 * Inside Ohmmeter every value is in the unit of the job file: ohm, volt, ampere, watt, litre, litre per minute, pascal,
 * degree Celsius for temperatures and kelvin for differences. Factors: NIST SP 811 (2008), appendix B.
 */

export const quantities = [
  'resistance',
  'voltage-ac',
  'current-ac',
  'power',
  'temperature',
  'temperature-difference',
  'volume',
  'flow',
  'pressure',
] as const;

export type Quantity = (typeof quantities)[number];

export type UnitSystem = 'metric' | 'us';

export interface Unit {
  readonly symbol: string;
  readonly quantity: Quantity;
  /** Value in the kept unit = value × factor + offset. */
  readonly factor: number;
  readonly offset: number;
  /** Spellings a person may type, compared after case folding unless `exactCase`. */
  readonly spellings: readonly string[];
}

const unit = (
  symbol: string,
  quantity: Quantity,
  factor: number,
  spellings: readonly string[],
  offset = 0,
): Unit => ({ symbol, quantity, factor, offset, spellings: [symbol, ...spellings] });

const wattPerBtuPerHour = 1055.05585262 / 3600;
const litrePerGallon = 3.785411784;
const pascalPerPsi = 6894.757293168;

export const units: readonly Unit[] = [
  unit('Ω', 'resistance', 1, ['Ω', 'ohm', 'ohms', 'R']),
  unit('kΩ', 'resistance', 1e3, ['kΩ', 'kohm', 'kohms', 'k']),
  unit('MΩ', 'resistance', 1e6, ['MΩ', 'Mohm', 'Mohms', 'M', 'meg', 'megohm']),
  unit('V', 'voltage-ac', 1, ['volt', 'volts', 'vac']),
  unit('mV', 'voltage-ac', 1e-3, ['millivolt', 'millivolts']),
  unit('A', 'current-ac', 1, ['amp', 'amps', 'ampere', 'amperes']),
  unit('mA', 'current-ac', 1e-3, ['milliamp', 'milliamps']),
  unit('W', 'power', 1, ['watt', 'watts']),
  unit('kW', 'power', 1e3, ['kilowatt', 'kilowatts']),
  unit('BTU/h', 'power', wattPerBtuPerHour, ['btu', 'btuh', 'btu/hr']),
  unit('°C', 'temperature', 1, ['C', 'degC', 'celsius']),
  unit('°F', 'temperature', 5 / 9, ['F', 'degF', 'fahrenheit'], -160 / 9),
  unit('K', 'temperature-difference', 1, ['kelvin']),
  unit('°F diff', 'temperature-difference', 5 / 9, ['°F', 'F', 'degF']),
  unit('L', 'volume', 1, ['litre', 'litres', 'liter', 'liters', 'l']),
  unit('gal', 'volume', litrePerGallon, ['gallon', 'gallons']),
  unit('L/min', 'flow', 1, ['lpm', 'litre/min']),
  unit('gal/min', 'flow', litrePerGallon, ['gpm']),
  unit('kPa', 'pressure', 1e3, []),
  unit('bar', 'pressure', 1e5, []),
  unit('psi', 'pressure', pascalPerPsi, []),
];

const unitBySymbol = new Map(units.map((each) => [each.symbol, each]));

/**
 * Looks up a unit by the symbol it is shown with.
 * @throws RangeError for a symbol that is no unit of Ohmmeter.
 */
export function unitOf(symbol: string): Unit {
  const found = unitBySymbol.get(symbol);
  if (!found) throw new RangeError(`no unit is written "${symbol}"`);
  return found;
}

/** The unit a bare number is taken to be in, and a value is shown in, for a reader of that system. */
export function shownUnit(quantity: Quantity, system: UnitSystem): Unit {
  return unitOf(shownSymbols[quantity][system]);
}

const shownSymbols: Record<Quantity, Record<UnitSystem, string>> = {
  resistance: { metric: 'Ω', us: 'Ω' },
  'voltage-ac': { metric: 'V', us: 'V' },
  'current-ac': { metric: 'A', us: 'A' },
  power: { metric: 'W', us: 'W' },
  temperature: { metric: '°C', us: '°F' },
  'temperature-difference': { metric: 'K', us: '°F diff' },
  volume: { metric: 'L', us: 'gal' },
  flow: { metric: 'L/min', us: 'gal/min' },
  pressure: { metric: 'bar', us: 'psi' },
};

/** Converts a value in the given unit to the unit that Ohmmeter keeps for its quantity. */
export function toKept(value: number, from: Unit): number {
  return value * from.factor + from.offset;
}

/** Converts a kept value to the given unit. */
export function fromKept(kept: number, to: Unit): number {
  return (kept - to.offset) / to.factor;
}

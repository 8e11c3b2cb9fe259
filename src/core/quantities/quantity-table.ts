/**
 * The one table of what a technician reads: how each quantity stands in a job file, what a hand instrument on a domestic
 * heater can show of it, and the units that it is typed and shown in. Files, screens, evidence and the command line read
 * this and nothing else. Factors: NIST SP 811 (2008), appendix B. Reaches are common practice.
 */
export interface QuantityRow {
  /** Key of the value in a job file; the unit is in its name. */
  readonly key: string;
  /** Least and most that an instrument shows, in the kept unit. */
  readonly reach: readonly [least: number, most: number];
  /** Whether an instrument may show over range instead of a number. */
  readonly goesOver: boolean;
  /** What it is asked for in, in words. */
  readonly askedIn: string;
  /** The unit that a bare number is taken to be in, and that a value is shown in, by the reader's system. */
  readonly shown: { readonly metric: string; readonly us: string };
  readonly units: readonly UnitRow[];
}

export interface UnitRow {
  readonly symbol: string;
  /** Value in the kept unit = value × factor + offset. */
  readonly factor: number;
  readonly offset?: number;
  /** Spellings beside the symbol. */
  readonly spellings?: readonly string[];
}

const wattPerBtuPerHour = 1055.05585262 / 3600;
const litrePerGallon = 3.785411784;
const pascalPerPsi = 6894.757293168;
/** Conventional inch of water at 39.2 °F. */
const pascalPerInchOfWater = 249.082;
const litrePerCubicFoot = 28.316846592;

const both = (symbol: string) => ({ metric: symbol, us: symbol });

const voltUnits = [
  { symbol: 'V', factor: 1, spellings: ['volt', 'volts', 'vac', 'vdc'] },
  { symbol: 'mV', factor: 1e-3, spellings: ['millivolt', 'millivolts'] },
];
const ampereUnits = [
  { symbol: 'A', factor: 1, spellings: ['amp', 'amps', 'ampere', 'amperes'] },
  { symbol: 'mA', factor: 1e-3, spellings: ['milliamp', 'milliamps'] },
  { symbol: 'µA', factor: 1e-6, spellings: ['uA', 'μA', 'microamp', 'microamps'] },
];
const pressureUnits = [
  { symbol: 'kPa', factor: 1e3 },
  { symbol: 'bar', factor: 1e5 },
  { symbol: 'psi', factor: pascalPerPsi },
  { symbol: 'mbar', factor: 100 },
  { symbol: 'Pa', factor: 1, spellings: ['pascal'] },
  { symbol: 'in wc', factor: pascalPerInchOfWater, spellings: ['inwc', 'in w.c.', 'inH2O'] },
];

export const quantityTable = {
  resistance: {
    key: 'ohm',
    reach: [0, 2e8],
    goesOver: true,
    askedIn: 'ohms',
    shown: both('Ω'),
    units: [
      { symbol: 'Ω', factor: 1, spellings: ['Ω', 'ohm', 'ohms', 'R'] },
      { symbol: 'kΩ', factor: 1e3, spellings: ['kΩ', 'kohm', 'kohms', 'k'] },
      { symbol: 'MΩ', factor: 1e6, spellings: ['MΩ', 'Mohm', 'Mohms', 'M', 'meg', 'megohm'] },
    ],
  },
  'voltage-ac': {
    key: 'volt',
    reach: [0, 1000],
    goesOver: false,
    askedIn: 'volts',
    shown: both('V'),
    units: voltUnits,
  },
  'current-ac': {
    key: 'ampere',
    reach: [0, 400],
    goesOver: false,
    askedIn: 'amps',
    shown: both('A'),
    units: ampereUnits,
  },
  power: {
    key: 'watt',
    reach: [0, 100_000],
    goesOver: false,
    askedIn: 'watts',
    shown: both('W'),
    units: [
      { symbol: 'W', factor: 1, spellings: ['watt', 'watts'] },
      { symbol: 'kW', factor: 1e3, spellings: ['kilowatt', 'kilowatts'] },
      { symbol: 'BTU/h', factor: wattPerBtuPerHour, spellings: ['btu', 'btuh', 'btu/hr'] },
    ],
  },
  temperature: {
    key: 'celsius',
    reach: [-40, 150],
    goesOver: false,
    askedIn: '°C or °F',
    shown: { metric: '°C', us: '°F' },
    units: [
      { symbol: '°C', factor: 1, spellings: ['C', 'degC', 'celsius'] },
      { symbol: '°F', factor: 5 / 9, offset: -160 / 9, spellings: ['F', 'degF', 'fahrenheit'] },
    ],
  },
  'temperature-difference': {
    key: 'kelvin',
    reach: [-150, 150],
    goesOver: false,
    askedIn: 'kelvin or °F',
    shown: { metric: 'K', us: '°F diff' },
    units: [
      { symbol: 'K', factor: 1, spellings: ['kelvin'] },
      { symbol: '°F diff', factor: 5 / 9, spellings: ['°F', 'F', 'degF'] },
    ],
  },
  volume: {
    key: 'litre',
    reach: [1, 5000],
    goesOver: false,
    askedIn: 'litres or gallons',
    shown: { metric: 'L', us: 'gal' },
    units: [
      { symbol: 'L', factor: 1, spellings: ['litre', 'litres', 'liter', 'liters', 'l'] },
      { symbol: 'gal', factor: litrePerGallon, spellings: ['gallon', 'gallons'] },
    ],
  },
  flow: {
    key: 'litrePerMinute',
    reach: [0, 200],
    goesOver: false,
    askedIn: 'litres or gallons a minute',
    shown: { metric: 'L/min', us: 'gal/min' },
    units: [
      { symbol: 'L/min', factor: 1, spellings: ['lpm', 'litre/min'] },
      { symbol: 'gal/min', factor: litrePerGallon, spellings: ['gpm'] },
    ],
  },
  pressure: {
    key: 'pascal',
    reach: [0, 2e6],
    goesOver: true,
    askedIn: 'bar or psi',
    shown: { metric: 'bar', us: 'psi' },
    units: pressureUnits,
  },
  'voltage-dc': {
    key: 'volt',
    reach: [-60, 60],
    goesOver: true,
    askedIn: 'millivolts or volts',
    shown: both('mV'),
    units: voltUnits,
  },
  'current-dc': {
    key: 'ampere',
    reach: [-10, 10],
    goesOver: true,
    askedIn: 'amps or microamps',
    shown: both('µA'),
    units: ampereUnits,
  },
  frequency: {
    key: 'hertz',
    reach: [0, 20_000],
    goesOver: true,
    askedIn: 'hertz',
    shown: both('Hz'),
    units: [{ symbol: 'Hz', factor: 1, spellings: ['hertz'] }],
  },
  'pressure-difference': {
    key: 'pascal',
    reach: [-2e6, 2e6],
    goesOver: true,
    askedIn: 'pascal, mbar or inches of water',
    shown: { metric: 'mbar', us: 'in wc' },
    units: pressureUnits,
  },
  'volume-flow': {
    key: 'cubicMetrePerHour',
    reach: [0, 30],
    goesOver: true,
    askedIn: 'cubic metres or cubic feet an hour',
    shown: { metric: 'm³/h', us: 'ft³/h' },
    units: [
      { symbol: 'm³/h', factor: 1, spellings: ['m3/h', 'cbm/h'] },
      { symbol: 'ft³/h', factor: litrePerCubicFoot / 1000, spellings: ['ft3/h', 'cfh', 'cuft/h'] },
      { symbol: 'L/min', factor: 0.06, spellings: ['lpm'] },
    ],
  },
  ppm: {
    key: 'ppm',
    reach: [0, 10_000],
    goesOver: true,
    askedIn: 'parts per million',
    shown: both('ppm'),
    units: [{ symbol: 'ppm', factor: 1 }],
  },
  percent: {
    key: 'percent',
    reach: [0, 100],
    goesOver: true,
    askedIn: 'percent',
    shown: both('%'),
    units: [{ symbol: '%', factor: 1, spellings: ['percent'] }],
  },
  time: {
    key: 'second',
    reach: [0, 86_400],
    goesOver: true,
    askedIn: 'seconds',
    shown: both('s'),
    units: [
      { symbol: 's', factor: 1, spellings: ['sec', 'second', 'seconds'] },
      { symbol: 'min', factor: 60, spellings: ['minute', 'minutes'] },
    ],
  },
  length: {
    key: 'millimetre',
    reach: [0, 100_000],
    goesOver: false,
    askedIn: 'millimetres or inches',
    shown: { metric: 'mm', us: 'in' },
    units: [
      { symbol: 'mm', factor: 1, spellings: ['millimetre'] },
      { symbol: 'm', factor: 1000, spellings: ['metre', 'metres'] },
      { symbol: 'in', factor: 25.4, spellings: ['inch', 'inches'] },
    ],
  },
  'temperature-rate': {
    key: 'kelvinPerMinute',
    reach: [-300, 300],
    goesOver: false,
    askedIn: 'kelvin or °F a minute',
    shown: { metric: 'K/min', us: '°F/min' },
    units: [
      { symbol: 'K/min', factor: 1 },
      { symbol: 'K/s', factor: 60 },
      { symbol: '°F/min', factor: 5 / 9, spellings: ['F/min'] },
      { symbol: '°F/s', factor: 100 / 3, spellings: ['F/s'] },
    ],
  },
  ratio: {
    key: 'ratio',
    reach: [0, 10],
    goesOver: true,
    askedIn: 'a ratio',
    shown: both('CO/CO₂'),
    units: [{ symbol: 'CO/CO₂', factor: 1, spellings: ['co/co2'] }],
  },
  count: {
    key: 'count',
    reach: [0, 100_000],
    goesOver: false,
    askedIn: 'a count',
    shown: both('×'),
    units: [{ symbol: '×', factor: 1, spellings: ['x', 'times'] }],
  },
} as const satisfies Record<string, QuantityRow>;

export type Quantity = keyof typeof quantityTable;

export const quantities = Object.keys(quantityTable) as readonly Quantity[];

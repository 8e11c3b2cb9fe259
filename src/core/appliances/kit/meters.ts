import type { MeterModel } from '../../diagnosis/model';

/** Resistance of a meter's two leads, in ohms, where it is not stated. Common practice: 0.1 to 0.5. */
export const usualLeadOhm = 0.2;
/** The input resistance of a digital meter on volts. */
export const meterInputOhm = 10e6;
/** A terminal fed through more than this picks up phantom volts. */
export const floatingOhm = 150e3;

/**
 * How the instruments err. A probe that makes no contact reads over range on ohms, and next to nothing on volts and amps; a
 * thermometer that is misread shows any temperature. Common practice.
 */
export const meters = {
  resistance: {
    id: 'resistance',
    relativeError: 0.015,
    floor: 0.25,
    overRangeAbove: 20e6,
    ranges: [2e3, 2e4, 2e5, 2e6],
    wrong: { overRange: 0.3, nearZero: 0.25 },
    most: 20e6,
    ofLeads: usualLeadOhm,
  },
  'voltage-ac': {
    id: 'voltage-ac',
    relativeError: 0.012,
    floor: 1.5,
    wrong: { overRange: 0, nearZero: 0.3 },
    most: 600,
    phantomUpTo: 60,
  },
  'current-ac': {
    id: 'current-ac',
    relativeError: 0.025,
    floor: 0.15,
    wrong: { overRange: 0, nearZero: 0.3 },
    most: 100,
  },
  temperature: {
    id: 'temperature',
    relativeError: 0.01,
    floor: 1,
    wrong: { overRange: 0, nearZero: 0 },
    least: -40,
    most: 100,
  },
} as const satisfies Record<string, MeterModel>;

/**
 * Makes meters of so much relative error and so much near zero, that show over range past their most; with the chance that
 * a reading which goes wrong shows over range.
 */
export const meterOf =
  (wrongOverRange: number) =>
  (id: string, relativeError: number, floor: number, most: number, least?: number): MeterModel => ({
    id,
    relativeError,
    floor,
    most,
    ...(least === undefined ? {} : { least }),
    overRangeAbove: most,
    wrong: { overRange: wrongOverRange, nearZero: 0.2 },
  });

/**
 * The numbers that simulated units are drawn from: how parts scatter, how instruments and people err, when protection acts.
 * They were written down apart from what the engine believes (appliances/<family>/parameters.json, observations.ts, questions.ts,
 * electrical/faults.ts, situation.ts) and from other sources, so that a good figure is no echo. Where a source is a standard
 * it is named; "practice" is common practice; all values stand here from memory.
 *
 * Agrees with the engine by design, and says nothing about it: the weights of the faults, one unit in ten with two of them and
 * the pairs that come together, 3 % of readings that are slips, minutes and prices (all of the study), the circuit itself
 * (judged by ngspice), and which repair mends what.
 */
export const simulationNumbers = {
  /** True watts over rated watts. IEC 60335-1, clause 10.1: +5 % and -10 %; makers stay inside it. */
  elementPower: { least: -0.08, most: 0.03 },
  /** Volts over nominal. ANSI C84.1 range A and EN 50160: a house sits a little below more often than above. */
  supplyVolt: { least: -0.045, most: 0.035 },
  /** Leads of a meter, in ohms: new ones 0.1, worn ones half an ohm. Practice. */
  leadOhm: { least: 0.08, most: 0.45 },
  /** A hand meter of 3½ digits as its data sheet puts it: share of reading, and digits of the last place. Practice. */
  meter: {
    resistance: { share: 0.009, digits: 2 },
    'voltage-ac': { share: 0.01, digits: 4 },
    'current-ac': { share: 0.022, digits: 3 },
    temperature: { share: 0.005, kelvin: 1.2 },
  },
  /** What a meter without contact on a floating wire picks up, in volts at most. Practice. */
  phantomVolt: 38,
  /** Load of a two-pole prover, in ohms (IEC 61243-3 asks for one that phantom volts do not survive). */
  proverOhm: 2e5,
  /** Where a meter begins to beep: by make. Practice. */
  beepOhm: { least: 22, most: 70 },

  /** Leak of an earthed element, in ohms: middle, spread of its logarithm, share. Practice: hard, wet, and nearly dry again. */
  earthedOhm: [
    { middle: 5, logSpread: 0.8, share: 0.32 },
    { middle: 190, logSpread: 1, share: 0.28 },
    { middle: 5200, logSpread: 0.9, share: 0.4 },
  ],
  /** Where along the element it leaks: anywhere but the cold ends. */
  earthedAt: { least: 0.12, most: 0.88 },
  /** What is left of a burst element leaks so, in ohms. Practice. */
  burstOhm: { middle: 30, logSpread: 1 },
  /** An element that is leaky when wet, in ohms. Practice. */
  leakyOhm: { middle: 2.2e5, logSpread: 1.3 },
  /** Damp at a flange, in ohms. Practice. */
  dampOhm: { middle: 1.8e4, logSpread: 1.3 },
  /** A joint that burns, evenly in its logarithm, in ohms. Practice: below it nobody notices, above it nothing flows. */
  jointOhm: { least: 2, most: 34 },
  /** An element that has grown too high, times its ohms. Practice. */
  highFactor: { least: 1.25, most: 2.6 },
  /** Units whose burst is found as a plain open element. Practice. */
  openIsBurst: 0.3,

  /** IEC 60898: a breaker holds 1.13 times its rating, goes within the hour at 1.45; in between it may. */
  breaker: { holds: 1.13, goes: 1.45 },
  /** IEC 61008: a residual-current device of 30 mA goes somewhere between half its rating and its rating, in amperes. */
  residualAmpere: { least: 0.016, most: 0.03 },
  /** A limit that has been run into has acted by the time somebody comes; else the tap is too hot. Practice. */
  limitActs: 0.78,
  /** And the tank is still hot then. Practice. */
  stillHot: 0.34,

  /** Cold feed over a year, in °C. Practice. */
  coldCelsius: { least: 8, most: 20 },
  /** Dials as people leave them, in °C: middle and spread. Practice. */
  dialCelsius: { middle: 51, spread: 3.5 },
  /** Dials that somebody has turned too low, in °C. Practice. */
  lowDialCelsius: { least: 32, most: 41 },

  /** What eyes, ears and fingers make of it. Practice, from other accounts than the engine's tables. */
  looks: {
    resetClicks: { set: 0.92, notSet: 0.06, dead: 0.26 },
    jointSeen: { open: 0.7, resistive: 0.74 },
    jointFalse: 0.06,
    scorchedIfResistive: 0.62,
    thermostatTold: 0.94,
    thermostatFine: 0.955,
    /** Water below which a dial cannot be turned through it, in °C: the lowest mark, by make. */
    lowestMarkCelsius: { least: 33, most: 40 },
    testerLights: { live: 0.95, dead: 0.06 },
    breakerTold: 0.97,
    otherTapHot: { demand: 0.42, fine: 0.5, fault: 0.02 },
    outsized: { demand: 0.82, else: 0.08 },
    grit: { sediment: 0.86, else: 0.16 },
    dipTubeSeen: 0.97,
    /** A kitchen tap or a tub, in L/min, and how far it falls in two minutes before somebody says so, in kelvin. */
    openTap: { least: 7, most: 12 },
    fellKelvin: { least: 4, most: 8 },
    fallTold: 0.95,
    /** What a hand calls hot, and warm, in °C. */
    feltCelsius: { hot: { least: 39, most: 44 }, warm: { least: 26, most: 31 } },
    dials: { unequalByHabit: 0.15, lowTold: 0.88, unequalTold: 0.9 },
    lamp: 0.97,
    damp: { damp: 0.88, dry: 0.06 },
    scaled: { scale: 0.93, else: 0.12 },
  },

  /** What the people of the house say. Practice. */
  answers: {
    onsetGradual: { slowFault: 0.8, dials: 0.5, demand: 0.55, else: 0.17 },
    oneTap: { demand: 0.38, else: 0.03 },
    breakerAgain: 0.75,
    breakerOnce: { supplyOff: 0.45, leak: 0.22, else: 0.05 },
    rumbleAsked: 0.5,
    rumble: { sediment: 0.64, else: 0.09 },
    resetAsked: 0.4,
    resetPressed: 0.2,
    afterWorkAsked: 0.5,
    afterWork: { wiring: 0.3, crossed: 0.85, else: 0.1 },
    otherWords: 0.07,
    /** A kettle that rumbles is what the call is about, where there is sediment or scale. */
    rumbles: 0.25,
    /** Damp or a puddle is what the call is about, where there is a leak at an element. */
    leakSeen: 0.12,
    tripsSaid: 0.62,
  },
} as const;

export interface Between {
  readonly least: number;
  readonly most: number;
}

import type { SignalMode, SignalVariant } from '../kit/signal/declaration';
import { ladder, plain } from '../kit/signal/fault-modes';
import type { GasPlate } from './plate';

export interface GasFault extends SignalMode {
  /** Chance that the pilot is found out, and that the roll-out cutout or the energy cutoff has opened on the way. */
  readonly pilotOut?: number;
  readonly trips?: number;
  readonly cutsOff?: number;
  onlyWhere?(plate: GasPlate): boolean;
}

/** The same with more of its elements spread. */
const withSpread = (fault: GasFault, spread: Readonly<Record<string, number>>): GasFault => {
  const wider = (each: SignalVariant) => ({ ...each, spread: { ...each.spread, ...spread } });
  return { ...fault, variants: fault.variants.map(wider), beside: fault.beside?.map(wider) };
};

const isThermopile = ({ valve }: GasPlate) => valve === 'thermopile';
const hasCutout = ({ rollOut }: GasPlate) => rollOut !== 'none';

/** Every fault as a change of named elements. Shares and chances are common practice. */
export const faults = (plate: GasPlate): readonly GasFault[] => {
  const joint = isThermopile(plate) ? ([8, 200] as const) : ([0.05, 0.4] as const);
  const leak = isThermopile(plate) ? ([0.1, 1] as const) : ([0.001, 0.01] as const);
  return [
    plain('no-fault'),
    plain('demand'),
    plain('condensation'),
    plain('flue-drips'),
    plain('thermal-ticks'),
    plain('crossed-fixture'),
    { ...plain('gas.off', { 'gas.supply': 'open' }), pilotOut: 1 },
    { ...plain('gas.air-in-line', { 'gas.air-in-line': { value: 1 } }), pilotOut: 1 },
    {
      id: 'gas.inlet-low',
      pilotOut: 0.25,
      variants: [
        [0.3, 0.65],
        [0.42, 0.8],
        [0.54, 0.93],
      ].map(([working, standing]) => ({
        share: 1 / 3,
        changes: { 'gas.working': { value: working! }, 'gas.static': { value: standing! } },
        spread: { 'gas.working': 0.08, 'gas.static': 0.08 },
      })),
      beside: [
        {
          share: 1,
          changes: { 'gas.working': { value: 0.4 }, 'gas.static': { value: 0.78 } },
          spread: { 'gas.working': 0.25, 'gas.static': 0.15 },
        },
      ],
    },
    ladder('gas.pressure-high', 'gas.regulated', [1.4, 2], 2),
    {
      id: 'gas.wrong-orifice',
      // Of LPG on natural gas too small, of natural gas on LPG too large.
      variants: [
        {
          share: 1,
          changes: { 'burner.orifice': { value: plate.fuel === 'lpg' ? 1.94 : 0.52 } },
          spread: { 'burner.orifice': 0.08 },
        },
      ],
    },
    { ...plain('pilot.blown-out'), pilotOut: 1 },
    { ...ladder('pilot.orifice-dirty', 'pilot.opening', [0.06, 0.55], 5), pilotOut: 0.6 },
    { ...ladder('pilot.flame-deflected', 'tip.engagement', [0.2, 0.6], 3), pilotOut: 0.5 },
    { ...plain('igniter.no-spark', { 'igniter.spark': 'open' }), pilotOut: 0.93 },
    {
      ...ladder('draught.down', 'draught.strength', [0.4, 1], 2, {
        'flue.spill': { value: 0.45 },
      }),
      pilotOut: 0.7,
    },
    { ...plain('flue.blocked', { 'flue.spill': { value: 0.9 } }), pilotOut: 0.3, trips: 0.6 },
    { ...ladder('air.filter-blocked', 'air.way', [0.2, 0.6], 3), pilotOut: 0.7 },
    { ...ladder('air.arrestor-blocked', 'air.way', [0.2, 0.6], 3), pilotOut: 0.55, trips: 0.3 },
    {
      ...ladder('air.room-starved', 'air.room', [0.4, 0.8], 2, {
        'flue.spill': { value: 0.6 },
      }),
      pilotOut: 0.5,
    },
    // What has worn gives less, and has more resistance of its own.
    withSpread(
      {
        ...ladder('thermocouple.worn', 'generator.output', [0.15, 0.6], 6, {
          'generator.ohm': { factor: 1.4 },
        }),
        pilotOut: 0.75,
      },
      { 'generator.ohm': 0.22 },
    ),
    plain('thermocouple.open', { 'generator.ohm': 'open' }),
    {
      id: 'thermocouple.shorted',
      variants: (isThermopile(plate)
        ? ['lead.leak-ohm', 'sheath.leak-ohm']
        : ['lead.leak-ohm']
      ).map((element, _, all) => ({
        share: 1 / all.length,
        changes: { [element]: { value: Math.sqrt(leak[0] * leak[1]) } },
        spread: { [element]: Math.log(leak[1] / leak[0]) / Math.sqrt(12) },
      })),
    },
    { ...ladder('tip.low-in-bracket', 'tip.engagement', [0.15, 0.55], 4), pilotOut: 0.6 },
    { ...ladder('joint.loose', 'joint.ohm', joint, 4), pilotOut: 0.6 },
    { ...plain('cutout.tripped-once'), trips: 1, onlyWhere: hasCutout },
    { ...plain('cutout.failed', { 'cutout.ohm': 'open' }), onlyWhere: hasCutout },
    plain('valve.energy-cutoff-open', { 'energy-cutoff.ohm': 'open' }),
    {
      id: 'valve.magnet',
      pilotOut: 0.5,
      // It lets go at more than the generator gives, or at nearly as much; or it never seats.
      variants: [3.4, 4.6, 6].map((value) => ({
        share: 1 / 3,
        changes: { 'magnet.let-go': { value: isThermopile(plate) ? value * 0.62 : value } },
        spread: { 'magnet.let-go': 0.12 },
      })),
    },
    { ...plain('valve.electronics', { 'electronics.alive': 'open' }), onlyWhere: isThermopile },
    plain('valve.never-opens', { 'valve.opens': 'open' }),
    { ...plain('valve.never-shuts', { 'valve.shuts': 'open' }), cutsOff: 0.5 },
    ladder('valve.reads-low', 'valve.early-kelvin', [8, 18], 2),
    ladder('dial.low', 'dial.celsius', [30, 42], 2),
    { ...plain('dial.pilot', { 'knob.on': 'open' }), pilotOut: 0.4 },
    ladder('dial.high', 'dial.celsius', [63, 72], 1),
    ladder('burner.ports-dirty', 'burner.ports', [0.8, 0.95], 1),
    ladder('burner.orifice-blocked', 'burner.orifice', [0.4, 0.75], 2),
    { ...plain('burner.late-ignition', { 'burner.late': 'closed' }), trips: 0.3 },
    ladder('sediment', 'tank.sediment', [0.3, 1], 2),
    plain('dip-tube.gone', { 'tank.dip-tube': 'open' }),
    { ...plain('tank.leaks'), pilotOut: 0.7 },
    plain('fitting.weeps'),
    {
      id: 'relief.drips',
      // Half of them for pressure, half for the valve itself.
      variants: [
        { share: 0.5, changes: {} },
        {
          share: 0.5,
          changes: { 'cold.pressure-pascal': { value: 6.5e5 } },
          spread: { 'cold.pressure-pascal': 0.15 },
        },
      ],
    },
    plain('nipple.restrictor-sings'),
    plain('anode.spent'),
    { ...ladder('pair.unequal-runs', 'pair.nearer-share', [0.65, 0.9], 2), onlyWhere: isParallel },
    {
      ...plain('pair.valve-shut', { 'pair.nearer-share': { value: 0.02 } }),
      onlyWhere: isParallel,
    },
    { ...plain('series.first-out', { 'pair.other-heats': 'open' }), onlyWhere: isSeries },
    { ...plain('pair.other-out', { 'pair.other-heats': 'open' }), onlyWhere: isParallel },
  ];
};

const isParallel = ({ arrangement }: GasPlate) => arrangement === 'parallel';
const isSeries = ({ arrangement }: GasPlate) => arrangement === 'series';

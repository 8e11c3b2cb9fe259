import type { EmitterCurve, HeatingCurve } from './heating-curve';
import type { SettingsSheet } from './sheet';
import type { SystemSheetContext } from './system-rules';

type Emitter = SystemSheetContext['emitter'];

/** The parameters that the two ends of a curve are. */
export const curveParameters = {
  outdoorDesign: 'curve-outdoor-design',
  supplyAtDesign: 'curve-supply-at-design',
  outdoorMild: 'warm-weather-shutdown',
  supplyAtMild: 'curve-supply-at-mild',
} as const;
export type CurveEnd = keyof typeof curveParameters;

/** Where a curve starts from that nobody has read yet. Common practice; the design day is the site's. */
const usualCurve: Readonly<Record<Emitter, Readonly<Record<CurveEnd, number>>>> = {
  radiator: { outdoorDesign: -10, supplyAtDesign: 65, outdoorMild: 18, supplyAtMild: 30 },
  baseboard: { outdoorDesign: -10, supplyAtDesign: 75, outdoorMild: 18, supplyAtMild: 40 },
  'fan-coil': { outdoorDesign: -10, supplyAtDesign: 55, outdoorMild: 18, supplyAtMild: 35 },
  'radiant-floor': { outdoorDesign: -10, supplyAtDesign: 40, outdoorMild: 18, supplyAtMild: 24 },
};

export interface SheetCurve {
  readonly curve: HeatingCurve;
  /** Ends that stand on the sheet; the others are usual ones, and nobody has read them. */
  readonly told: readonly CurveEnd[];
}

/** The curve of a sheet, as it was found or as it is left. */
export function curveOfSheet(
  { lines }: Pick<SettingsSheet, 'lines'>,
  as: 'found' | 'left',
  emitter: Emitter,
): SheetCurve {
  const number = (id: string): number | undefined => {
    const line = lines.find(({ parameter }) => parameter.id === id);
    const value = as === 'found' ? line?.found : (line?.left ?? line?.found);
    return typeof value === 'number' ? value : undefined;
  };
  const ends = Object.entries(curveParameters) as [CurveEnd, string][];
  const told = ends.flatMap(([end, id]) => {
    const value = number(id);
    return value === undefined ? [] : [[end, value] as const];
  });
  const curve = { ...usualCurve[emitter], ...Object.fromEntries(told) } as Record<CurveEnd, number>;
  const [supplyLimit, roomInfluence] = [number('supply-limit'), number('room-influence')];
  return {
    curve: {
      ...curve,
      ...(supplyLimit === undefined ? {} : { supplyLimit }),
      ...(roomInfluence === undefined ? {} : { roomInfluence }),
    },
    told: told.map(([end]) => end),
  };
}

/** Exponents of emitters (EN 442 for radiators; the rest common practice) and what water loses in them at the design day. */
const emitters: Readonly<Record<Emitter, { exponent: number; dropKelvin: number }>> = {
  radiator: { exponent: 1.3, dropKelvin: 15 },
  baseboard: { exponent: 1.35, dropKelvin: 10 },
  'fan-coil': { exponent: 1, dropKelvin: 8 },
  'radiant-floor': { exponent: 1.1, dropKelvin: 6 },
};

/** The bent line that the emitters would need, where the cold end of the curve is right for them. */
export const emitterCurveOf = (
  { outdoorDesign, supplyAtDesign }: HeatingCurve,
  emitter: Emitter,
): EmitterCurve => ({
  room: 20,
  outdoorDesign,
  supplyAtDesign,
  returnAtDesign: supplyAtDesign - emitters[emitter].dropKelvin,
  exponent: emitters[emitter].exponent,
});

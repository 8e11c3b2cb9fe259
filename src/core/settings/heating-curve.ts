/** Supply by the weather, as a sheet of settings has it. Temperatures in °C. */
export interface HeatingCurve {
  readonly outdoorDesign: number;
  /** The mildest day on which it heats: the warm-weather shutdown where nobody says. */
  readonly outdoorMild: number;
  readonly supplyAtDesign: number;
  readonly supplyAtMild: number;
  /** Highest supply; the curve is cut flat there. */
  readonly supplyLimit?: number;
  /** Above it nothing is called for. */
  readonly shutdownAbove?: number;
  /** What a room sensor adds, in kelvin. */
  readonly roomInfluence?: number;
}

/**
 * Supply that a straight curve asks for; undefined where it is too warm to heat.
 * @throws RangeError where its two ends are the same outdoors.
 */
export function supplyTarget(curve: HeatingCurve, outdoor: number): number | undefined {
  const { outdoorDesign, outdoorMild, supplyAtDesign, supplyAtMild } = curve;
  if (!(outdoorMild > outdoorDesign)) throw new RangeError('a curve has two ends');
  if (outdoor > (curve.shutdownAbove ?? outdoorMild)) return undefined;
  const cold = Math.min(1, Math.max(0, (outdoor - outdoorMild) / (outdoorDesign - outdoorMild)));
  const target = supplyAtMild + cold * (supplyAtDesign - supplyAtMild) + (curve.roomInfluence ?? 0);
  return Math.min(target, curve.supplyLimit ?? Infinity);
}

/** A curve bent as its emitters are: by their exponent (EN 442: 1.3 of radiators, about 1.1 of a floor). */
export interface EmitterCurve {
  readonly room: number;
  readonly outdoorDesign: number;
  readonly supplyAtDesign: number;
  readonly returnAtDesign: number;
  readonly exponent: number;
}

/** Supply that keeps a room by so curved a line; the room's own temperature where nothing is lost. */
export function emitterTarget(
  { room, outdoorDesign, supplyAtDesign, returnAtDesign, exponent }: EmitterCurve,
  outdoor: number,
): number {
  const share = (room - outdoor) / (room - outdoorDesign);
  if (share <= 0) return room;
  const over = (supplyAtDesign + returnAtDesign) / 2 - room;
  const drop = supplyAtDesign - returnAtDesign;
  return room + over * share ** (1 / exponent) + (drop / 2) * share;
}

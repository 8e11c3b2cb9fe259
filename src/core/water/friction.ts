import { waterDensity } from '../thermal/water';
import { waterViscosity } from './properties';

/** Where flow is laminar, and from where on it is turbulent. */
const laminarBelow = 2000;
const turbulentAbove = 4000;

/**
 * Friction factor of Darcy and Weisbach: Hagen and Poiseuille below a Reynolds number of 2000, Colebrook above 4000, a
 * straight line between. @param roughness over bore.
 */
export function frictionFactor(reynolds: number, roughness: number): number {
  if (reynolds <= 0) return 0;
  if (reynolds < laminarBelow) return 64 / reynolds;
  if (reynolds > turbulentAbove) return colebrook(reynolds, roughness);
  const share = (reynolds - laminarBelow) / (turbulentAbove - laminarBelow);
  return (64 / laminarBelow) * (1 - share) + colebrook(turbulentAbove, roughness) * share;
}

/** Starts at Haaland, which is within 2 %; three rounds bring it to rounding. */
function colebrook(reynolds: number, roughness: number): number {
  let root = -1.8 * Math.log10((roughness / 3.7) ** 1.11 + 6.9 / reynolds);
  for (let k = 0; k < 3; k++) {
    root = -2 * Math.log10(roughness / 3.7 + (2.51 * root) / reynolds);
  }
  return 1 / root ** 2;
}

export interface Pipe {
  readonly lengthMetre: number;
  readonly boreMetre: number;
  readonly roughnessMetre: number;
  /** Sum of the loss coefficients of bends, tees and ends, of the bore's own velocity. */
  readonly minorLoss: number;
}

/** Of water at a temperature. */
interface Fluid {
  readonly density: number;
  readonly viscosity: number;
}

export const waterAt = (celsius: number): Fluid => ({
  density: waterDensity(Math.max(0, Math.min(95, celsius))),
  viscosity: waterViscosity(celsius),
});

/** Pressure lost in a pipe, in pascal, with the sign of the flow. @param flow in m³/s. */
export function pipeLossPascal(pipe: Pipe, flow: number, { density, viscosity }: Fluid): number {
  const { lengthMetre, boreMetre, roughnessMetre, minorLoss } = pipe;
  if (flow === 0) return 0;
  const velocity = flow / ((Math.PI / 4) * boreMetre ** 2);
  const reynolds = (Math.abs(velocity) * boreMetre * density) / viscosity;
  const friction = frictionFactor(reynolds, roughnessMetre / boreMetre);
  return (
    ((friction * lengthMetre) / boreMetre + minorLoss) *
    (density / 2) *
    velocity *
    Math.abs(velocity)
  );
}

/**
 * Loss coefficient of a sharp contraction into a bore, of the velocity in the bore: Rennels and Hudson's fit (Pipe Flow, 2012),
 * as the fluids package has it. @param ratio of the narrow to the wide bore, 0 to 1.
 */
export function contractionLoss(ratio: number): number {
  const jet = 1 + 0.622 * (1 - 0.215 * ratio ** 2 - 0.785 * ratio ** 5);
  return 0.0696 * (1 - ratio ** 5) * jet ** 2 + (jet - 1) ** 2;
}

/** Loss coefficient of a sudden widening, of the velocity in the narrow bore: Borda and Carnot. */
export const wideningLoss = (ratio: number): number => (1 - ratio ** 2) ** 2;

/** A hose or pipe whose bore is reduced over a length: it narrows and widens again sharply. */
export const reducedBore = (
  lengthMetre: number,
  boreMetre: number,
  wideMetre: number,
  roughnessMetre: number,
): Pipe => {
  const ratio = Math.min(1, boreMetre / wideMetre);
  return {
    lengthMetre,
    boreMetre,
    roughnessMetre,
    minorLoss: contractionLoss(ratio) + wideningLoss(ratio),
  };
};

/** Loss coefficient of a valve by its Kv, in m³/h at 1 bar, of the velocity in the bore. */
export const lossOfKv = (kv: number, boreMetre: number): number =>
  (1.6e9 * boreMetre ** 4) / kv ** 2;
/** And its Kv by the loss coefficient. */
export const kvOfLoss = (loss: number, boreMetre: number): number =>
  Math.sqrt((1.6e9 * boreMetre ** 4) / loss);

import { pipeLossPascal, waterAt, type Pipe } from './friction';
import { cubicMetrePerSecond, type Link } from './network';

type Ends = readonly [from: string, to: string];

const link = ([from, to]: Ends, id: string, loss: Link['loss'], isShut = false): Link => ({
  id,
  from,
  to,
  loss,
  ...(isShut ? { isShut } : {}),
});

/** One bar over one litre a minute, squared: how conductances are told in, (L/min)/√bar. */
const perSquareBar = 1e5 / cubicMetrePerSecond(1) ** 2;

/**
 * A valve, strainer, sensor or exchanger by its conductance in (L/min)/√bar: the pressure it loses rises with the square of the
 * flow. Nothing passes where it is nought.
 */
export function resistance(id: string, ends: Ends, conductance: number): Link {
  const factor = perSquareBar / conductance ** 2;
  return link(
    ends,
    id,
    (flow) => factor * flow * Math.abs(flow),
    !(conductance > leastConductance),
  );
}
const leastConductance = 1e-3;

/** The same by what it loses, in kPa at one L/min. */
export const resistanceOfLoss = (id: string, ends: Ends, kilopascal: number): Link =>
  resistance(id, ends, 10 / Math.sqrt(kilopascal));

/** A pipe, or a hose of reduced bore, with water at a temperature. */
export function pipeLink(id: string, ends: Ends, pipe: Pipe, celsius: number): Link {
  const fluid = waterAt(celsius);
  return link(ends, id, (flow) => pipeLossPascal(pipe, flow, fluid));
}

/** A pump by its curve: head at no flow in kPa, and what that falls by at one L/min; never below nothing, which a stuck one has. */
export function pump(id: string, ends: Ends, headKilopascal: number, fallKilopascal: number): Link {
  const fall = (fallKilopascal * 1000) / cubicMetrePerSecond(1) ** 2;
  const head = headKilopascal * 1000;
  return link(ends, id, (flow) => Math.min(0, fall * flow * Math.abs(flow) - head));
}

/** Conductances one after the other, as one. */
export const inSeries = (...conductances: readonly number[]): number =>
  1 / Math.sqrt(conductances.reduce((sum, each) => sum + 1 / each ** 2, 0));

/** Flow through a conductance, in L/min. @param pascal what drives it. */
export const flowThrough = (conductance: number, pascal: number): number =>
  conductance * Math.sqrt(Math.max(0, pascal) / 1e5);

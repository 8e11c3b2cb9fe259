import { gasModel, type GasModel } from './model';
import type { GasPlate } from './plate';

const models = new WeakMap<GasPlate, GasModel>();

/** The physics of a plate, made once: what it has worked out of its water is kept with it. */
export function modelOfPlate(plate: GasPlate): GasModel {
  let found = models.get(plate);
  if (!found) models.set(plate, (found = gasModel(plate)));
  return found;
}

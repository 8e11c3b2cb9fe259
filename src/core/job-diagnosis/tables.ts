import {
  familyOf,
  type ApplianceFamily,
  type FamilyParameters,
  type FamilyPlate,
} from '../appliances';
import { compileFamily, type CompiledFamily } from '../diagnosis';
import type { FamilyCatalogue } from '../job-file';

const compiled = new Map<string, CompiledFamily>();
/** Plates whose tables are kept. A technician meets few; a server many, and forgets the oldest. */
const mostCompiled = 16;
const parameterIds = new WeakMap<FamilyParameters, number>();
let parameterSets = 0;

function idOf(parameters: FamilyParameters): number {
  let id = parameterIds.get(parameters);
  if (id === undefined) {
    id = parameterSets++;
    parameterIds.set(parameters, id);
  }
  return id;
}

/** The family's tables for a plate and a set of parameters: opened once, filled as they are asked. */
export function compiledFor(
  family: ApplianceFamily,
  plate: FamilyPlate,
  parameters: FamilyParameters = family.parameters,
): CompiledFamily {
  const key = `${family.id} ${idOf(parameters)} ${JSON.stringify(plate)}`;
  const found = compiled.get(key) ?? compileFamily(family.model(plate, parameters));
  // Last used goes last: the first of the map is the one to forget.
  compiled.delete(key);
  compiled.set(key, found);
  const oldest = compiled.keys().next().value;
  if (compiled.size > mostCompiled && oldest !== undefined) compiled.delete(oldest);
  return found;
}

export const catalogueOf = (id: string): FamilyCatalogue | undefined => familyOf(id)?.catalogue;

import {
  familyOf,
  type ApplianceFamily,
  type FamilyParameters,
  type FamilyPlate,
} from '../appliances';
import { compileFamily, type CompiledFamily, type PackedTable } from '../diagnosis';
import { emptyState, type FamilyCatalogue } from '../job-file';

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

/** The family's tables for a plate as plain data: everything that a check looks at while the unit stands as on arrival. */
export interface TablePack {
  /** What they were worked out for, so that they are never taken for another plate. */
  readonly of: string;
  readonly tables: readonly PackedTable[];
}

/** What a pack is of, in words that are equal for equal tables. */
export const tablesOf = (family: ApplianceFamily, plate: FamilyPlate) =>
  `${family.id} ${JSON.stringify(plate)}`;

const packs = new WeakMap<CompiledFamily, TablePack>();

/** Works the tables out, to be sent to a device that is slower or has other things to do; kept as long as they are. */
export function packTables(family: ApplianceFamily, plate: FamilyPlate): TablePack {
  const tables = compiledFor(family, plate);
  let pack = packs.get(tables);
  if (!pack) {
    const { candidates } = family.planStart(emptyState, { liveWork: true }, family.parameters);
    const observables = candidates.map((each) => each.observableIn(0));
    pack = { of: tablesOf(family, plate), tables: tables.pack(observables) };
    packs.set(tables, pack);
  }
  return pack;
}

/**
 * Takes tables that were worked out elsewhere by the same program; gives false where they are of another plate.
 * @throws RangeError where they were packed from another model.
 */
export function adoptTables(family: ApplianceFamily, plate: FamilyPlate, pack: TablePack): boolean {
  if (pack.of !== tablesOf(family, plate)) return false;
  compiledFor(family, plate).adopt(pack.tables);
  return true;
}

export const catalogueOf = (id: string): FamilyCatalogue | undefined => familyOf(id)?.catalogue;

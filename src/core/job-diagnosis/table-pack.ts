import { familyOfJob, type ApplianceFamily, type FamilyPlate } from '../appliances';
import type { CompiledFamily, Observable, PackedTable } from '../diagnosis';
import { emptyState, type JobFile } from '../job-file';
import { benchAnswer } from './bench-answer';
import { compiledFor } from './tables';

/** The family's tables for a plate as plain data: everything that the first answers of a job ask for. */
export interface TablePack {
  /** What they were worked out for, so that they are never taken for another plate. */
  readonly of: string;
  readonly tables: readonly PackedTable[];
}

/** What a pack is of, in words that are equal for equal tables. */
export const tablesOf = (family: ApplianceFamily, plate: FamilyPlate) =>
  `${family.id} ${JSON.stringify(plate)}`;

const packs = new WeakMap<CompiledFamily, TablePack>();

/**
 * Works the tables of a job's plate out, to be sent to a device that is slower or has other things to do; kept as long as
 * they are.
 * @throws PlateError where the plate cannot be worked with.
 */
export function packTables({ unit, site }: Pick<JobFile, 'unit' | 'site'>): TablePack {
  const arrival = { ...newJob, unit, site };
  const family = familyOfJob(arrival);
  const plate = family.plateOf(arrival);
  const tables = compiledFor(family, plate);
  let pack = packs.get(tables);
  if (!pack) {
    pack = { of: tablesOf(family, plate), tables: packedFor(arrival, family, plate, tables) };
    packs.set(tables, pack);
  }
  return pack;
}

/** A job on which nothing has been done, by somebody who may do everything. */
const newJob: Omit<JobFile, 'unit'> = {
  format: 'ohmmeter-job',
  version: 1,
  minor: 0,
  job: { id: '00000000-0000-7000-8000-000000000000', number: '' },
  entries: [],
};

/** Of what is looked ahead at, hypotheses that weigh less before anything is known are left to be filled when they matter. */
const leastPriorAhead = 3e-5;

/**
 * What a check looks at while the unit stands as on arrival, and what the customer may have said, for all hypotheses; and what
 * the first answers look at beyond that, as with the reset pressed or the strainer rinsed, for those that they weigh.
 */
function packedFor(
  arrival: JobFile,
  family: ApplianceFamily,
  plate: FamilyPlate,
  tables: CompiledFamily,
): readonly PackedTable[] {
  const { candidates } = family.planStart(
    emptyState,
    { liveWork: true, gasWork: true },
    family.parameters,
    plate,
  );
  const whole = byKey([
    ...candidates.map((each) => each.observableIn(0)),
    ...family.questionIds.map((each) => family.observableOfQuestion(each)),
  ]);
  const ahead = new Map<string, Observable>();
  const noting: CompiledFamily = {
    ...tables,
    table(observable) {
      if (!whole.has(observable.key)) ahead.set(observable.key, observable);
      return tables.table(observable);
    },
  };
  for (const complaint of [undefined, { kind: 'no-hot-water' } as const]) {
    benchAnswer({ ...arrival, complaint }, undefined, { tables: noting });
  }
  const wanted = [...tables.prior.keys()].filter((h) => tables.prior[h]! > leastPriorAhead);
  return [...tables.pack([...whole.values()]), ...tables.pack([...ahead.values()], wanted)];
}

const byKey = (observables: readonly Observable[]): ReadonlyMap<string, Observable> =>
  new Map(observables.map((each) => [each.key, each]));

/**
 * Takes tables that were worked out elsewhere by the same program; gives false where they are of another plate.
 * @throws RangeError where they were packed from another model.
 */
export function adoptTables(family: ApplianceFamily, plate: FamilyPlate, pack: TablePack): boolean {
  if (pack.of !== tablesOf(family, plate)) return false;
  compiledFor(family, plate).adopt(pack.tables);
  return true;
}

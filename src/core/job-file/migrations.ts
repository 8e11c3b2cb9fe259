/**
 * Brings a job file of an older version to the present one. Version 1 is the first: there is nothing to do yet. A later
 * version adds one function here, from the version before it, and keeps all the others.
 */
const migrations: readonly ((older: object) => object)[] = [];

/** @param file an object whose `version` is a whole number from 1 up to the present version. */
export function migrate(file: unknown): object {
  const { version } = file as { version: number };
  return migrations.slice(version - 1).reduce((each, next) => next(each), file as object);
}

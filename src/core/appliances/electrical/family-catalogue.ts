import type { FamilyCatalogue } from '../../job-file/catalogue';
import type { ElectricalDeclaration } from './declaration';
import { unlistedNames } from './unlisted';

/** What the record needs to know of a family, from what it declares. */
export function catalogueOf({
  names,
  checks,
  thermostats,
  questions,
  coverWords,
  deadPoints,
  branches,
}: ElectricalDeclaration): FamilyCatalogue {
  return {
    family: names.family,
    terminals: new Set(names.terminals),
    conductors: names.conductors,
    repairs: new Set(names.repairs),
    faults: new Set([...Object.keys(names.faults), ...unlistedNames({ branches })]),
    covers: new Set(Object.keys(coverWords)),
    settings: new Map(thermostats.map(({ id, setting }) => [setting, { dial: id }])),
    dials: new Map(thermostats.map(({ id, stateKey }) => [id, stateKey])),
    answers: new Map(Object.entries(questions).map(([id, { values }]) => [id, values])),
    deadPoints: deadPoints.map((each) => each.between),
    check(id) {
      const check = Object.hasOwn(names.checks, id) ? names.checks[id] : undefined;
      return (
        check && {
          kind: check.kind,
          quantity: check.quantity,
          values: check.values,
          power: check.state?.power,
          lifted: check.state?.lifted,
          isLive: checks[id]!.caution === 'live',
          changes: check.changes,
        }
      );
    },
  };
}

import { parameterKinds, storageParameters } from '../../settings/parameter';
import { hotTap } from '../kit/hot-tap';
import type { FamilyCatalogue } from '../../job-file/catalogue';
import { effectsOf } from '../kit/effects';
import { plateKeys } from '../kit/plate-field';
import type { ElectricalDeclaration } from './declaration';
import { dialSettings, plateFields } from './plate-fields';
import { breakerCycled, resetPressed } from './state';
import { unlistedNames } from './unlisted';

/** What the record needs to know of a family, from what it declares. */
export function catalogueOf({
  names,
  checks,
  thermostats,
  questions,
  words,
  deadPoints,
  branches,
  elements,
  supplies,
}: ElectricalDeclaration): Omit<FamilyCatalogue, 'procedures' | 'services'> {
  const dials = new Map(thermostats.map(({ id, stateKey }) => [id, stateKey]));
  const effects = {
    dials,
    checks: Object.fromEntries(
      Object.entries(names.checks).map(([id, { changes }]) => [
        id,
        [
          ...(changes?.limit ? [{ done: resetPressed }] : []),
          ...(changes?.breaker ? [{ done: breakerCycled }] : []),
        ],
      ]),
    ),
  };
  return {
    family: names.family,
    terminals: new Set(names.terminals),
    conductors: names.conductors,
    repairs: new Set(names.repairs),
    faults: new Set([...Object.keys(names.faults), ...unlistedNames({ branches })]),
    covers: new Set(Object.keys(words.covers)),
    settings: new Map([
      ...dialSettings(thermostats).map(
        ({ id, quantity, range }) => [id, { quantity, range }] as const,
      ),
      ...parameterKinds(storageParameters),
    ]),
    gasPoints: new Set(),
    sights: new Set(),
    points: new Map([hotTap]),
    readable: { between: ['resistance', 'voltage-ac'], around: ['current-ac'] },
    controls: new Map(),
    facts: new Map(),
    dials,
    plate: plateKeys(plateFields({ elements, supplies })),
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
          cyclesPower: check.changes?.breaker !== undefined,
        }
      );
    },
    effectsOf: (entry) => effectsOf(effects, entry),
  };
}

import type { Hypothesis } from '../../../diagnosis/model';
import type { FamilyPlate } from '../../appliance-family';
import { changed, type Changes } from '../change';
import { listHypotheses, noFault, type ChosenVariant } from '../list-hypotheses';
import type { FamilyParameters } from '../parameters';
import type { UnitState } from '../unit-state';
import type { SignalDeclaration, SignalModel, SignalVariant, Standing } from './declaration';

/** What may be wrong with a unit, with all that follows from it. */
export interface SignalHypothesis<S extends Standing> extends Hypothesis {
  readonly changes: Changes;
  /** True values, with what the faults change. */
  readonly elements: Readonly<Record<string, number>>;
  /** Spread of each element's value beside it, natural logarithm. */
  readonly spread: Readonly<Record<string, number>>;
  readonly standing: S;
  /** How the same unit is in so many of all readings instead. */
  readonly otherwise?: {
    readonly as: SignalHypothesis<S>;
    shareIn(state: UnitState): number;
  };
}

/** Pairs are considered, the weightiest first, until this share of all units with two faults is covered. */
const pairsCovered = 0.9;

export function signalHypotheses<Plate extends FamilyPlate, S extends Standing>(
  declaration: SignalDeclaration<Plate, S>,
  model: SignalModel<Plate, S>,
  plate: Plate,
  parameters: FamilyParameters,
): SignalHypothesis<S>[] {
  const good = declaration.elements(plate);
  const modes = declaration.modes(plate).filter(({ id }) => (parameters.faultWeights[id] ?? 0) > 0);
  const isTolerated = Object.entries(declaration.tolerances) as [string, number][];
  const make = (
    chosen: readonly ChosenVariant<SignalVariant>[],
    weight: number,
    grid: Hypothesis['grid'],
  ): SignalHypothesis<S>[] => {
    // One contact of a unit comes and goes at most.
    const goes = chosen.find(({ variant }) => variant.otherwise);
    const made = steady(chosen, weight, grid);
    if (!goes) return made;
    const { changes, shareIn } = goes.variant.otherwise!;
    const [other] = steady(
      chosen.map((each) => (each === goes ? { ...each, variant: { share: 1, changes } } : each)),
      weight,
      grid,
    );
    // For a moment it is another unit; what it has led to stays.
    return made.map((each) => ({
      ...each,
      otherwise: { as: { ...other!, standing: each.standing }, shareIn },
    }));
  };
  const steady = (
    chosen: readonly ChosenVariant<SignalVariant>[],
    weight: number,
    grid: Hypothesis['grid'],
  ): SignalHypothesis<S>[] => {
    const changes = Object.assign({}, ...chosen.map(({ variant }) => variant.changes)) as Changes;
    const elements = changed(good, changes, declaration.ends);
    const faults = chosen.map(({ mode }) => mode.id).filter((id) => id !== noFault);
    const spread: Record<string, number> = Object.fromEntries(
      isTolerated.filter(([element]) => !(element in changes)),
    );
    for (const { variant } of chosen) Object.assign(spread, variant.spread);
    const common = {
      faults,
      repairs: [...new Set(chosen.map(({ mode }) => declaration.names.faults[mode.id]!))],
      changes,
      elements,
      spread,
      grid,
    };
    return declaration.situations(model, plate, elements, faults).map((standing, s) => ({
      ...common,
      id: `${chosen.map(({ key }) => key).join(' & ')}/${s}`,
      weight: weight * standing.share,
      standing,
    }));
  };
  const listed = listHypotheses<SignalVariant, SignalHypothesis<S>>({
    modes,
    parameters,
    pairsCovered,
    clash: (one, other) =>
      one.variants.some(({ changes }) =>
        other.variants.some((variant) => Object.keys(changes).some((id) => id in variant.changes)),
      ),
    make,
  });
  return withAlikeStandings(listed, (standing) => declaration.standingKey(standing));
}

/**
 * Ways of standing under one key read as one, and are one: that of the first in the list. So what is worked out for one of
 * them holds for all, whichever is asked about first.
 */
function withAlikeStandings<S extends Standing>(
  listed: readonly SignalHypothesis<S>[],
  keyOf: (standing: S) => string,
): SignalHypothesis<S>[] {
  const first = new Map<string, S>();
  const alike = (standing: S): S => {
    const key = keyOf(standing);
    const known = first.get(key) ?? standing;
    first.set(key, known);
    return { ...known, share: standing.share };
  };
  return listed.map(({ otherwise, ...each }) => {
    const standing = alike(each.standing);
    return otherwise
      ? { ...each, standing, otherwise: { ...otherwise, as: { ...otherwise.as, standing } } }
      : { ...each, standing };
  });
}

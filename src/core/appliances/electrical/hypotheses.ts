import type { Hypothesis } from '../../diagnosis/model';
import type { BranchChanges } from './circuit-of';
import type { ElectricalDeclaration } from './declaration';
import { listHypotheses, noFault, type ChosenVariant, type Mode } from '../kit/list-hypotheses';
import type { FaultVariant } from './faults';
import type { FamilyParameters } from '../kit/parameters';
import type { Plate } from './plate';
import { plateCircuit } from './plate-circuit';
import { trialRunner, type Situation } from './situation';
import type { UnitHypothesis } from './unit-hypothesis';
import { repairOfFault, unlistedModes, unlistedWeight } from './unlisted';

/** Pairs are considered, the weightiest first, until this share of all units with two faults is covered. */
const pairsCovered = 0.97;

/** Every way this heater may be, with prior weights: none, one or two faults, each with its variants and consequences. */
export function heaterHypotheses(
  declaration: ElectricalDeclaration,
  plate: Plate,
  parameters: FamilyParameters,
): UnitHypothesis[] {
  const modes = declaration.faultModes.filter(
    ({ id, wiring = plate.wiring }) =>
      wiring === plate.wiring && (parameters.faultWeights[id] ?? 0) > 0,
  );
  const unlisted = unlistedModes(declaration, plate, modes);
  return listHypotheses<FaultVariant, UnitHypothesis>({
    modes,
    unlisted: {
      modes: unlisted,
      weight: (total) => unlistedWeight(parameters, total, unlisted.length),
    },
    parameters,
    pairsCovered,
    clash: shareBranch,
    make: hypothesisMaker(declaration, plate),
  });
}

const shareBranch = (one: Mode<FaultVariant>, other: Mode<FaultVariant>) =>
  Object.keys(one.variants[0]!.changes).some((branch) => branch in other.variants[0]!.changes);

function hypothesisMaker(declaration: ElectricalDeclaration, plate: Plate) {
  const circuits = new Map<string, number>();
  const solve = plateCircuit(declaration, plate).solver();
  return (
    chosen: readonly ChosenVariant<FaultVariant>[],
    weight: number,
    grid: Hypothesis['grid'],
  ): UnitHypothesis[] => {
    const variants = chosen.map((each) => each.variant);
    const changes = Object.assign({}, ...variants.map((each) => each.changes)) as BranchChanges;
    const circuitKey = chosen
      .filter(({ variant }) => Object.keys(variant.changes).length > 0)
      .map(({ key }) => key)
      .sort()
      .join(' ');
    if (!circuits.has(circuitKey)) circuits.set(circuitKey, circuits.size);
    const faults = chosen.map(({ mode }) => mode.id).filter((id) => id !== noFault);
    const supply = variants.find((each) => each.supply)?.supply;
    const dialCelsius = Object.assign({}, ...variants.map((each) => each.dialCelsius)) as Record<
      string,
      number
    >;
    const common = {
      faults,
      repairs: [...new Set(chosen.map(({ mode }) => repairOfFault(declaration, mode.id)))],
      changes,
      spread: Object.assign({}, ...variants.map((each) => each.spread)) as Record<string, number>,
      supply,
      dialCelsius,
      circuit: circuits.get(circuitKey)!,
      grid,
    };
    const found = situationsOf(declaration, plate, variants, changes, dialCelsius, solve);
    const situations = faults.length === 0 ? withDrawn(found, declaration) : found;
    return situations.map((situation, s) => ({
      ...common,
      id: `${chosen.map(({ key }) => key).join(' & ')}/${s}`,
      weight: weight * situation.share,
      situation,
    }));
  };
}

/** Good units that somebody comes to when much, or all, of their water has just been drawn. Common practice. */
const drawnShare = 0.01;

/** A good unit also stands half drawn, or cold throughout: so it does after the tank was filled anew. */
function withDrawn(
  found: readonly Situation[],
  { coldCelsius }: ElectricalDeclaration,
): readonly Situation[] {
  const [usual] = found;
  const half = { ...usual!, share: drawnShare, bottomCelsius: coldCelsius };
  return [
    ...found.map((each) => ({ ...each, share: each.share * (1 - 2 * drawnShare) })),
    half,
    { ...half, topCelsius: coldCelsius },
  ];
}

function situationsOf(
  { situations, coldCelsius, ...topology }: ElectricalDeclaration,
  plate: Plate,
  variants: readonly FaultVariant[],
  changes: BranchChanges,
  dialCelsius: Readonly<Record<string, number>>,
  solve: Parameters<typeof trialRunner>[3],
): readonly Situation[] {
  const cold = {
    share: 1,
    topCelsius: coldCelsius,
    bottomCelsius: coldCelsius,
    limitTripped: false,
  };
  if (variants.some((each) => each.supply)) return [cold];
  if (variants.some((each) => each.limit === 'tripped')) return [{ ...cold, limitTripped: true }];
  return situations({
    plate,
    changes,
    dialCelsius,
    limitWorks: !variants.some((each) => each.limit === 'never-trips'),
    run: trialRunner(topology, plate, changes, solve),
  });
}

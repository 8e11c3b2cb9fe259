import type { PictureSetting, PictureState, SuspectedPart, Target, UnitState } from '../appliances';
import type { Quantity } from '../quantities';
import { expectObservable, type Expectation } from './expect';
import type { OpenDiagnosis } from './open-diagnosis';

const mostSuspected = 3;

/** The unit as it is likeliest to be, drawn in its present state or in the one that is set. */
export function pictureOf(open: OpenDiagnosis, setting: PictureSetting = {}): PictureState {
  const { family, plate, tables, standing, state } = open;
  const likeliest = standing.byHypothesis.reduce(
    (best, each, h) => (each > standing.byHypothesis[best]! ? h : best),
    0,
  );
  const { model } = tables;
  const drawn = model.hypotheses[setting.good ? model.healthyIndex : likeliest]!;
  return { ...family.picture(plate, drawn, state, setting), suspected: suspectedParts(open) };
}

/** Parts that the leading suspects would have broken, the likeliest first. */
function suspectedParts({ tables, standing, family }: OpenDiagnosis): SuspectedPart[] {
  const byFault = new Map<string, { probability: number; branches: ReadonlySet<string> }>();
  for (const h of standing.active) {
    const hypothesis = tables.model.hypotheses[h]!;
    const { faults } = hypothesis;
    if (faults.length !== 1) continue;
    const found = byFault.get(faults[0]!);
    byFault.set(faults[0]!, {
      probability: (found?.probability ?? 0) + standing.byHypothesis[h]!,
      branches: new Set([...(found?.branches ?? []), ...family.drawnChanges(hypothesis)]),
    });
  }
  return [...byFault]
    .map(([fault, { probability, branches }]) => ({
      fault,
      repair: tables.model.repairOf[fault]!,
      probability,
      branches: [...branches],
    }))
    .sort((one, other) => other.probability - one.probability)
    .slice(0, mostSuspected);
}

/** What a meter would show where it is put: between any two terminals, or at a point that is named. */
export interface ProbeAnswer extends Omit<Expectation, 'check'> {
  readonly quantity: Quantity;
  readonly state: UnitState;
}

/**
 * What a good unit and every suspect would show at a target, in the state that the picture is set to.
 * @returns undefined where the model has nothing to read there.
 */
export function probePicture(
  open: OpenDiagnosis,
  target: Target,
  setting: PictureSetting = {},
): ProbeAnswer | undefined {
  const state = open.family.stateWith(open.state, setting);
  const { family } = open;
  const quantity = family.quantityAt(target, state);
  const observable = quantity && family.observableAt(target, quantity, state);
  if (!observable) return undefined;
  return { quantity, state, ...expectObservable(open, observable) };
}

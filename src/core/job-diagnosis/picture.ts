import type { PictureSetting, PictureState, SuspectedPart, Target, UnitState } from '../appliances';
import type { ProbePoint } from '../job-file';
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

/** What a meter on any two terminals would show: on mains volts with the power on and ohms with it off, else what is usual there. */
export interface ProbeAnswer extends Omit<Expectation, 'check'> {
  readonly quantity: Quantity;
  readonly state: UnitState;
}

export function probeTerminals(
  open: OpenDiagnosis,
  between: readonly [ProbePoint, ProbePoint],
  setting: PictureSetting = {},
): ProbeAnswer {
  const state = open.family.stateWith(open.state, setting);
  const { family } = open;
  const isMains = family.deadPoints.length > 0;
  const onMains: Quantity = state.controls.power === 'on' ? 'voltage-ac' : 'resistance';
  const quantity = isMains ? onMains : family.catalogue.readable.between[0]!;
  const target: Target = { between };
  const observable = family.observableAt(target, quantity, state)!;
  return { quantity, state, ...expectObservable(open, observable) };
}

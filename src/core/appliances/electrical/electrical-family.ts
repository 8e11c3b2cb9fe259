import type { PlanStart } from '../../diagnosis/model';
import type { ApplianceFamily } from '../appliance-family';
import type { ProbePoint } from '../../job-file/generated/job-types';
import type { ElectricalDeclaration } from './declaration';
import type { ElectricalModel } from './model';
import type { UnitView } from './observation';
import type { ElectricalObservable } from './observable';
import type { FamilyParameters } from '../kit/parameters';
import type { UnitState } from '../kit/unit-state';
import type { Plate } from './plate';

/** A family of electric heaters: what the house sees of it, with its circuit, for the rooms that know electric heaters. */
export interface ElectricalFamily extends ElectricalDeclaration, ApplianceFamily {
  plateOf(job: Parameters<ApplianceFamily['plateOf']>[0]): Plate;
  model(plate: Plate, parameters?: FamilyParameters): ElectricalModel;
  view(plate: Plate): UnitView;
  observableOfCheck(check: string, state: UnitState): ElectricalObservable;
  planStart(...given: Parameters<ApplianceFamily['planStart']>): PlanStart<ElectricalObservable>;
  probe(
    quantity: 'resistance' | 'voltage-ac',
    a: ProbePoint,
    b: ProbePoint,
    state: UnitState,
  ): ElectricalObservable;
  clamp(wires: readonly string[], state: UnitState): ElectricalObservable;
}

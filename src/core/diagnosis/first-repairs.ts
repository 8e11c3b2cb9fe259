import { repairProbabilities, type Belief } from './belief';
import type { CompiledFamily } from './compile';

/** Two that are as sure but for rounding are as sure: the order of the evidence decides nothing. */
const surer = 1 + 1e-9;

/** Of two repairs that are both needed, the surer one is done first. By set, an index into `family.repairs`. */
export function firstRepairs(family: CompiledFamily<never>, belief: Belief): Uint8Array {
  const sure = repairProbabilities(family, belief);
  return Uint8Array.from(family.repairSets, (set) =>
    set
      .map((each) => family.repairs.indexOf(each))
      .reduce((best, each) => (sure[each]! > sure[best]! * surer ? each : best)),
  );
}

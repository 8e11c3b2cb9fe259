import type { PartReaders } from '../appliance-family';
import type { ElectricalDeclaration } from './declaration';
import { partOfFault } from '../kit/list-hypotheses';

/** What reads the part that a repair fits; undefined where it fits none, or none that anything reads. */
export function readersOf(
  { names, repairs }: Pick<ElectricalDeclaration, 'names' | 'repairs'>,
  repair: string,
  fault: string | undefined,
): PartReaders | undefined {
  const found = repairs[repair];
  if (!found || found.parts.length === 0) return undefined;
  const { shownBy, drawnPart } = found;
  if (shownBy) return { check: (id) => shownBy.includes(id), points: () => false };
  const failed = fault === undefined ? undefined : partOfFault(fault);
  const hasTerminals = names.terminals.some((each) => each.startsWith(`${failed}.`));
  const part = hasTerminals ? failed : drawnPart;
  if (part === undefined) return undefined;
  /** Ohms on the part alone or from it to the tank, amperes in it, or a look at it; volts on it tell of what feeds it. */
  const check = (id: string) => {
    if (!Object.hasOwn(names.checks, id)) return false;
    const { quantity, between } = names.checks[id]!;
    if (quantity === 'voltage-ac') return false;
    return isReadBy(between ?? [], part) || id.startsWith(`${part}-`);
  };
  return { check, points: (touched) => isReadBy(touched, part) };
}

/** Both probes on the part, or one of them on the tank. */
function isReadBy(probes: readonly string[], part: string): boolean {
  const isOn = (terminal: string) => terminal.startsWith(`${part}.`);
  return probes.some(isOn) && probes.every((each) => isOn(each) || each === 'tank');
}

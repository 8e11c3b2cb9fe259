import type { WalkedEntry } from '../../../job-file/fold';
import type { SettingEntry } from '../../../job-file/generated/job-types';
import type { JobState } from '../../../job-file/state';
import { numberOf } from '../../../quantities';
import { systemParameters } from '../../../settings/parameter';
import { sheetOutcome } from '../../../settings/system-rules';
import type { FamilyPlate, SystemSettings } from '../../appliance-family';

/** What the settings as found come to, and at which entry that was known. */
interface SheetTaken {
  readonly entryId: string;
  readonly before: JobState;
  readonly outcome: string;
}

const quantities = new Map(systemParameters.map(({ id, quantity }) => [id, quantity]));

/**
 * The sheet as it was found, as the result of its check: nothing while too little of it has been read, and nothing where somebody
 * has said by eye what it comes to.
 */
export function sheetAsFound(
  walked: readonly WalkedEntry[],
  { check, context }: SystemSettings & { readonly check: string },
  plate: FamilyPlate,
): SheetTaken | undefined {
  const found = new Map<string, SettingEntry['value']>();
  let last: WalkedEntry | undefined;
  for (const each of walked) {
    const { entry, before } = each;
    if (entry.kind === 'observation' && entry.check === check) return undefined;
    // What a repair has set says nothing of how it was found.
    if (entry.kind !== 'setting' || entry.as !== 'found' || before.repairsDone.length > 0) continue;
    found.set(entry.setting, entry.value);
    last = each;
  }
  if (!last) return undefined;
  const outcome = sheetOutcome({
    ...context(plate),
    choice(id) {
      const value = found.get(id);
      return typeof value === 'string' ? value : undefined;
    },
    number(id) {
      const value = found.get(id);
      const quantity = quantities.get(id);
      return typeof value === 'object' && quantity ? numberOf(value, quantity) : undefined;
    },
  });
  return outcome === undefined
    ? undefined
    : { entryId: last.entry.id, before: last.before, outcome };
}

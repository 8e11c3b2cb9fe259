import type { ApplianceFamily } from '@/core/appliances';
import type { Meter } from '@/features/record/use-meter';
import { loadWords } from '@/features/record/words';
import type { NewEntry } from '@/features/record/use-job-record';

/** Whether a voltage was taken with the elements drawing, or off their wires; not stated means as the wires hang. */
export type Load = 'loaded' | 'open-circuit' | undefined;

/** What belongs to a result beside its number: the meter's leads, the load, what the meter beeps below. */
export type TakenAspect = 'leads' | 'load' | 'beep';

export function takenAspect(family: ApplianceFamily, check: string): TakenAspect | undefined {
  const { quantity, values } = family.check(check);
  if (quantity === 'resistance') return 'leads';
  if (quantity === 'voltage-ac') return 'load';
  return values?.includes('beeps') ? 'beep' : undefined;
}

/** The entry with what belongs to it. */
export function withTaken<E extends NewEntry>(
  family: ApplianceFamily,
  entry: E,
  { leadOhm, beepBelowOhm }: Meter,
  load: Load,
): E {
  if ((entry.kind !== 'reading' && entry.kind !== 'observation') || !entry.check) return entry;
  switch (takenAspect(family, entry.check)) {
    case 'leads':
      return leadOhm === undefined ? entry : { ...entry, leads: { ohm: leadOhm } };
    case 'load':
      return load === undefined ? entry : { ...entry, state: { ...entry.state, load } };
    case 'beep':
      return beepBelowOhm === undefined ? entry : { ...entry, threshold: { ohm: beepBelowOhm } };
    case undefined:
      return entry;
  }
}

/** What will be written down with the result, in a few words. */
export function takenNow(aspect: TakenAspect, { leadOhm, beepBelowOhm }: Meter, load: Load) {
  switch (aspect) {
    case 'leads':
      return leadOhm === undefined ? 'leads not known' : `leads ${leadOhm} Ω`;
    case 'load':
      return load === undefined ? 'taken as wired' : loadWords[load];
    case 'beep':
      return beepBelowOhm === undefined
        ? 'beeps below: not known'
        : `beeps below ${beepBelowOhm} Ω`;
  }
}

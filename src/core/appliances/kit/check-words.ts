import type { CheckWords, Instrument } from '../family';

type Rest = Partial<Omit<CheckWords, 'label' | 'doThis' | 'covers' | 'answers'>>;

/** A look: what to look at, and the words of what may be found. */
export const looked = (
  label: string,
  doThis: string,
  answers: Readonly<Record<string, string>>,
  caution?: CheckWords['caution'],
): CheckWords => ({ label, doThis, covers: [], answers, ...(caution ? { caution } : {}) });

/** A reading by an instrument; none where a display, a bucket or a watch does. */
export const read = (
  label: string,
  doThis: string,
  instrument?: Instrument,
  rest: Rest = {},
): CheckWords => ({ label, doThis, covers: [], ...(instrument ? { instrument } : {}), ...rest });

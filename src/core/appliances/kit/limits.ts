import type { CheckWords } from '../family';
import type { FamilyNames } from './names';

/** What a technician may and can do. */
export interface TechnicianLimits {
  readonly liveWork: boolean;
  /** Whether the gas way may be opened; it may where nothing was said. */
  readonly gasWork?: boolean;
  /** Kinds of instrument at hand; undefined where it was not said. */
  readonly instruments?: readonly string[];
}

export function isAllowed(
  {
    names,
    checks,
  }: { readonly names: FamilyNames; readonly checks: Readonly<Record<string, CheckWords>> },
  check: string,
  { liveWork, instruments }: TechnicianLimits,
): boolean {
  const { caution, instrument } = checks[check]!;
  if (caution === 'live' && !liveWork) return false;
  if (instruments === undefined) return true;
  if (instrument !== undefined) return instruments.includes(instrument);
  return names.checks[check]!.kind === 'observation' || instruments.includes('multimeter');
}

import { terminalName, wireName } from '@/features/record/words';

const parts: Readonly<Record<string, string>> = {
  'replace-upper-element': 'upper-element',
  'replace-lower-element': 'lower-element',
  'replace-upper-thermostat': 'upper-thermostat',
  'replace-lower-thermostat': 'lower-thermostat',
  'reset-limit': 'limit',
  'restore-supply': 'breaker',
  'call-electrician': 'breaker',
};

/** The part to mark in the picture, once it is more likely than not. */
export function partOfRepair(repair: string | undefined, probability = 0): string | undefined {
  return repair !== undefined && probability > 0.5 ? parts[repair] : undefined;
}

/** The wiring picture in words. */
export function pictureWords(
  probes: readonly string[],
  clampOn: string | undefined,
  lifted: readonly string[],
  live: readonly string[],
): string {
  const touch = clampOn
    ? `Clamp round the ${wireName(clampOn)}.`
    : probes.length === 2
      ? `Touch ${terminalName(probes[0]!)} with A and ${terminalName(probes[1]!)} with B.`
      : '';
  const liveText =
    live.length > 0
      ? `Live: ${live.map(terminalName).join(', ')}.`
      : 'Nothing live beyond the breaker.';
  return ['Wiring picture.', touch, lifted.length > 0 ? `${lifted.join(', ')}.` : '', liveText]
    .filter(Boolean)
    .join(' ');
}

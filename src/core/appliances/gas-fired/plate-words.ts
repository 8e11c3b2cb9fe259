import type { Plate } from '../../job-file/generated/job-types';

/** The plate of a burner in one line: 44 kW, natural gas, condensing. */
export function plateWords(plate: Plate): string {
  const { input, fuel, condensing } = plate;
  const watt =
    typeof input === 'object' && input !== null
      ? (input as { readonly watt?: number }).watt
      : undefined;
  return [
    watt === undefined ? '' : `${(watt / 1000).toFixed(1)} kW`,
    fuel === 'lpg' ? 'LPG' : 'natural gas',
    condensing === true ? 'condensing' : '',
  ]
    .filter(Boolean)
    .join(', ');
}

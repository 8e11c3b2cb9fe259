import type { ApplianceFamily } from '@/core/appliances';
import type { PictureState } from '@/core/job-diagnosis';
import type { LiftedEnd } from '@/core/job-file';
import type { FamilyWords } from '@/features/record/family-words';
import { terminalName } from '@/features/record/words';

/** The part to mark in the picture, once its repair is more likely than not. */
export function partOfRepair(
  { repairs }: ApplianceFamily,
  repair: string | undefined,
  probability = 0,
): string | undefined {
  return repair !== undefined && probability > 0.5 ? repairs[repair]?.drawnPart : undefined;
}

/** The picture in words. */
export function pictureWords(
  words: FamilyWords,
  probes: readonly string[],
  clampOn: string | undefined,
  lifted: readonly LiftedEnd[],
  { terminals }: PictureState,
): string {
  const touch = clampOn
    ? `Clamp round the ${words.wire(clampOn)}.`
    : probes.length === 1
      ? `Read at ${words.pointName(probes[0]!)}.`
      : probes.length === 2
        ? `Touch ${terminalName(probes[0]!)} with A and ${terminalName(probes[1]!)} with B.`
        : '';
  const live = Object.keys(terminals).filter((each) => terminals[each]!.live !== 'dead');
  const liveText =
    live.length > 0 ? `Live: ${live.map(terminalName).join(', ')}.` : words.nothingLive;
  const off = lifted.map((each) => `${words.wire(each.wire)} lifted off ${terminalName(each.end)}`);
  return [`${words.pictureTitle}.`, touch, off.length > 0 ? `${off.join(', ')}.` : '', liveText]
    .filter(Boolean)
    .join(' ');
}

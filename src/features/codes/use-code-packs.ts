'use client';

import { useEffect, useState } from 'react';
import type { FamilyCodes } from '@/core/appliances';
import type { CodePack } from '@/core/codes';
import { effectiveEntries, type JobFile } from '@/core/job-file';
import { keepCodePacks, keptCodePacks } from '@/features/device/kept-codes';

/** Packs for a family: the one that came with it, and the firm's; what this device keeps of them until the server says more. */
export function useCodePacks(codes: FamilyCodes): readonly CodePack[] {
  const [own, setOwn] = useState<readonly CodePack[]>([]);
  useEffect(() => {
    let isGone = false;
    const show = (packs: readonly CodePack[]) => {
      if (!isGone) setOwn(packs);
    };
    void keptCodePacks()
      .then(show)
      .then(keepCodePacks)
      .then((packs) => packs && show(packs));
    return () => {
      isGone = true;
    };
  }, []);
  return [codes.pack, ...own.filter(({ family }) => family === codes.family)];
}

/** The pack that a job is likeliest to need: the one used on it last, else one for its make, else the one that came. */
export function usualPack(
  packs: readonly CodePack[],
  { unit, entries }: Pick<JobFile, 'unit' | 'entries'>,
): CodePack {
  const last = effectiveEntries(entries).findLast((each) => each.kind === 'code');
  const used = last?.kind === 'code' ? (last.pack ?? packs[0]!.id) : undefined;
  const names = [unit.make, unit.model, `${unit.make ?? ''} ${unit.model ?? ''}`].map((each) =>
    each?.trim().toLowerCase(),
  );
  return (
    packs.find(({ id }) => id === used) ??
    packs.find(({ makes }) => makes?.some((each) => names.includes(each.trim().toLowerCase()))) ??
    packs[0]!
  );
}

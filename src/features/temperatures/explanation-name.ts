import { useCallback } from 'react';
import type { Explanation } from '@/core/temperatures';
import { useWords } from '@/features/record/family-context';

/** How a suspect is called beside what it would do: what else is wrong then has its own name. */
export function useExplanationName(): (explanation: Explanation) => string {
  const words = useWords();
  return useCallback(
    ({ faults, repair, also = [] }: Explanation) => {
      if (repair === undefined) return 'Nothing wrong';
      const own = faults.filter((each) => !also.some(({ fault }) => fault === each));
      const named = (by: string, those: readonly string[]) =>
        `${words.suspect(by)} (${those.map((each) => words.fault(each)).join(' and ')})`;
      return [named(repair, own), ...also.map((each) => named(each.repair, [each.fault]))].join(
        ' and ',
      );
    },
    [words],
  );
}

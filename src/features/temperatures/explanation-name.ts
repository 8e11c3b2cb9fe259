import { useCallback } from 'react';
import type { Explanation } from '@/core/temperatures';
import { useWords } from '@/features/record/family-context';

/** How a suspect is called beside what it would do. */
export function useExplanationName(): (explanation: Explanation) => string {
  const words = useWords();
  return useCallback(
    ({ faults, repair }: Explanation) =>
      repair === undefined
        ? 'Nothing wrong'
        : `${words.suspect(repair)} (${faults.map((each) => words.fault(each)).join(' and ')})`,
    [words],
  );
}

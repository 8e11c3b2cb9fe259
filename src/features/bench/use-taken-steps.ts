import { useRef, useState } from 'react';
import type { AccessStep } from '@/core/appliances';
import type { BenchAnswer } from '@/core/job-diagnosis';

interface Taken {
  readonly answer: BenchAnswer | undefined;
  readonly steps: readonly AccessStep[];
}

/**
 * Steps of an answer that were tapped while the next answer is worked out: they are ticked at once, and none of them is
 * entered a second time.
 */
export function useTakenSteps(answer: BenchAnswer | undefined) {
  // Kept aside too: two taps may come before the first is drawn.
  const latest = useRef<Taken>({ answer, steps: [] });
  const [taken, setTaken] = useState<Taken>({ answer, steps: [] });
  const set = (now: Taken) => {
    latest.current = now;
    setTaken(now);
  };
  const stepsOf = (now: Taken) => (now.answer === answer ? now.steps : []);
  return {
    steps: stepsOf(taken),
    /** @param enter gives false where it was not entered: then it can be tapped again. */
    async take(step: AccessStep, enter: () => Promise<boolean>): Promise<void> {
      const before = stepsOf(latest.current);
      if (before.includes(step)) return;
      set({ answer, steps: [...before, step] });
      if (await enter()) return;
      const { steps, ...now } = latest.current;
      set({ ...now, steps: steps.filter((each) => each !== step) });
    },
  };
}

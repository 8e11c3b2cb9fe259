import { isWorkedDead, type ApplianceFamily } from '@/core/appliances';
import type { JobState } from '@/core/job-file';

/** What makes a unit safe to be left when work on it stops, from how it stands. Local codes come first. Common practice. */
export function safeNow(family: ApplianceFamily, state: JobState): readonly string[] {
  return [
    ...(family.burnsGas
      ? ['Knob off, gas cock across the pipe. Gas smelled: out first, and call from outside.']
      : []),
    ...(isWorkedDead(family)
      ? [
          'Breaker off and locked. Whoever comes next proves it dead again.',
          ...(Object.keys(state.facts).some((id) => family.catalogue.covers.has(id))
            ? ['A cover is off: put it on, or keep everybody away from it.']
            : []),
        ]
      : []),
    ...(state.lifted.length > 0
      ? [`${state.lifted.length} lifted: each end apart and covered, power and gas stay off.`]
      : []),
    ...(Object.hasOwn(state.facts, 'burner-out')
      ? ['The burner is out: the cock stays shut until it is back and leak-checked.']
      : []),
    'Cold valve and drain valve shut, hose where nobody is scalded. Half drained: no power, no burner.',
    'Label it, and tell the customer what must not be touched.',
  ];
}

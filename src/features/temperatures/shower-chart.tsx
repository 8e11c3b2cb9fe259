'use client';

import { useMemo } from 'react';
import type { UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { CourseChart } from './course-chart';

/** The water at the head, minute by minute, under each suspect. */
export function ShowerChart({
  explanations,
  name,
  system,
}: {
  explanations: readonly Explanation[];
  name(explanation: Explanation): string;
  system: UnitSystem;
}) {
  const courses = useMemo(
    () =>
      explanations.map((each) => ({
        name: name(each),
        points: each.shower.map(({ minute, celsius }) => ({ time: minute, celsius })),
      })),
    [explanations, name],
  );
  return (
    <CourseChart
      courses={courses}
      longest={40}
      timeUnit="min"
      label="The shower's temperature over 40 minutes under each suspect; how long each is hot stands in the table above"
      system={system}
    />
  );
}

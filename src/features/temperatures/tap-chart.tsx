'use client';

import { useMemo } from 'react';
import type { UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { CourseChart } from './course-chart';

/** The water at the tap, second by second from its opening, under each suspect. */
export function TapChart({
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
        points: (each.tap?.samples ?? []).map(({ second, tapCelsius }) => ({
          time: second,
          celsius: tapCelsius,
        })),
      })),
    [explanations, name],
  );
  return (
    <CourseChart
      courses={courses}
      longest={120}
      timeUnit="s"
      label="The tap over two minutes from its opening under each suspect; where each settles stands in the table above"
      system={system}
    />
  );
}

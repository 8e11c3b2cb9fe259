'use client';

import { useMemo } from 'react';
import type { LoggedCourse } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import type { Explanation } from '@/core/temperatures';
import { useWords } from '@/features/record/family-context';
import { placeName } from '@/features/record/log-words';
import { Chart } from './chart';
import { eventWords, logChart, type ChartInk } from './chart-options';

/** The log, and the run of the suspect that is chosen as a band behind it. */
export function LogChart({
  course,
  explanation,
  system,
}: {
  course: LoggedCourse;
  explanation: Explanation | undefined;
  system: UnitSystem;
}) {
  const words = useWords();
  const options = useMemo(() => {
    const predicted =
      explanation?.log?.log === course.log
        ? explanation.log.channels.map(({ place, samples }) => ({
            name: `${placeName(place)}, if ${explanation.repair === undefined ? 'nothing is wrong' : explanation.faults.map((each) => words.fault(each)).join(' and ')}`,
            place,
            samples,
          }))
        : [];
    return (ink: ChartInk) => logChart(course, predicted, system, ink, eventWords);
  }, [course, explanation, system, words]);
  const minutes = Math.round(
    Math.max(0, ...course.channels.map(({ samples }) => samples.at(-1)!.second)) / 60,
  );
  return (
    <Chart
      options={options}
      label={`${course.channels.map(({ place }) => placeName(place)).join(', ')} over ${minutes} minutes; the readings are in the table below`}
    />
  );
}

'use client';

import { useMemo } from 'react';
import type { LoggedCourse } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { placeName } from '@/features/record/log-words';
import { Chart } from './chart';
import { eventWords, logChart, type ChartInk, type PredictedLine } from './chart-options';

const none: readonly PredictedLine[] = [];

/** The log, and the run of the suspect that is chosen as a band behind it. */
export function LogChart({
  course,
  predicted = none,
  system,
  isPrinted,
}: {
  course: LoggedCourse;
  predicted?: readonly PredictedLine[];
  system: UnitSystem;
  isPrinted?: boolean;
}) {
  const options = useMemo(
    () => (ink: ChartInk) => logChart(course, predicted, system, ink, eventWords),
    [course, predicted, system],
  );
  const minutes = Math.round(
    Math.max(0, ...course.channels.map(({ samples }) => samples.at(-1)!.second)) / 60,
  );
  return (
    <Chart
      options={options}
      isPrinted={isPrinted}
      label={`${course.channels.map(({ place }) => placeName(place)).join(', ')} over ${minutes} minutes; the readings stand in words beside it`}
    />
  );
}

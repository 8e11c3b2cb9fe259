'use client';

import dynamic from 'next/dynamic';
import type { LoggedCourse } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';

const LogChart = dynamic(
  () => import('@/features/temperatures/log-chart').then((each) => each.LogChart),
  { ssr: false, loading: () => <div className="h-[300px]" /> },
);

/** A log on paper. */
export function ReportLogChart({ course, system }: { course: LoggedCourse; system: UnitSystem }) {
  return <LogChart course={course} system={system} isPrinted />;
}

'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { BenchAnswer } from '@/core/job-diagnosis';
import { loadFamily } from '@/core/appliances';
import { asSeenBy, type JobFile } from '@/core/job-file';
import type { Organisation } from '@/database/technicians';
import { JobFamily } from '@/features/record/family-context';
import { usePresentTechnician } from '@/features/record/technician-context';
import type { JobPage } from './place';

/** The code of each page comes with the first of its kind. */
const load = {
  bench: () => import('@/features/bench/bench').then((each) => each.Bench),
  repair: () => import('@/features/repair/repair').then((each) => each.RepairPage),
  procedures: () =>
    import('@/features/procedures/procedures-page').then((each) => each.ProceduresPage),
  temperatures: () =>
    import('@/features/temperatures/temperatures-page').then((each) => each.TemperaturesPage),
  settings: () => import('@/features/settings/settings-page').then((each) => each.SettingsPage),
  combustion: () =>
    import('@/features/combustion/combustion-page').then((each) => each.CombustionPage),
  balancing: () => import('@/features/balancing/balancing-page').then((each) => each.BalancingPage),
  mixing: () => import('@/features/mixing/mixing-page').then((each) => each.MixingPage),
  report: () => import('./kept-report').then((each) => each.KeptReport),
};

const Bench = dynamic(load.bench);
const RepairPage = dynamic(load.repair);
const ProceduresPage = dynamic(load.procedures);
const TemperaturesPage = dynamic(load.temperatures);
const SettingsPage = dynamic(load.settings);
const CombustionPage = dynamic(load.combustion);
const BalancingPage = dynamic(load.balancing);
const MixingPage = dynamic(load.mixing);
const KeptReport = dynamic(load.report);

/** Asks for the code of a page before its job is here. What does not come is asked for again by the page. */
export function fetchAhead(page: JobPage, family: string): void {
  void load[page]().catch(() => undefined);
  void loadFamily(family).catch(() => undefined);
}

/** A page of a job from what this device keeps. */
export function KeptJobPage({
  job,
  first,
  coming,
  page,
  organisation,
}: {
  job: JobFile;
  /** The bench's answer for it, where it is there. */
  first?: BenchAnswer;
  /** The same where somebody works it out. */
  coming?: Promise<BenchAnswer | undefined>;
  page: JobPage;
  organisation: Organisation;
}) {
  const technician = usePresentTechnician();
  // The page is about the job as it was opened; what comes later it hears of itself, but for the number that a call gets.
  const [opened] = useState(job);
  const { number } = job.job;
  const initial = useMemo(
    () => asSeenBy({ ...opened, job: { ...opened.job, number } }, technician, organisation),
    [opened, number, technician, organisation],
  );
  const system = organisation.unitSystem;
  if (page === 'repair')
    return <RepairPage initial={initial} system={system} firm={organisation} />;
  if (page === 'procedures')
    return (
      <ProceduresPage
        initial={initial}
        system={system}
        // Kept before there were any.
        intervals={organisation.intervals ?? {}}
      />
    );
  if (page === 'temperatures') return <TemperaturesPage initial={initial} system={system} />;
  if (page === 'combustion') return <CombustionPage initial={initial} system={system} />;
  if (page === 'balancing') return <BalancingPage initial={initial} system={system} />;
  if (page === 'mixing') return <MixingPage initial={initial} system={system} />;
  if (page === 'settings') return <SettingsPage initial={initial} system={system} />;
  if (page === 'report') {
    return (
      <JobFamily job={initial}>
        <KeptReport initial={initial} organisation={organisation} />
      </JobFamily>
    );
  }
  return <Bench initial={initial} first={first} coming={coming} system={system} />;
}

'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { JobFile } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import type { ShowerWish } from '@/core/thermal';
import { JobFrame } from '@/features/bench/job-frame';
import { useJobState } from '@/features/bench/use-job-state';
import { JobFamily, useFamily, useWords } from '@/features/record/family-context';
import { PocketFindings } from '@/features/record/pocket-findings';
import { useJobRecord } from '@/features/record/use-job-record';
import { ClockTools } from './clock-tools';
import { Explanations } from './explanations';
import { ImportDialog } from './import-dialog';
import { LogFactsPanel } from './log-facts-panel';
import { LogTable } from './log-table';
import { ProofPanel } from './proof-panel';
import { Recorder } from './recorder';
import { SimulatedUnit } from './simulated-unit';
import { TapExplanations } from './tap-explanations';
import { Technique } from './technique';
import { useInstruments } from '@/features/instruments/use-instruments';
import { useLog } from './use-log';
import { useTemperatures } from './use-temperatures';

const LogChart = dynamic(() => import('./log-chart').then((each) => each.LogChart), {
  ssr: false,
  loading: () => <div className="h-[300px]" role="status" aria-label="Drawing the chart" />,
});

/** Temperatures of a job over time: followed by hand, live or from a file, explained, and held against what must be seen. */
export function TemperaturesPage(props: { initial: JobFile; system: UnitSystem }) {
  return (
    <JobFamily job={props.initial}>
      <Temperatures {...props} />
    </JobFamily>
  );
}

function Temperatures({ initial, system }: { initial: JobFile; system: UnitSystem }) {
  const record = useJobRecord(initial);
  const { job, append } = record;
  const family = useFamily();
  const state = useJobState(job, family);
  const log = useLog(record);
  const reached = useInstruments();
  const [wish, setWish] = useState<ShowerWish>();
  const { answer, isFresh } = useTemperatures(job, record.isReady, wish);
  const [isImporting, setImporting] = useState(false);
  const [drawn, setDrawn] = useState<number>();
  const course = log.open ?? log.courses.at(-1);
  const facts = answer?.facts.find((each) => each.log === course?.log);
  const words = useWords();
  const predicted = useMemo(() => {
    const explanation = drawn === undefined ? undefined : answer?.explanations[drawn];
    if (!explanation?.log || explanation.log.log !== course?.log) return [];
    const suspect =
      explanation.repair === undefined ? 'nothing is wrong' : words.suspect(explanation.repair);
    return explanation.log.channels.map(({ place, samples }) => ({
      name: `if ${suspect.charAt(0).toLowerCase()}${suspect.slice(1)}`,
      place,
      samples,
    }));
  }, [answer, drawn, course?.log, words]);
  return (
    <JobFrame
      record={record}
      state={state}
      title="Temperatures"
      near={{ '': 'Bench', '/settings': 'Settings' }}
    >
      <div className="grid content-start gap-6 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div className="min-w-0 space-y-6 lg:order-1">
          {course && course.channels.length > 0 ? (
            <section aria-label="The log">
              <LogChart course={course} predicted={predicted} system={system} />
              <LogTable course={course} system={system} />
            </section>
          ) : (
            <p className="border-l-4 border-rule pl-3 text-lead">
              {family.tap
                ? `Nothing is followed yet. A tap open for two minutes from cold, with ${family.tap.hasFlow ? 'flow, return and outlet' : 'outlet and inlet'} read every few seconds, tells ${family.tap.hasFlow ? 'whether the heat is taken away' : 'what its water does'}: read them, let an instrument be read, or bring a logger's file.`
                : family.pockets
                  ? 'Nothing is followed yet. A readout and the boss of its pocket, once a minute for ten minutes with the rooms calling, tell how far in its sensor is; a push in the middle shows at once.'
                  : "Nothing is followed yet. Read a place by hand, let an instrument be read, or bring a logger's file: twenty minutes at the top and the bottom of the tank tell which heater works, and with how much."}
            </p>
          )}
          {course && family.pockets && (
            <PocketFindings family={family} course={course} system={system} />
          )}
          {answer?.proof && <ProofPanel proof={answer.proof} job={job} course={course} />}
          {facts && <LogFactsPanel facts={facts} system={system} />}
          {answer && family.tap && (
            <TapExplanations
              explanations={answer.explanations}
              isFresh={isFresh}
              system={system}
              drawn={drawn}
              onDraw={setDrawn}
            />
          )}
          {answer && !family.tap && (
            <Explanations
              explanations={answer.explanations}
              isFresh={isFresh}
              system={system}
              wish={wish}
              onWish={setWish}
              drawn={drawn}
              onDraw={setDrawn}
            />
          )}
        </div>
        <div className="order-first min-w-0 space-y-6 lg:order-2">
          <Recorder
            log={log}
            system={system}
            jobId={job.job.id}
            timeZone={job.job.timeZone}
            isReady={record.isReady}
            instruments={reached.instruments}
            onImport={() => setImporting(true)}
          />
          <ClockTools record={record} state={state} system={system} />
          <Technique />
          {reached.hasSimulatedUnit && <SimulatedUnit log={log} job={job} />}
        </div>
      </div>
      <ImportDialog
        isOpen={isImporting}
        onClose={() => setImporting(false)}
        system={system}
        onTake={(entries) => append(...entries)}
      />
    </JobFrame>
  );
}

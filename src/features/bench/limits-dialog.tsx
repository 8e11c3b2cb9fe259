'use client';

import { useState } from 'react';
import { instrumentKinds } from '@/core/appliances';
import { schoolsOf } from '@/core/schools';
import { gasWorkAllowed, liveWorkAllowed, type Constraints } from '@/core/job-file';
import { useFamily } from '@/features/record/family-context';
import type { JobRecord } from '@/features/record/use-job-record';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { SchoolChoices } from '@/features/record/school-choice';

const instrumentWords: Readonly<Record<string, string>> = {
  multimeter: 'meter',
  clamp: 'clamp',
  thermometer: 'thermometer',
  'insulation-tester': 'insulation tester',
  'non-contact-tester': 'non-contact tester',
  manometer: 'manometer',
  'combustion-analyser': 'combustion analyser',
};

/** What the technician may do, has at hand and fears: what the next check is chosen by. */
export function LimitsDialog({ record, onClose }: { record: JobRecord; onClose(): void }) {
  const family = useFamily();
  const { parameters } = family;
  const [problem, setProblem] = useState<string>();
  const { constraints = {} } = record.job;
  const { instruments, order = 'computed', wrongVerdict } = constraints;
  const liveWork = liveWorkAllowed(record.job);
  const gasWork = gasWorkAllowed(record.job);
  const usualMinutes = parameters.wrongVerdict.minutes;
  const minutes = Math.round((wrongVerdict?.second ?? usualMinutes * 60) / 60);
  const set = async (change: Constraints) =>
    setProblem(await record.constrain({ ...constraints, ...change }));
  const atHand = (kind: string) => instruments === undefined || instruments.includes(kind);
  const toggle = (kind: string) =>
    set({
      instruments: instrumentKinds.filter((each) => (each === kind) !== atHand(each)),
    });
  return (
    <Dialog title="What may be done, and with what" isOpen onClose={onClose}>
      <Choice
        label="Live work"
        why="Readings with the power on. Local codes and your licence decide."
        options={[
          { label: 'allowed', isChosen: liveWork, onChoose: () => void set({ liveWork: true }) },
          { label: 'none', isChosen: !liveWork, onChoose: () => void set({ liveWork: false }) },
        ]}
      />
      {family.burnsGas && (
        <Choice
          label="Gas work"
          why="Whatever opens the gas way or lights something. Local codes and your licence decide."
          options={[
            { label: 'allowed', isChosen: gasWork, onChoose: () => void set({ gasWork: true }) },
            { label: 'none', isChosen: !gasWork, onChoose: () => void set({ gasWork: false }) },
          ]}
        />
      )}
      <Choice
        label="At hand"
        why="Checks that need something else are not proposed."
        options={instrumentKinds.map((kind) => ({
          label: instrumentWords[kind]!,
          isChosen: atHand(kind),
          onChoose: () => void toggle(kind),
        }))}
      />
      <Choice
        label="Order of checks"
        why="Worked out: the fewest minutes to a sure verdict on this unit. Usual: the order that practice takes, which a second person can follow."
        options={[
          {
            label: 'worked out',
            isChosen: order === 'computed',
            onChoose: () => void set({ order: 'computed' }),
          },
          {
            label: 'usual',
            isChosen: order === 'usual',
            onChoose: () => void set({ order: 'usual' }),
          },
        ]}
      />
      <SchoolChoices
        of={schoolsOf(family)}
        chosen={constraints.schools}
        onChoose={(school, way) => void set({ schools: { ...constraints.schools, [school]: way } })}
      />
      <Choice
        label="A wrong verdict costs"
        why={`Second trip and lost trust, on top of work and part. The dearer, the more checks come before a verdict. ${usualMinutes} min unless you say otherwise.`}
        options={[30, 60, 120, 240].map((each) => ({
          label: `${each} min`,
          isChosen: minutes === each,
          onChoose: () => void set({ wrongVerdict: { second: each * 60 } }),
        }))}
      />
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
    </Dialog>
  );
}

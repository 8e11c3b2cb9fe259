'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { UnitSystem } from '@/core/quantities';
import { sensorLines, sensorTypes, type SensorType } from '@/core/sensors';
import { KeptNote } from '@/features/device/kept-note';
import { useDraft } from '@/features/record/use-draft';
import { PageBar } from '@/ui/page-bar';
import { UntilAlive } from '@/ui/until-alive';
import { SensorReading } from './sensor-reading';
import { SensorTable } from './sensor-table';

const SensorChart = dynamic(() => import('./sensor-chart').then((each) => each.SensorChart), {
  ssr: false,
  loading: () => <div className="h-[260px]" role="status" aria-label="Drawing the curve" />,
});

/** A temperature sensor by its ohms: what is right where it hangs, what was read, and what that says. Needs no job. */
export function SensorsPage({ system, type: asked }: { system: UnitSystem; type?: string }) {
  const [kept, setKept] = useDraft('sensor type');
  const [chosen, setChosen] = useState(asked);
  const type =
    sensorTypes.find(({ id }) => id === (chosen ?? kept)) ?? (sensorTypes[0] as SensorType);
  const lines = sensorLines(type, 5);
  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar note={<KeptNote />} />
      <main className="mx-auto max-w-[1080px] px-4 py-4 lg:px-5">
        <h1 className="text-title-l leading-tight font-semibold">Sensors by their ohms</h1>
        <UntilAlive>
          <label className="mt-3 block max-w-md font-medium">
            Kind of sensor
            <select
              className="field mt-1"
              value={type.id}
              onChange={(event) => {
                setChosen(event.target.value);
                setKept(event.target.value);
              }}
            >
              {(['published', 'invented'] as const).map((group) => (
                <optgroup
                  key={group}
                  label={group === 'published' ? 'By a published curve' : 'Invented here'}
                >
                  {sensorTypes
                    .filter(({ isPublished }) => isPublished === (group === 'published'))
                    .map(({ id, words }) => (
                      <option key={id} value={id}>
                        {words}
                      </option>
                    ))}
                </optgroup>
              ))}
            </select>
          </label>
          <p className="mt-1 text-small text-ink-2">
            {type.source}. What the papers of the unit say comes first.
          </p>
          <div className="mt-4 grid content-start gap-6 lg:grid-cols-[minmax(0,1fr)_420px]">
            <SensorReading key={type.id} type={type} system={system} />
            <div className="min-w-0">
              <SensorChart type={type} lines={lines} system={system} />
              <SensorTable lines={lines} system={system} />
            </div>
          </div>
        </UntilAlive>
      </main>
    </div>
  );
}

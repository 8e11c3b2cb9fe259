'use client';

import { useMemo, useState } from 'react';
import type { BenchAnswer, PictureSetting } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { knownCelsiusOf } from '@/core/temperatures';
import { valueText, type UnitSystem } from '@/core/quantities';
import { pictureWords } from '@/features/bench/picture-words';
import { useFamily, useWords } from '@/features/record/family-context';
import type { NewEntry } from '@/features/record/use-job-record';
import { percent } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { CloserPicture, freeEndOf, UnitPicture } from '@/ui/unit-picture';
import { coloursOf, wattsOf } from './picture-facts';
import { ProbePanel } from './probe-panel';
import { SettingBar } from './setting-bar';
import { StateTables } from './state-tables';
import { touchedTarget, usePicture } from './use-picture';

const asItIs: PictureSetting = {};
/** What was read was read as the unit stood: in another state only the model speaks. */
const nothingRead = {};

/** The picture as an instrument: set it, see what is live and what flows, touch two terminals or a point. */
export function PictureDialog({
  job,
  answer,
  touched,
  system,
  onClose,
  onEnter,
}: {
  job: JobFile;
  answer: BenchAnswer | undefined;
  /** The terminal that was touched to open it. */
  touched: string | undefined;
  system: UnitSystem;
  onClose(): void;
  onEnter(entry: NewEntry): Promise<boolean>;
}) {
  const family = useFamily();
  const words = useWords();
  const [setting, setSetting] = useState<PictureSetting>(asItIs);
  const [probes, setProbes] = useState<readonly string[]>(touched ? [touched] : []);
  const target = useMemo(() => touchedTarget(family, probes), [family, probes]);
  const found = usePicture(job, setting, target);
  const known = useMemo(() => knownCelsiusOf(job, family), [job, family]);
  const picture = found?.picture ?? answer?.picture;
  if (!picture) return null;

  const { drawing, pictureControls } = family;
  const touch = (id: string) =>
    setProbes((before) => {
      if (before.includes(id)) return before.filter((each) => each !== id);
      const isAlone = [id, ...before].some((each) => drawing.points?.[each]);
      return isAlone || before.length === 2 ? [id] : [...before, id];
    });
  /** To the next of its positions. */
  const turn = (key: string, position: string | undefined) => {
    const positions = pictureControls.find((each) => each.key === key)?.positions ?? [];
    if (positions.length === 0) return;
    const at = positions.findIndex(({ id }) => id === position);
    const next = positions[(at + 1) % positions.length]!;
    setSetting({ ...setting, controls: { ...setting.controls, [key]: next.id } });
  };
  const isSet = setting !== asItIs;

  return (
    <Dialog title={drawing.title} isOpen isWide onClose={onClose}>
      <div className="grid gap-x-4 gap-y-2 lg:grid-cols-[minmax(0,1fr)_320px] lg:grid-rows-[auto_1fr]">
        <div className="min-w-0">
          <CloserPicture plan={family} className="lg:h-[min(60dvh,520px)]">
            {(view) => (
              <UnitPicture
                view={view}
                plan={family}
                picture={picture}
                lifted={picture.lifted}
                probes={probes}
                watts={wattsOf(family, job)}
                colours={coloursOf(job)}
                known={isSet ? nothingRead : known}
                temperature={(celsius) => valueText(celsius, 'temperature', system)}
                label={pictureWords(words, probes, undefined, picture.lifted, picture)}
                onTerminal={touch}
                onControl={turn}
              />
            )}
          </CloserPicture>
        </div>
        <div className="order-3 min-w-0 border-t-2 border-rule pt-2 lg:order-none lg:col-start-1">
          <SettingBar setting={setting} onSet={setSetting} system={system} />
          <div className="mt-2 flex flex-wrap gap-2">
            <button
              type="button"
              className="button"
              aria-pressed={setting.good ?? false}
              onClick={() => setSetting({ ...setting, good: !setting.good })}
            >
              {setting.good ? 'Drawn as a good unit' : 'Drawn with the leading suspect'}
            </button>
            {picture.lifted.length > 0 && (
              <button
                type="button"
                className="button"
                onClick={() => {
                  setProbes((before) => before.filter((each) => !freeEndOf(each)));
                  setSetting({ ...setting, apart: [] });
                }}
              >
                Every wire on its screw
              </button>
            )}
            {isSet && (
              <button type="button" className="button" onClick={() => setSetting(asItIs)}>
                Back to how it stands
              </button>
            )}
          </div>
        </div>
        <div className="order-2 min-w-0 lg:order-none lg:col-start-2 lg:row-span-2 lg:row-start-1">
          <ProbePanel
            key={probes.join(' ')}
            job={job}
            state={answer?.state}
            probes={probes}
            setting={setting}
            answer={target && found?.probe}
            ranking={answer?.answer.suspects.map((each) => each.repair) ?? []}
            system={system}
            onEnter={onEnter}
          />
          {picture.suspected.length > 0 && (
            <>
              <h3 className="mt-4 font-semibold">What each suspect would have broken</h3>
              <ol className="list-inside list-decimal text-small">
                {picture.suspected.map((each) => (
                  <li key={each.fault} className="border-b border-hair py-1">
                    {words.suspect(each.repair)}, {words.fault(each.fault)}:{' '}
                    <strong className="font-semibold">{percent(each.probability)} %</strong>
                  </li>
                ))}
              </ol>
            </>
          )}
        </div>
      </div>
      <StateTables
        picture={picture}
        known={known}
        probes={probes}
        onTouch={touch}
        system={system}
      />
    </Dialog>
  );
}

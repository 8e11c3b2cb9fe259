'use client';

import { useState } from 'react';
import type { BenchAnswer, PictureSetting } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { pictureWords } from '@/features/bench/picture-words';
import { useFamily, useWords } from '@/features/record/family-context';
import type { NewEntry } from '@/features/record/use-job-record';
import { percent } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { freeEndOf, WiringPicture } from '@/ui/wiring-picture';
import { coloursOf, wattsOf } from './picture-facts';
import { ProbePanel } from './probe-panel';
import { SettingBar } from './setting-bar';
import { TerminalTable } from './terminal-table';
import { usePicture } from './use-picture';

const asItIs: PictureSetting = {};

/** The wiring picture as an instrument: set it, see what is live and where current runs, touch any two terminals. */
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
  onEnter(entry: NewEntry): void;
}) {
  const family = useFamily();
  const words = useWords();
  const [setting, setSetting] = useState<PictureSetting>(asItIs);
  const [probes, setProbes] = useState<readonly string[]>(touched ? [touched] : []);
  const found = usePicture(job, setting, probes);
  const picture = found?.picture ?? answer?.picture;
  if (!picture) return null;

  const touch = (terminal: string) =>
    setProbes((before) => {
      if (before.includes(terminal)) return before.filter((each) => each !== terminal);
      return before.length === 2 ? [terminal] : [...before, terminal];
    });
  const isSet = setting !== asItIs;

  return (
    <Dialog title="Wiring picture" isOpen isWide onClose={onClose}>
      <div className="grid gap-x-4 gap-y-2 lg:grid-cols-[minmax(0,1fr)_320px] lg:grid-rows-[auto_1fr]">
        <div className="min-w-0">
          <div
            className="overflow-x-auto"
            tabIndex={0}
            role="group"
            aria-label="Wiring picture, scrolls sideways"
          >
            <div className="min-w-[720px] lg:h-[min(54dvh,470px)] lg:min-w-0">
              <WiringPicture
                plan={family}
                picture={picture}
                lifted={picture.lifted}
                probes={probes}
                watts={wattsOf(family, job)}
                colours={coloursOf(job)}
                temperature={(celsius) => valueText(celsius, 'temperature', system)}
                label={pictureWords(words, probes, undefined, picture.lifted, picture)}
                onTerminal={touch}
              />
            </div>
          </div>
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
            answer={probes.length === 2 ? found?.probe : undefined}
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
      <details className="mt-4">
        <summary className="link min-h-11 cursor-pointer py-2.5">Terminals as a table</summary>
        <div className="overflow-x-auto">
          <TerminalTable picture={picture} probes={probes} onTouch={touch} system={system} />
        </div>
      </details>
    </Dialog>
  );
}

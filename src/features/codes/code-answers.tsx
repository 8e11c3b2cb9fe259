'use client';

import { useState } from 'react';
import type { FamilyCodes } from '@/core/appliances';
import { readLightPattern, type CodePack } from '@/core/codes';
import type { JobFile } from '@/core/job-file';
import type { NewEntry } from '@/features/record/use-job-record';
import { capital } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { LightCounter } from './light-counter';
import { useCodePacks, usualPack } from './use-code-packs';

type Code = CodePack['codes'][number];

/** What the control shows, one tap each, from the pack of its make; a light may be tapped along with. */
export function CodeAnswers({
  job,
  codes,
  disabledReason,
  onAnswer,
}: {
  job: JobFile;
  codes: FamilyCodes;
  disabledReason?: string;
  onAnswer(entry: NewEntry): void;
}) {
  const packs = useCodePacks(codes);
  const [chosen, setChosen] = useState<string>();
  const [isCounting, setIsCounting] = useState(false);
  const pack = packs.find(({ id }) => id === chosen) ?? usualPack(packs, job);
  const isLight = pack.shownBy === 'light';
  const canCount = pack.codes.some(
    ({ pattern }) => pattern !== undefined && readLightPattern(pattern).kind === 'blinks',
  );
  const enter = ({ code, shows, saw }: Code) =>
    onAnswer({
      kind: 'code',
      code,
      ...(shows === undefined ? {} : { display: shows }),
      // What came with the program is what is meant where no pack is named.
      ...(pack === codes.pack ? {} : { pack: pack.id }),
      ...(saw === undefined ? {} : { saw }),
    });
  const hasNone = pack.codes.some(({ saw }) => saw === codes.none);
  return (
    <div className="max-h-[55dvh] overflow-y-auto p-4 low:max-h-none short:max-h-none lg:max-h-[48dvh]">
      {packs.length > 1 && (
        <label className="mb-2 block text-small font-medium">
          By the list of
          <select
            className="field mt-1"
            value={pack.id}
            onChange={(event) => setChosen(event.target.value)}
          >
            {packs.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
      )}
      {isLight && canCount && (
        <button
          type="button"
          className="button button-act mb-2 min-h-14 w-full text-lead"
          aria-disabled={disabledReason !== undefined}
          onClick={() => setIsCounting(true)}
        >
          Tap along with the light
        </button>
      )}
      <div className="grid grid-cols-2 gap-2" role="group" aria-label="What you found">
        {pack.codes.map((each) => (
          <button
            key={each.code}
            type="button"
            className="button min-h-14 border-2 border-act px-2 font-semibold text-act aria-disabled:border-edge aria-disabled:text-ink-2"
            aria-disabled={disabledReason !== undefined}
            onClick={() => enter(each)}
          >
            {capital(each.shows ?? each.code)}
          </button>
        ))}
        {!hasNone && (
          <button
            type="button"
            className="button min-h-14 border-2 border-act px-2 font-semibold text-act aria-disabled:border-edge aria-disabled:text-ink-2"
            aria-disabled={disabledReason !== undefined}
            onClick={() => enter({ code: 'none', shows: 'none shown', saw: codes.none })}
          >
            None shown
          </button>
        )}
      </div>
      <Dialog title="Light pattern" isOpen={isCounting} onClose={() => setIsCounting(false)}>
        <LightCounter
          pack={pack}
          onFound={(code) => {
            setIsCounting(false);
            enter(code);
          }}
        />
      </Dialog>
    </div>
  );
}

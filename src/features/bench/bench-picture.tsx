'use client';

import { memo, useMemo } from 'react';
import type { BenchAnswer } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { knownCelsiusOf } from '@/core/temperatures';
import { valueText, type UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import { UnitPicture } from '@/ui/unit-picture';
import { coloursOf, wattsOf } from '../picture/picture-facts';
import { partOfRepair, pictureWords } from './picture-words';

/** The wiring picture beside the check: where to touch now. */
export const BenchPicture = memo(function BenchPicture({
  job,
  answer,
  probes,
  clampOn,
  crop,
  system,
  onTerminal,
}: {
  job: JobFile;
  answer: BenchAnswer;
  probes: readonly string[];
  clampOn: string | undefined;
  crop: boolean;
  system: UnitSystem;
  onTerminal?: (terminal: string) => void;
}) {
  const family = useFamily();
  const words = useWords();
  const known = useMemo(() => knownCelsiusOf(job, family), [job, family]);
  const [leading] = answer.answer.suspects;
  return (
    <UnitPicture
      plan={family}
      picture={answer.picture}
      lifted={answer.state.lifted}
      probes={probes}
      clampOn={clampOn}
      watts={wattsOf(family, job)}
      colours={coloursOf(job)}
      suspectedPart={partOfRepair(family, leading?.repair, leading?.probability)}
      known={known}
      temperature={(celsius) => valueText(celsius, 'temperature', system)}
      crop={crop}
      label={pictureWords(words, probes, clampOn, answer.state.lifted, answer.picture)}
      onTerminal={onTerminal}
      isGlance
    />
  );
});

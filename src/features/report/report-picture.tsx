import { familyOfJob } from '@/core/appliances';
import { pictureOf, type AnsweredDiagnosis } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { coloursOf, wattsOf } from '@/features/picture/picture-facts';
import { UnitPicture } from '@/ui/unit-picture';

/** The unit as wired, small and dead, with the part that failed marked; nothing where the fault is no part of it. */
export function ReportPicture({
  job,
  open,
  repair,
}: {
  job: JobFile;
  open: AnsweredDiagnosis;
  repair: string | undefined;
}) {
  const family = familyOfJob(job);
  const found = repair === undefined ? undefined : family.repairs[repair];
  if (!found?.drawnPart) return null;
  const { verdict } = open.state;
  const picture = pictureOf(open, { controls: { power: 'off' }, good: true, apart: [] });
  return (
    <figure className="w-[190px] shrink-0 self-start sm:w-[230px] print:w-[190px]">
      <UnitPicture
        plan={family}
        picture={{ ...picture, suspected: [] }}
        lifted={[]}
        probes={[]}
        watts={wattsOf(family, job)}
        colours={coloursOf(job)}
        suspectedPart={found.drawnPart}
        isFailed={verdict !== undefined}
        label={`${family.drawing.title}: ${found.suspect.toLowerCase()} crossed out`}
      />
      <figcaption className="text-small leading-tight text-ink-2">
        Crossed out: {verdict ? 'failed' : 'suspected'}.
      </figcaption>
    </figure>
  );
}

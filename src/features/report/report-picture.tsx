import { familyOfJob } from '@/core/appliances';
import type { PictureState } from '@/core/job-diagnosis';
import type { JobFile } from '@/core/job-file';
import { coloursOf, wattsOf } from '@/features/picture/picture-facts';
import { UnitPicture } from '@/ui/unit-picture';

/** The unit as wired, small and dead, with the part that failed marked; nothing where the fault is no part of it. */
export function ReportPicture({
  job,
  picture,
  isFailed,
  repair,
}: {
  job: JobFile;
  picture: PictureState;
  /** True once there was a verdict, repaired since or not; before it a part is suspected only. */
  isFailed: boolean;
  repair: string | undefined;
}) {
  const family = familyOfJob(job);
  const found = repair === undefined ? undefined : family.repairs[repair];
  if (!found?.drawnPart) return null;
  return (
    <figure className="w-[190px] shrink-0 self-start sm:w-[230px] print:w-[190px]">
      <UnitPicture
        plan={family}
        picture={picture}
        lifted={[]}
        probes={[]}
        watts={wattsOf(family, job)}
        colours={coloursOf(job)}
        suspectedPart={found.drawnPart}
        isFailed={isFailed}
        label={`${family.drawing.title}: ${found.suspect.toLowerCase()} crossed out`}
      />
      <figcaption className="text-small leading-tight text-ink-2">
        Crossed out: {isFailed ? 'failed' : 'suspected'}.
      </figcaption>
    </figure>
  );
}

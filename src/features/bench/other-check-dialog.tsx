'use client';

import type { TechnicianLimits } from '@/core/appliances';
import type { JobFile } from '@/core/job-file';
import { useFamily, useWords } from '@/features/record/family-context';
import { capital } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { ElectricitySign } from '@/ui/signs';

/** Every check of the family, by where it is done. Any of them, in any order. */
export function OtherCheckDialog({
  job,
  isOpen,
  onClose,
  onChoose,
  limits,
  better,
}: {
  job: Pick<JobFile, 'unit' | 'site'>;
  isOpen: boolean;
  onClose(): void;
  onChoose(check: string): void;
  limits: TechnicianLimits;
  better: readonly { readonly check: string; readonly minutes: number }[];
}) {
  const family = useFamily();
  const words = useWords();
  const plate = family.plateOf(job);
  const groups = [undefined, ...Object.keys(family.words.covers)].map((cover) => ({
    title: cover === undefined ? 'No cover off' : capital(words.cover(cover)),
    cover,
  }));
  const noteOf = (check: string) => {
    const also = family.checks[check]!.covers[1];
    return also ? `also ${words.cover(also)}` : '';
  };
  const isOffered = (check: string) =>
    family.appliesTo(check, plate) && family.check(check).kind !== 'series';
  const choose = (check: string) => {
    onChoose(check);
    onClose();
  };
  return (
    <Dialog title="Other check" isOpen={isOpen} onClose={onClose}>
      {better.length > 0 && (
        <section className="mb-4">
          <h3 className="font-semibold">Next best</h3>
          {better.map(({ check, minutes }) => (
            <CheckButton
              key={check}
              check={check}
              note={`about ${minutes} min`}
              limits={limits}
              onChoose={choose}
            />
          ))}
        </section>
      )}
      {groups.map(({ title, cover }) => (
        <section key={title} className="mb-4">
          <h3 className="font-semibold">{title}</h3>
          {family.checkIds
            .filter((each) => family.checks[each]!.covers[0] === cover && isOffered(each))
            .map((each) => (
              <CheckButton
                key={each}
                check={each}
                note={noteOf(each)}
                limits={limits}
                onChoose={choose}
              />
            ))}
        </section>
      ))}
    </Dialog>
  );
}

function CheckButton({
  check,
  note,
  limits,
  onChoose,
}: {
  check: string;
  note: string;
  limits: TechnicianLimits;
  onChoose(check: string): void;
}) {
  const family = useFamily();
  const { caution, label, instrument } = family.checks[check]!;
  const isLive = caution === 'live';
  const allowed = family.isAllowed(check, limits);
  return (
    <button
      type="button"
      disabled={!allowed}
      className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-hair px-1 text-left active:bg-well disabled:text-ink-2"
      onClick={() => onChoose(check)}
    >
      <span className="flex items-center gap-2">
        {isLive && <ElectricitySign size={20} label="live" />}
        {label}
      </span>
      <span className="text-small text-ink-2">
        {allowed
          ? family.check(check).kind === 'observation'
            ? note || 'look'
            : note
          : isLive && !limits.liveWork
            ? 'needs live-work permission'
            : limits.gasWork === false && family.isAllowed(check, { ...limits, gasWork: true })
              ? 'needs gas-work permission'
              : `needs a ${(instrument ?? 'meter').replaceAll('-', ' ')}`}
      </span>
    </button>
  );
}

'use client';

import {
  checkIds,
  checkNames,
  checkWords,
  isAllowed,
  type CheckId,
  type Cover,
} from '@/core/appliances/electric-storage-two-element';
import { capital, coverName } from '@/features/record/words';
import { Dialog } from '@/ui/dialog';
import { ElectricitySign } from '@/ui/signs';

const groups: readonly { readonly title: string; readonly cover: Cover | undefined }[] = [
  { title: 'No cover off', cover: undefined },
  { title: 'Upper cover', cover: 'upper' },
  { title: 'Lower cover', cover: 'lower' },
  { title: 'Junction box', cover: 'junction-box' },
];

/** Every check of the family, by where it is done. Any of them, in any order. */
export function OtherCheckDialog({
  isOpen,
  onClose,
  onChoose,
  liveWork,
  better,
}: {
  isOpen: boolean;
  onClose(): void;
  onChoose(check: CheckId): void;
  liveWork: boolean;
  better: readonly { readonly check: CheckId; readonly minutes: number }[];
}) {
  const choose = (check: CheckId) => {
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
              liveWork={liveWork}
              onChoose={choose}
            />
          ))}
        </section>
      )}
      {groups.map(({ title, cover }) => (
        <section key={title} className="mb-4">
          <h3 className="font-semibold">{title}</h3>
          {checkIds
            .filter((each) => checkWords[each].covers[0] === cover)
            .map((each) => (
              <CheckButton
                key={each}
                check={each}
                note={noteOf(each)}
                liveWork={liveWork}
                onChoose={choose}
              />
            ))}
        </section>
      ))}
    </Dialog>
  );
}

const noteOf = (check: CheckId): string => {
  const also = checkWords[check].covers[1];
  return also ? `also ${capital(coverName(also)).toLowerCase()}` : '';
};

function CheckButton({
  check,
  note,
  liveWork,
  onChoose,
}: {
  check: CheckId;
  note: string;
  liveWork: boolean;
  onChoose(check: CheckId): void;
}) {
  const isLive = checkWords[check].caution === 'live';
  const allowed = isAllowed(check, { liveWork });
  return (
    <button
      type="button"
      disabled={!allowed}
      className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-hair px-1 text-left active:bg-well disabled:text-ink-2"
      onClick={() => onChoose(check)}
    >
      <span className="flex items-center gap-2">
        {isLive && <ElectricitySign size={20} label="live" />}
        {checkWords[check].label}
      </span>
      <span className="text-small text-ink-2">
        {allowed
          ? checkNames[check].kind === 'observation'
            ? note || 'look'
            : note
          : 'needs live-work permission'}
      </span>
    </button>
  );
}

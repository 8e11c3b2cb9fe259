import type { ReactNode } from 'react';
import { capital } from '@/features/record/words';
import { chosenClass } from '@/ui/choice';

export function Column({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="border-b border-hair px-5 py-4 lg:border-r lg:border-b-0 lg:last:border-r-0">
      <h2 className="mb-2 border-b-[1.5px] border-rule pb-1 text-lead font-semibold">{title}</h2>
      {children}
    </section>
  );
}

export function Field({
  id,
  label,
  problem,
  optional,
  children,
}: {
  id: string;
  label: string;
  problem?: string;
  optional?: boolean;
  children: ReactNode;
}) {
  return (
    <div className="mb-2">
      <label htmlFor={`field-${id}`} className="text-small font-medium">
        {label}
        {optional && <span className="font-normal text-ink-2">, if known</span>}
      </label>
      {children}
      {problem && (
        <p id={`problem-${id}`} role="alert" className="mt-0.5 text-small font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}

export interface Option {
  readonly value: string;
  readonly label: string;
}

export function ChoiceGrid({
  id,
  label,
  options,
  chosen,
  problem,
  onChoose,
}: {
  id: string;
  label: string;
  options: readonly Option[];
  chosen: string | undefined;
  problem?: string;
  onChoose(value: string): void;
}) {
  return (
    <div role="group" aria-label={label} className="mb-3">
      <div className="grid grid-cols-2 gap-2">
        {options.map(({ value, label: text }, index) => (
          <button
            key={value}
            id={index === 0 ? `field-${id}` : undefined}
            type="button"
            aria-pressed={chosen === value}
            className={`button min-h-12 ${chosenClass}`}
            onClick={() => onChoose(value)}
          >
            {capital(text)}
          </button>
        ))}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-small font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}

export function ChoiceRow({
  label,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  options: readonly Option[];
  chosen: string | undefined;
  onChoose(value: string): void;
}) {
  return (
    <div role="group" aria-label={label} className="mb-2.5">
      <p className="mb-1 text-small font-medium">{label}</p>
      <div className={options.length > 4 ? 'grid grid-cols-2 gap-2' : 'flex gap-2'}>
        {options.map(({ value, label: text }) => (
          <button
            key={value}
            type="button"
            aria-pressed={chosen === value}
            className={`button flex-1 ${chosenClass}`}
            onClick={() => onChoose(value)}
          >
            {text}
          </button>
        ))}
      </div>
    </div>
  );
}

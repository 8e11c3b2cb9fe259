import { askedFields, chosenOf, textOf, type ApplianceFamily } from '@/core/appliances';
import type { UnitSystem } from '@/core/quantities';
import type { CallDraft, Problems } from './call-draft';
import { ChoiceRow, Field } from './call-fields';

/** The family's own fields of plate and site: those that are always asked, or those that stand aside. */
export function PlateInputs({
  family: { plateFields },
  draft,
  set,
  problems,
  system,
  isAside,
}: {
  family: ApplianceFamily;
  draft: CallDraft;
  set(change: Partial<CallDraft>): void;
  problems: Problems;
  system: UnitSystem;
  isAside: boolean;
}) {
  const asked = askedFields(plateFields, draft.plate).filter(
    (each) => (each.isAside ?? false) === isAside,
  );
  const put = (key: string, value: string | undefined) =>
    set({ plate: { ...draft.plate, [key]: value } });
  const numbers = asked.filter((each) => each.kind === 'number');
  return (
    <>
      {asked.map((field) =>
        field.kind === 'choice' ? (
          <ChoiceRow
            key={field.key}
            label={field.label}
            options={field.choices.map(({ id, label }) => ({ value: id, label }))}
            chosen={chosenOf(field, draft.plate)?.id}
            onChoose={(id) => put(field.key, id)}
          />
        ) : null,
      )}
      <div className={`grid gap-2 ${numbers.length > 2 ? 'grid-cols-3' : 'grid-cols-2'}`}>
        {numbers.map(({ key, label, labelUs, isOptional }) => (
          <Field
            key={key}
            id={key}
            label={system === 'us' ? (labelUs ?? label) : label}
            problem={problems[key]}
            optional={isOptional}
          >
            <input
              id={`field-${key}`}
              className="field"
              inputMode="decimal"
              placeholder={textOf(plateFields, { ...draft.plate, [key]: '' }, key)}
              value={draft.plate[key] ?? ''}
              maxLength={20}
              aria-invalid={problems[key] !== undefined}
              aria-describedby={problems[key] ? `problem-${key}` : undefined}
              onChange={(event) => put(key, event.target.value)}
            />
          </Field>
        ))}
      </div>
    </>
  );
}

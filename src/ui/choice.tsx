/** How a button looks while it is the chosen one. */
export const chosenClass =
  'aria-pressed:border-2 aria-pressed:border-act aria-pressed:bg-act-wash aria-pressed:font-semibold aria-pressed:text-act';

export interface ChoiceOption {
  readonly label: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

/** One or several of a few, each a touch target, with the reason why it is asked. */
export function Choice({
  label,
  why,
  options,
}: {
  label: string;
  why: string;
  options: readonly ChoiceOption[];
}) {
  return (
    <div role="group" aria-label={label} className="mb-4">
      <p className="font-semibold">{label}</p>
      <p className="mb-1 text-small text-ink-2">{why}</p>
      <div className="flex flex-wrap gap-2">
        {options.map((each) => (
          <button
            key={each.label}
            type="button"
            aria-pressed={each.isChosen}
            className={`button flex-1 whitespace-nowrap ${chosenClass}`}
            onClick={each.onChoose}
          >
            {each.label}
          </button>
        ))}
      </div>
    </div>
  );
}

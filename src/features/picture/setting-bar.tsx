'use client';

import type { PictureSetting } from '@/core/job-diagnosis';
import { valueText, type UnitSystem } from '@/core/quantities';
import { useFamily } from '@/features/record/family-context';

const asFound = 'as-found';

/** What the picture is set to: the family's controls, and what is supposed beside them. It changes the picture and not the logbook. */
export function SettingBar({
  setting,
  onSet,
  system,
}: {
  setting: PictureSetting;
  onSet(setting: PictureSetting): void;
  system: UnitSystem;
}) {
  const { pictureControls, pictureSliders } = useFamily();
  const { controls = {}, known = {} } = setting;
  const put = (key: string, to: string) => {
    const { [key]: _, ...others } = controls;
    onSet({ ...setting, controls: to === asFound ? others : { ...others, [key]: to } });
  };
  return (
    <div className="grid gap-x-4 gap-y-2 sm:grid-cols-2 lg:grid-cols-4">
      {pictureControls.map(({ key, label, positions }) => (
        <Switch
          key={key}
          label={label}
          value={controls[key] ?? asFound}
          options={[
            [asFound, 'as it is'],
            ...positions.map((each) => [each.id, each.label] as const),
          ]}
          onChoose={(to) => put(key, to)}
        />
      ))}
      {pictureSliders.map(({ key, label, name, quantity, range: [least, most] }) => {
        const text =
          known[key] === undefined ? 'as it is' : valueText(known[key], quantity, system);
        return (
          <label key={key} className="block text-small">
            <span className="flex justify-between gap-2 font-medium whitespace-nowrap">
              {label}
              <output className="font-semibold text-heat">{text}</output>
            </span>
            <input
              type="range"
              className="h-11 w-full accent-heat"
              min={least}
              max={most}
              step={1}
              value={known[key] ?? least}
              aria-label={name}
              aria-valuetext={text}
              onChange={(event) =>
                onSet({ ...setting, known: { ...known, [key]: Number(event.target.value) } })
              }
            />
          </label>
        );
      })}
    </div>
  );
}

function Switch<Value extends string>({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: Value;
  options: readonly (readonly [Value, string])[];
  onChoose(value: Value): void;
}) {
  return (
    <div role="group" aria-label={label}>
      <p className="text-small font-medium">{label}</p>
      <div className="flex">
        {options.map(([each, text]) => (
          <button
            key={each}
            type="button"
            aria-pressed={value === each}
            className="button min-w-0 flex-1 border-r-0 px-1 text-small last:border-r aria-pressed:bg-ink aria-pressed:font-semibold aria-pressed:text-sheet"
            onClick={() => onChoose(each)}
          >
            {text}
          </button>
        ))}
      </div>
    </div>
  );
}

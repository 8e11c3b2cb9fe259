'use client';

import type { PictureSetting } from '@/core/job-diagnosis';
import { valueText, type UnitSystem } from '@/core/quantities';
import { useFamily } from '@/features/record/family-context';

const coldCelsius = 15;
const hottestCelsius = 90;

/** What the picture is set to: power, limit, dials and water. It changes the picture and not the logbook. */
export function SettingBar({
  setting,
  onSet,
  system,
}: {
  setting: PictureSetting;
  onSet(setting: PictureSetting): void;
  system: UnitSystem;
}) {
  const { thermostats } = useFamily();
  const { power, limit, dials = {}, waterCelsius = {} } = setting;
  return (
    <div className="grid gap-x-4 gap-y-2 sm:grid-cols-2 lg:grid-cols-4">
      <Switch
        label="Breaker"
        value={power ?? 'found'}
        options={[
          ['found', 'as it is'],
          ['off', 'off'],
          ['on', 'on'],
        ]}
        onChoose={(to) => onSet({ ...setting, power: to === 'found' ? undefined : to })}
      />
      <Switch
        label="Limit"
        value={limit ?? 'found'}
        options={[
          ['found', 'as it is'],
          ['closed', 'reset'],
          ['tripped', 'tripped'],
        ]}
        onChoose={(to) => onSet({ ...setting, limit: to === 'found' ? undefined : to })}
      />
      {thermostats.map(({ id, label }) => (
        <Switch
          key={id}
          label={label}
          value={dials[id] ?? 'found'}
          options={[
            ['found', 'as found'],
            ['high', 'high'],
            ['low', 'low'],
          ]}
          onChoose={(to) => onSet({ ...setting, dials: { ...dials, [id]: to } })}
        />
      ))}
      {thermostats.map(({ id, label }) => (
        <label key={id} className="block text-small">
          <span className="flex justify-between gap-2 font-medium whitespace-nowrap">
            {thermostats.length > 1
              ? `Water, ${label.replace(' dial', '').toLowerCase()}`
              : 'Water'}
            <output className="font-semibold text-heat">
              {waterCelsius[id] === undefined
                ? 'as it is'
                : valueText(waterCelsius[id], 'temperature', system)}
            </output>
          </span>
          <input
            type="range"
            className="h-11 w-full accent-heat"
            min={coldCelsius}
            max={hottestCelsius}
            step={1}
            value={waterCelsius[id] ?? coldCelsius}
            aria-label={`Water at the ${label.replace(' dial', '').toLowerCase()} thermostat`}
            aria-valuetext={
              waterCelsius[id] === undefined
                ? 'as it is'
                : valueText(waterCelsius[id], 'temperature', system)
            }
            onChange={(event) =>
              onSet({
                ...setting,
                waterCelsius: { ...waterCelsius, [id]: Number(event.target.value) },
              })
            }
          />
        </label>
      ))}
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

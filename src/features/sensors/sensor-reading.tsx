'use client';

import {
  parseReading,
  shownUnit,
  valueText,
  type Quantity,
  type UnitSystem,
} from '@/core/quantities';
import {
  driftOfTwo,
  expectedOhm,
  judgeSensor,
  leastApartKelvin,
  type SensorPoint,
  type SensorType,
  type SensorVerdict,
} from '@/core/sensors';
import { useDraft } from '@/features/record/use-draft';
import { driftWords, verdictWords } from './sensor-words';

/** Temperature and ohms at one place, once and once more where it is hotter: each with what it says as it is typed. */
export function SensorReading({ type, system }: { type: SensorType; system: UnitSystem }) {
  const first = usePoint('first', type, system);
  const second = usePoint('second', type, system);
  return (
    <section aria-label="Reading" className="min-w-0">
      <p className="max-w-prose">
        Plug off, the ohmmeter on the sensor; a contact thermometer beside it for a minute. On bare
        copper an infrared reading is wrong by far.
      </p>
      <PointFields title="As it is" point={first} type={type} system={system} />
      <PointFields title="Once more, hotter or colder" point={second} type={type} system={system} />
      <p
        role="status"
        aria-label="From both"
        className="mt-3 border-l-4 border-rule pl-3 text-lead"
      >
        {bothWords(type, first.point, second.point, system)}
      </p>
    </section>
  );
}

function bothWords(
  { curve }: SensorType,
  one: SensorPoint | undefined,
  other: SensorPoint | undefined,
  system: UnitSystem,
): string {
  if (!one || !other)
    return 'Two temperatures tell a sensor that drifted from one of another kind.';
  if (Math.abs(one.celsius - other.celsius) < leastApartKelvin) {
    return `The two stand too near to tell: ${valueText(leastApartKelvin, 'temperature-difference', system)} apart at least.`;
  }
  return driftWords(driftOfTwo(curve, one, other), system);
}

interface Field {
  readonly text: string;
  setText(text: string): void;
  /** Infinity where the meter was over range. */
  readonly value: number | undefined;
  readonly problem: string | undefined;
}

interface Point {
  readonly temperature: Field;
  readonly ohms: Field;
  /** What the ohms are at this temperature, once both are read. */
  readonly verdict: SensorVerdict | undefined;
  /** Both, where the sensor is neither open nor short. */
  readonly point: SensorPoint | undefined;
}

function usePoint(name: string, type: SensorType, system: UnitSystem): Point {
  const read = useField(`sensor ${name} temperature`, 'temperature', system);
  const ohms = useField(`sensor ${name} ohms`, 'resistance', system);
  const [least, most] = type.range;
  const isOutside = read.value !== undefined && !(read.value >= least && read.value <= most);
  const temperature = isOutside
    ? {
        ...read,
        value: undefined,
        problem: `This kind goes from ${valueText(least, 'temperature', system)} to ${valueText(most, 'temperature', system)}.`,
      }
    : read;
  const [celsius, ohm] = [temperature.value, ohms.value];
  const verdict =
    celsius === undefined || ohm === undefined ? undefined : judgeSensor(type, ohm, celsius);
  const isWhole = verdict?.kind === 'right' || verdict?.kind === 'drifted';
  return {
    temperature,
    ohms,
    verdict,
    point: isWhole ? { ohm: ohm!, celsius: celsius! } : undefined,
  };
}

function useField(key: string, quantity: Quantity, system: UnitSystem): Field {
  const [text, setText] = useDraft(key);
  const read = (value: number | undefined, problem?: string) => ({ text, setText, value, problem });
  if (text.trim() === '') return read(undefined);
  const parsed = parseReading(text, { quantity, system, loneOneIsDoubtful: true });
  if (parsed.kind === 'over-range') return read(Infinity);
  if (parsed.kind !== 'value') {
    return read(
      undefined,
      parsed.kind === 'problem' ? parsed.message : `${parsed.question} ${parsed.instead}`,
    );
  }
  return read(parsed.value);
}

function PointFields({
  title,
  point: { temperature, ohms, verdict },
  type,
  system,
}: {
  title: string;
  point: Point;
  type: SensorType;
  system: UnitSystem;
}) {
  const expected =
    temperature.value === undefined ? undefined : expectedOhm(type.curve, temperature.value);
  const shown = (ohm: number) => valueText(ohm, 'resistance', system);
  return (
    <fieldset className="mt-3 border-t-2 border-rule pt-2">
      <legend className="sr-only">{title}</legend>
      <h2 className="text-lead font-semibold" aria-hidden="true">
        {title}
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <NumberField
          label="Temperature beside it"
          symbol={shownUnit('temperature', system).symbol}
          field={temperature}
        />
        <NumberField label="Ohms read" symbol="Ω" field={ohms} />
      </div>
      <p className="mt-2">
        {expected ? (
          <>
            Right would be{' '}
            <strong className="text-lead font-semibold">{shown(expected.ohm)}</strong>, within{' '}
            {shown(expected.from)} to {shown(expected.to)}
          </>
        ) : (
          <span className="text-ink-2">The temperature says what its ohms should be.</span>
        )}
      </p>
      <p role="status" className="min-h-7 text-lead font-semibold">
        {verdict && verdictWords(verdict, system)}
      </p>
    </fieldset>
  );
}

function NumberField({ label, symbol, field }: { label: string; symbol: string; field: Field }) {
  return (
    <label className="block font-medium">
      {label}
      <span className="sr-only">, in {symbol}</span>
      <span className="mt-1 flex items-center gap-2">
        <input
          className="field text-title font-semibold text-act"
          inputMode="decimal"
          maxLength={20}
          value={field.text}
          aria-invalid={field.problem !== undefined}
          onChange={(event) => field.setText(event.target.value)}
        />
        <span aria-hidden="true" className="w-8">
          {symbol}
        </span>
      </span>
      {field.problem && (
        <span role="alert" className="mt-1 block border-l-4 border-rule pl-3 text-small">
          {field.problem}
        </span>
      )}
    </label>
  );
}

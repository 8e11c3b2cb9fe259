'use client';

import { useState } from 'react';
import { usualPrices, type FirmPrices } from '@/core/replacement';
import { services, type FirmIntervals } from '@/core/service';
import { KeptNote } from '@/features/device/kept-note';
import { PageBar } from '@/ui/page-bar';

const priceLabels = { hour: 'An hour of work', heater: 'A new heater, in place' } as const;

/** How often a firm serves what comes due, and what it asks for: the usual where a field is left empty. */
export function FirmService({
  intervals,
  prices,
}: {
  intervals: FirmIntervals;
  prices: FirmPrices;
}) {
  const asked = services.filter((each) => each.months !== undefined);
  const [months, setMonths] = useState<Readonly<Record<string, string>>>(() =>
    textsOf(intervals as Record<string, number>),
  );
  const [money, setMoney] = useState<Readonly<Record<string, string>>>(() =>
    textsOf({
      ...(prices.hour === undefined ? {} : { hour: prices.hour }),
      ...(prices.heater === undefined ? {} : { heater: prices.heater }),
    }),
  );
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [said, setSaid] = useState<string>();

  const save = async () => {
    setSaid(undefined);
    const wrong: Record<string, string> = {};
    const own = numbersOf(months, wholeNumber, (id, value) => {
      if (!(value >= 1 && value <= 240)) wrong[id] = '1 to 240 whole months.';
    });
    const asks = numbersOf(money, sum, (id, value) => {
      if (!(value >= 0 && value <= 1e6)) {
        wrong[id] = 'A price of nought or more, with nothing between the thousands: 1250.50.';
      }
    });
    setProblems(wrong);
    const [first] = Object.keys(wrong);
    if (first !== undefined) {
      document.getElementById(`service-${first}`)?.focus();
      return;
    }
    try {
      const response = await fetch('/api/firm/service', {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ intervals: own, prices: asks }),
      });
      const answer = (await response.json()) as { message?: string };
      setSaid(
        response.ok
          ? 'Kept. What is due has been worked out anew.'
          : (answer.message ?? 'Not taken.'),
      );
    } catch {
      setSaid('No connection to the server: not kept. What is typed stands here.');
    }
  };

  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar note={<KeptNote />} />
      <main className="mx-auto max-w-2xl px-5 pb-8">
        <h1 className="pt-4 text-title-l font-semibold">Service and prices</h1>
        <p className="mt-1 text-ink-2">
          Empty: the usual. The maker&apos;s instructions and local codes come first.
        </p>
        <h2 className="mt-4 text-lead font-semibold">Every so many months</h2>
        <ul>
          {asked.map(({ id, title, months: usual, note }) => (
            <Field
              key={id}
              {...{ id, title, note }}
              usual={String(usual)}
              unit="months"
              text={months[id] ?? ''}
              problem={problems[id]}
              onChange={(text) => setMonths({ ...months, [id]: text })}
            />
          ))}
        </ul>
        <h2 className="mt-4 text-lead font-semibold">Prices, in your money</h2>
        <ul>
          {(['hour', 'heater'] as const).map((id) => (
            <Field
              key={id}
              id={id}
              title={priceLabels[id]}
              usual={String(usualPrices[id])}
              unit=""
              text={money[id] ?? ''}
              problem={problems[id]}
              onChange={(text) => setMoney({ ...money, [id]: text })}
            />
          ))}
        </ul>
        <button
          type="button"
          className="button button-act mt-4 min-h-14 w-full text-lead"
          onClick={() => void save()}
        >
          Keep
        </button>
        {said && (
          <p role="status" className="mt-2 border-l-4 border-rule pl-3 font-medium">
            {said}
          </p>
        )}
      </main>
    </div>
  );
}

function Field({
  id,
  title,
  note,
  usual,
  unit,
  text,
  problem,
  onChange,
}: {
  id: string;
  title: string;
  note?: string;
  usual: string;
  unit: string;
  text: string;
  problem: string | undefined;
  onChange(text: string): void;
}) {
  return (
    <li className="border-b border-hair py-1.5">
      <label className="flex items-center gap-3">
        <span className="min-w-0 flex-1 leading-tight">
          {title}
          {note && <span className="block text-small text-ink-2">{note}</span>}
        </span>
        <input
          id={`service-${id}`}
          className="field w-28 text-right"
          inputMode="decimal"
          placeholder={usual}
          value={text}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : `service-problem-${id}`}
          onChange={(event) => onChange(event.target.value)}
        />
        <span className="w-14 text-small text-ink-2">{unit}</span>
      </label>
      {problem && (
        <p id={`service-problem-${id}`} role="alert" className="font-medium">
          {problem}
        </p>
      )}
    </li>
  );
}

const textsOf = (numbers: Readonly<Record<string, number>>): Record<string, string> =>
  Object.fromEntries(Object.entries(numbers).map(([id, each]) => [id, String(each)]));

const wholeNumber = /^\d+$/;
/** A comma or a point before the hundredths alone: "1,250" may be a thousand or one and a quarter. */
const sum = /^\d+([.,]\d{1,2})?$/;

/** What is typed; an empty field says nothing, and what has not the form is no number. */
function numbersOf(
  texts: Readonly<Record<string, string>>,
  form: RegExp,
  check: (id: string, value: number) => void,
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(texts)
      .filter(([, text]) => text.trim() !== '')
      .map(([id, text]) => {
        const value = form.test(text.trim()) ? Number(text.trim().replace(',', '.')) : NaN;
        check(id, value);
        return [id, value];
      }),
  );
}

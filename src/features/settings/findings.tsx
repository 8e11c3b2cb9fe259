import { clockWords } from '@/core/procedures';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import type { RuleFinding, RulePart } from '@/core/settings';
import { Tick } from '@/ui/marks';
import { WarningSign } from '@/ui/signs';

const order = { broken: 0, unknown: 1, kept: 2 } as const;

/** What the rules say of the sheet as it stands: the broken ones first, each with its reason and where it comes from. */
export function Findings({
  findings,
  system,
}: {
  findings: readonly RuleFinding[];
  system: UnitSystem;
}) {
  const sorted = [...findings].sort((one, other) => order[one.state] - order[other.state]);
  return (
    <section aria-labelledby="rules">
      <h3 id="rules" className="text-title font-semibold">
        Rules
      </h3>
      <ul>
        {sorted.map(({ id, state, title, says, reason, source, otherSchool }) => (
          <li key={id} className="flex gap-3 border-b border-hair py-2">
            <span className="mt-0.5 w-7 shrink-0" aria-hidden="true">
              {state === 'broken' ? (
                <WarningSign size={26} />
              ) : state === 'kept' ? (
                <span className="flex size-6 items-center justify-center">
                  <Tick />
                </span>
              ) : (
                <span className="block text-center text-title leading-none">?</span>
              )}
            </span>
            <div className="min-w-0">
              <p>
                <span className="font-semibold">{title}</span>
                <span className="sr-only">
                  {state === 'broken' ? ', not kept' : state === 'kept' ? ', kept' : ', not known'}
                </span>
                . {says.map((part) => partWords(part, system)).join('')}
              </p>
              <details>
                <summary className="flex min-h-11 cursor-pointer items-center text-small underline underline-offset-4">
                  Why
                </summary>
                <p className="text-small">{reason}</p>
                <p className="text-small text-ink-2">{source}</p>
                {otherSchool && (
                  <p className="mt-1 text-small">
                    <span className="font-medium">The other school, </span>
                    {otherSchool}
                  </p>
                )}
              </details>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function partWords(part: RulePart, system: UnitSystem): string {
  if (typeof part === 'string') return part;
  if ('celsius' in part) return valueText(part.celsius, 'temperature', system);
  if ('seconds' in part) {
    return part.seconds < 60
      ? `${Math.round(part.seconds)} s`
      : clockWords(Math.round(part.seconds));
  }
  if ('litre' in part) return valueText(part.litre, 'volume', system);
  if ('litrePerMinute' in part) return valueText(part.litrePerMinute, 'flow', system);
  if ('pascal' in part) return valueText(part.pascal, 'pressure', system);
  const { number, symbol } = showValue(part.kelvin, 'temperature-difference', system);
  return `${number} ${symbol}`;
}

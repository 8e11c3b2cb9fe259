import { litresAtOutlet, type MixingSession } from '@/core/mixing-valve';
import { valueText, type UnitSystem } from '@/core/quantities';
import { kelvinWords } from '@/features/record/kelvin-words';
import { eighthsWords, lastsWords } from '@/features/record/mixing-words';

/** Every step as it was read: where it stood, four temperatures, what it gained, margin and litres. */
export function StepsTable({
  session: { begun, steps },
  tankLitre,
  system,
}: {
  session: MixingSession;
  tankLitre: number;
  system: UnitSystem;
}) {
  if (!begun || steps.length === 0) return null;
  const celsius = (value: number) => valueText(value, 'temperature', system);
  const signed = (kelvin: number) =>
    `${kelvin < 0 ? '−' : ''}${kelvinWords(Math.abs(kelvin), system)}`;
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Steps of the mixing valve"
    >
      <table className="w-full text-left text-small whitespace-nowrap">
        <caption className="sr-only">Steps of the mixing valve</caption>
        <thead>
          <tr>
            {['valve', 'hot', 'mixed', 'cold', 'tap', 'gain', 'margin', 'lasts for'].map(
              (title) => (
                <th key={title} scope="col" className="pr-3 font-medium">
                  {title}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {steps.map((step, k) => (
            <tr key={step.entry} className="border-t border-hair">
              <th scope="row" className="pr-3 font-medium">
                {eighthsWords(step.eighths)}
              </th>
              <td className="pr-3">{celsius(step.hotCelsius)}</td>
              <td className="pr-3">{celsius(step.mixedCelsius)}</td>
              <td className="pr-3">{celsius(step.coldCelsius)}</td>
              <td className="pr-3 font-semibold">{celsius(step.tapCelsius)}</td>
              <td className="pr-3">
                {k === 0 ? '' : signed(step.tapCelsius - steps[k - 1]!.tapCelsius)}
              </td>
              <td className="pr-3">{signed(begun.limit.celsius - step.tapCelsius)}</td>
              <td className="pr-3">
                {lastsWords(
                  litresAtOutlet(tankLitre, step.hotCelsius, step.coldCelsius, step.tapCelsius),
                  system,
                )}
                {step.reason ? `; past its limit: ${step.reason}` : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

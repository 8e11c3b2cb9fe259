import { valueText, type UnitSystem } from '@/core/quantities';
import { rightKelvin, type SensorLine } from '@/core/sensors';

export function SensorTable({
  lines,
  system,
}: {
  lines: readonly SensorLine[];
  system: UnitSystem;
}) {
  const ohms = (ohm: number) => valueText(ohm, 'resistance', system);
  return (
    <details className="mt-2" open>
      <summary className="flex min-h-11 cursor-pointer items-center font-medium">
        As a table
      </summary>
      <div className="max-h-[320px] overflow-y-auto border-y border-hair" tabIndex={0}>
        <table className="w-full text-left">
          <caption className="sr-only">
            Ohms by temperature, with the band of a thermometer beside it
          </caption>
          <thead className="sticky top-0 bg-sheet text-small">
            <tr>
              <th scope="col">at</th>
              <th scope="col">right</th>
              <th scope="col">within {valueText(rightKelvin, 'temperature-difference', system)}</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ celsius, ohm, from, to }) => (
              <tr key={celsius} className="border-t border-hair">
                <th scope="row" className="py-1 font-medium">
                  {valueText(celsius, 'temperature', system)}
                </th>
                <td>{ohms(ohm)}</td>
                <td className="text-ink-2">
                  {ohms(from)} to {ohms(to)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

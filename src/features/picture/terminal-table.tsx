import type { PictureState } from '@/core/job-diagnosis';
import { valueText, type UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';

const liveWords = { live: 'live', 'fed-back': 'live, fed back', dead: 'dead' } as const;

/** The picture as a table: every terminal with its volts, what is on it, and a button for the probes. */
export function TerminalTable({
  picture,
  probes,
  onTouch,
  system,
}: {
  picture: PictureState;
  probes: readonly string[];
  onTouch(terminal: string): void;
  system: UnitSystem;
}) {
  const { drawing, names } = useFamily();
  const words = useWords();
  return (
    <table className="w-full border-collapse text-small">
      <caption className="sr-only">
        Terminals of the unit in the state that the picture shows
      </caption>
      <thead>
        <tr className="border-b-[1.5px] border-rule text-left text-ink-2">
          <th className="py-1 font-normal">terminal</th>
          <th className="font-normal">to earth</th>
          <th className="font-normal">state</th>
          <th className="font-normal">conductors</th>
          <th className="font-normal">probe</th>
        </tr>
      </thead>
      <tbody>
        {Object.entries(drawing.terminals).map(([id, { name }]) => {
          const { volt, live } = picture.terminals[id]!;
          const wires = Object.keys(names.conductors).filter((each) =>
            names.conductors[each]!.includes(id),
          );
          const at = probes.indexOf(id);
          return (
            <tr key={id} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-semibold">
                {name}
              </th>
              <td>
                {picture.quantity === 'voltage-ac'
                  ? valueText(Math.round(volt), 'voltage-ac', system)
                  : valueText(volt, picture.quantity, system)}
              </td>
              <td>{liveWords[live]}</td>
              <td>
                {wires
                  .map((each) => {
                    const off = picture.lifted.some(
                      (lifted) => lifted.wire === each && lifted.end === id,
                    );
                    const ampere = picture.ampere[each];
                    return `${words.wire(each)}${off ? ', lifted' : ''}${
                      ampere === undefined ? '' : `, ${valueText(ampere, 'current-ac', system)}`
                    }`;
                  })
                  .join('; ')}
              </td>
              <td>
                <button
                  type="button"
                  className="button min-h-11 px-3"
                  aria-pressed={at >= 0}
                  aria-label={`Probe on ${name}`}
                  onClick={() => onTouch(id)}
                >
                  {at < 0 ? 'touch' : 'AB'[at]}
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

import type { ReactNode } from 'react';
import type { PictureState } from '@/core/job-diagnosis';
import { valueText, type UnitSystem } from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';

const liveWords = { live: 'live', 'fed-back': 'live, fed back', dead: 'dead' } as const;
const pathWords = { flows: 'flows', stands: 'stands still', empty: 'nothing in it' } as const;

interface StateTablesProps {
  readonly picture: PictureState;
  readonly probes: readonly string[];
  /** What was last read at named points, in °C. */
  readonly known: Readonly<Record<string, number>>;
  onTouch(id: string): void;
  readonly system: UnitSystem;
}

/** The picture as tables: terminals with their volts, points with what stands there, and what is open, lit or flowing. */
export function StateTables(props: StateTablesProps) {
  const { drawing } = useFamily();
  const { picture } = props;
  const hasParts = (drawing.symbols ?? []).some(({ id }) => picture.symbols[id]);
  return (
    <div className="mt-2">
      <Folded title="Terminals as a table">
        <TerminalTable {...props} />
      </Folded>
      {drawing.points && (
        <Folded title="Points as a table">
          <PointTable {...props} />
        </Folded>
      )}
      {hasParts && (
        <Folded title="Valves, flames and ways as a table">
          <PartTable picture={picture} />
        </Folded>
      )}
    </div>
  );
}

function Folded({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details>
      <summary className="link min-h-11 cursor-pointer py-2.5">{title}</summary>
      <div className="overflow-x-auto">{children}</div>
    </details>
  );
}

function PointTable({ picture, probes, known, onTouch, system }: StateTablesProps) {
  const { drawing } = useFamily();
  return (
    <table className="w-full border-collapse text-small">
      <caption className="sr-only">Named points in the state that the picture shows</caption>
      <thead>
        <tr className="border-b-[1.5px] border-rule text-left text-ink-2">
          <th className="py-1 font-normal">point</th>
          <th className="font-normal">by the model</th>
          <th className="font-normal">last read</th>
          <th className="font-normal">look</th>
        </tr>
      </thead>
      <tbody>
        {Object.entries(drawing.points ?? {}).flatMap(([id, { name }]) => {
          const readout = picture.readouts[id];
          if (!readout) return [];
          return [
            <tr key={id} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-semibold">
                {name}
              </th>
              <td>{valueText(readout.value, readout.quantity, system)}</td>
              <td>{known[id] === undefined ? '' : valueText(known[id], 'temperature', system)}</td>
              <td>
                <button
                  type="button"
                  className="button min-h-11 px-3"
                  aria-pressed={probes.includes(id)}
                  aria-label={`Touch ${name}`}
                  onClick={() => onTouch(id)}
                >
                  touch
                </button>
              </td>
            </tr>,
          ];
        })}
      </tbody>
    </table>
  );
}

function PartTable({ picture }: { picture: PictureState }) {
  const { drawing } = useFamily();
  return (
    <table className="w-full border-collapse text-small">
      <caption className="sr-only">What is open, lit or flowing in the state that is shown</caption>
      <tbody>
        {(drawing.symbols ?? []).map(({ id, name }) => {
          const state = picture.symbols[id];
          return state && <PartRow key={id} name={name} words={state.words} />;
        })}
        {(drawing.paths ?? []).map(({ id, name }) => {
          const state = picture.paths[id];
          return state && <PartRow key={id} name={name} words={pathWords[state]} />;
        })}
      </tbody>
    </table>
  );
}

const PartRow = ({ name, words }: { name: string; words: string }) => (
  <tr className="border-b border-hair">
    <th scope="row" className="py-2 text-left font-semibold">
      {name}
    </th>
    <td>{words}</td>
  </tr>
);

/** Every terminal with its volts, what is on it, and a button for the probes. */
function TerminalTable({ picture, probes, onTouch, system }: StateTablesProps) {
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

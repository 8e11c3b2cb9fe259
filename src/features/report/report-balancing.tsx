import { balancingSession, type BalancedRadiator, type BalancingRound } from '@/core/balancing';
import type { JobFile } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { asideWords, endedWords, turnsWords } from '@/features/record/balancing-words';
import { kelvinWords } from '@/features/record/kelvin-words';

/** Radiators as they were read first and last, and the turns of each lockshield as found and as left. */
export function ReportBalancing({ job, system }: { job: JobFile; system: UnitSystem }) {
  const { radiators, rounds, ended, isRestored } = balancingSession(job.entries);
  const [first, last] = [rounds[0], rounds.at(-1)];
  if (!first || !last || radiators.length === 0) return null;
  const inBalance = radiators.flatMap((each, k) => (each.aside ? [] : [k]));
  return (
    <section className="mt-3 border-b border-hair pb-3" aria-labelledby="report-balancing">
      <h2 id="report-balancing" className="text-lead font-semibold">
        Radiators
      </h2>
      <p className="text-small">
        {[
          `Mean of top and bottom, as read: ${kelvinWords(apartOf(first, inBalance), system)} apart at first`,
          rounds.length > 1 && `${kelvinWords(apartOf(last, inBalance), system)} at the end`,
          dropOf(first, last, system),
          ended ? endedWords[ended.why] : 'not ended yet',
          ended &&
            (isRestored
              ? 'flow, thermostat and heads back as found'
              : 'flow, thermostat and heads NOT yet set back'),
        ]
          .filter(Boolean)
          .join('; ')}
        . Turns count from shut.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full text-left text-small">
          <thead>
            <tr>
              {['room', 'first', 'last', 'lockshield found', 'lockshield left', ''].map((title) => (
                <th key={title} scope="col" className="pr-3 font-medium">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {radiators.map((each, k) => (
              <Row key={each.id} radiator={each} rounds={[first, last]} k={k} system={system} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Row({
  radiator: { room, turns, turnsFound, aside },
  rounds,
  k,
  system,
}: {
  radiator: BalancedRadiator;
  rounds: readonly BalancingRound[];
  k: number;
  system: UnitSystem;
}) {
  return (
    <tr className="border-t border-hair">
      <th scope="row" className="pr-3 font-medium">
        {room}
      </th>
      {rounds.map(({ topCelsius, bottomCelsius }, place) => {
        const [top, bottom] = [topCelsius[k], bottomCelsius[k]];
        return (
          <td key={place} className="pr-3">
            {top === undefined || bottom === undefined
              ? ''
              : `${valueText(top, 'temperature', system)} and ${valueText(bottom, 'temperature', system)}`}
          </td>
        );
      })}
      <td className="pr-3">
        {turnsFound === undefined ? 'open for this' : turnsWords(turnsFound)}
      </td>
      <td className="pr-3 font-medium">{turnsWords(turns)}</td>
      <td>{aside ? `left out: ${asideWords[aside]}` : ''}</td>
    </tr>
  );
}

function apartOf({ topCelsius, bottomCelsius }: BalancingRound, members: readonly number[]) {
  const means = members.flatMap((k) => {
    const [top, bottom] = [topCelsius[k], bottomCelsius[k]];
    return top === undefined || bottom === undefined ? [] : [(top + bottom) / 2];
  });
  return means.length === 0 ? 0 : Math.max(...means) - Math.min(...means);
}

function dropOf(first: BalancingRound, last: BalancingRound, system: UnitSystem) {
  const drops = [first, last].flatMap(({ flowCelsius, returnCelsius }) =>
    flowCelsius === undefined || returnCelsius === undefined ? [] : [flowCelsius - returnCelsius],
  );
  return drops.length === 2
    ? `drop at the boiler ${kelvinWords(drops[0]!, system)}, then ${kelvinWords(drops[1]!, system)}`
    : undefined;
}

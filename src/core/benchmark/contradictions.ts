import { diagnoseJob } from '../job-diagnosis';
import { doCheck } from '../practice/run-job';
import { benchmarkUnit, type Benched } from './units';

/** Ohms, volts and amps of one element: what must hold between them is Ohm's law. */
export interface Triple {
  readonly ohms: string;
  readonly volts: string;
  readonly amps: string;
}

export interface ContradictionCounts {
  readonly clean: number;
  readonly falseAlarms: number;
  readonly contradicted: number;
  readonly named: number;
}

/** A clamp that shows 13 A where ohms and volts ask for 19. */
const slippedShare = 13 / 19.2;

/**
 * Takes the three readings on good units: as they come, where nothing may be cried over, and with the clamp off by a
 * third, which has to be named.
 */
export function countContradictions(
  benched: Benched,
  { ohms, volts, amps }: Triple,
  seed: number,
  count: number,
): ContradictionCounts {
  const { family, parameters } = benched;
  let falseAlarms = 0;
  let named = 0;
  for (let index = 0; index < count; index++) {
    const { unit, job, clock } = benchmarkUnit(benched, seed, index, {
      faults: ['no-fault'],
      twoFaults: 0,
      wrongReadings: 0,
    });
    const clean = [volts, amps, ohms].reduce(
      (sofar, check) => doCheck(family, sofar, unit, check, clock),
      job,
    );
    const look = (entries: typeof clean.entries) =>
      diagnoseJob({ ...clean, entries }, { parameters, depth: 'one-step', brief: true }).answer
        .warnings;
    if (look(clean.entries).length > 0) falseAlarms += 1;
    const slipped = clean.entries.map((each) =>
      each.kind === 'reading' && each.check === amps && each.value?.ampere !== undefined
        ? { ...each, value: { ampere: Number((each.value.ampere * slippedShare).toFixed(1)) } }
        : each,
    );
    const clamp = slipped.find((each) => each.kind === 'reading' && each.check === amps)!;
    const found = look(slipped).flatMap((each) => each.entries);
    if (found.includes(clamp.id)) named += 1;
  }
  return { clean: count, falseAlarms, contradicted: count, named };
}

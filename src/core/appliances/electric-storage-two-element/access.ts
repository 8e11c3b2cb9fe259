import type { Candidate } from '../../diagnosis/model';
import type { JobState } from '../../job-file/fold';
import type { LiftedEnd } from '../../job-file/generated/job-types';
import { checkIds, checkNames, checkWords, type CheckId, type Cover } from './checks';
import {
  impliedState,
  observableOfCheck,
  type HeaterObservable,
  type ReadingState,
} from './observable';

/** Minutes that access takes. Common practice. */
export const accessMinutes = {
  powerOffAndProve: 3,
  powerOn: 1.5,
  upperCover: 2,
  lowerCover: 2,
  junctionBoxCover: 1.5,
  liftOrRefitWire: 1,
} as const;

/** What has to be done before a check, in order, from where the unit stands. */
export type AccessStep =
  | { readonly kind: 'power-off-and-prove' }
  | { readonly kind: 'power-on' }
  | { readonly kind: 'open-cover'; readonly cover: Cover }
  | { readonly kind: 'lift-wire'; readonly lifted: LiftedEnd }
  | { readonly kind: 'refit-wire'; readonly lifted: LiftedEnd };

/** The steps that a check still needs. A cover, once off, stays off; a wire stays lifted where it does no harm. */
export function accessSteps(check: CheckId, state: JobState): AccessStep[] {
  const { state: implied } = checkNames[check];
  const { covers, standsAlone } = checkWords[check];
  const needed = implied.lifted ?? [];
  const steps: AccessStep[] = [];
  const mustBeDead = implied.power === 'off';
  if (mustBeDead && state.provedDeadAt === undefined) steps.push({ kind: 'power-off-and-prove' });
  for (const cover of covers) {
    if (!state.coversOpen.includes(cover)) steps.push({ kind: 'open-cover', cover });
  }
  for (const lifted of needed) {
    if (!state.lifted.some((each) => sameEnd(each, lifted)))
      steps.push({ kind: 'lift-wire', lifted });
  }
  if (implied.lifted !== undefined && !standsAlone) {
    for (const lifted of state.lifted) {
      if (!needed.some((each) => sameEnd(each, lifted))) steps.push({ kind: 'refit-wire', lifted });
    }
  }
  if (implied.power === 'on' && state.power === 'off') steps.push({ kind: 'power-on' });
  return steps;
}

export const sameEnd = (one: LiftedEnd, other: LiftedEnd) =>
  one.wire === other.wire && one.end === other.end;

const coverMinutes: Record<Cover, number> = {
  upper: accessMinutes.upperCover,
  lower: accessMinutes.lowerCover,
  'junction-box': accessMinutes.junctionBoxCover,
};

function stepMinutes(step: AccessStep): number {
  switch (step.kind) {
    case 'power-off-and-prove':
      return accessMinutes.powerOffAndProve;
    case 'power-on':
      return accessMinutes.powerOn;
    case 'open-cover':
      return coverMinutes[step.cover];
    case 'lift-wire':
    case 'refit-wire':
      return accessMinutes.liftOrRefitWire;
  }
}

export interface TechnicianLimits {
  readonly liveWork: boolean;
  /** Kinds of instrument at hand; undefined where it was not said. */
  readonly instruments?: readonly string[];
}

/** Every check that could be done now, with its cost from where the unit stands. */
export function candidateChecks(
  state: JobState,
  limits: TechnicianLimits,
): Candidate<HeaterObservable>[] {
  return checkIds.flatMap((checkId) => {
    if (state.refused.has(checkId) || !isAllowed(checkId, limits)) return [];
    const words = checkWords[checkId];
    return [
      {
        checkId,
        observable: observableOfCheck(checkId, impliedState(checkId, readingState(state))),
        minutes: words.minutes,
        accessMinutes: accessSteps(checkId, state).reduce(
          (sum, each) => sum + stepMinutes(each),
          0,
        ),
        hazardMinutes: words.hazardMinutes ?? 0,
        errorRate: errorRateOf(checkId),
      },
    ];
  });
}

export function isAllowed(check: CheckId, { liveWork, instruments }: TechnicianLimits): boolean {
  const { caution, instrument = 'multimeter' } = checkWords[check];
  if (caution === 'live' && !liveWork) return false;
  if (checkNames[check].kind === 'observation' || instruments === undefined) return true;
  return instruments.includes(instrument);
}

/** Chance that a result is wrong. Ohms taken by hand about 3 %; a beep, a look or a temperature more. Common practice. */
export function errorRateOf(check: CheckId | undefined): number {
  if (check === undefined) return 0.03;
  const { kind, quantity } = checkNames[check];
  return kind === 'observation' || quantity === 'temperature' ? 0.04 : 0.03;
}

/** How the unit stands for a reading taken now. */
export function readingState(state: JobState): ReadingState {
  return {
    power: state.power === 'off' ? 'off' : 'on',
    upperDial: dial(state.dials.upper),
    lowerDial: dial(state.dials.lower),
    lifted: state.lifted,
    limitReset: state.limitReset,
    breakerCycled: state.breakerCycled,
  };
}

const dial = (to: string | undefined) => (to === 'high' || to === 'low' ? to : 'found');

import type { AccessFact, AccessNeed, Candidate, PlanStart } from '../../diagnosis/model';
import type { JobState } from '../../job-file/fold';
import type { LiftedEnd } from '../../job-file/generated/job-types';
import type { ElectricalDeclaration } from './declaration';
import { observableOfCheck, type ElectricalObservable } from './observable';
import type { FamilyParameters } from './parameters';
import { impliedState, type ReadingState } from './state';

/** What has to be done before a check, in order, from where the unit stands. */
export type AccessStep =
  | { readonly kind: 'power-off-and-prove' }
  | { readonly kind: 'power-on' }
  | { readonly kind: 'open-cover'; readonly cover: string }
  | { readonly kind: 'lift-wire'; readonly lifted: LiftedEnd }
  | { readonly kind: 'refit-wire'; readonly lifted: LiftedEnd };

/** The steps that a check still needs. A cover, once off, stays off; a wire stays lifted where it does no harm. */
export function accessSteps(
  { names, checks }: ElectricalDeclaration,
  check: string,
  state: JobState,
): AccessStep[] {
  const implied = names.checks[check]!.state ?? {};
  const { covers, standsAlone } = checks[check]!;
  const needed = implied.lifted ?? [];
  const steps: AccessStep[] = [];
  if (implied.power === 'off' && state.provedDeadAt === undefined)
    steps.push({ kind: 'power-off-and-prove' });
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

function stepMinutes({ accessMinutes }: FamilyParameters, step: AccessStep): number {
  switch (step.kind) {
    case 'power-off-and-prove':
      return accessMinutes.powerOffAndProve;
    case 'power-on':
      return accessMinutes.powerOn;
    case 'open-cover':
      return accessMinutes.covers[step.cover] ?? 0;
    case 'lift-wire':
    case 'refit-wire':
      return accessMinutes.liftOrRefitWire;
  }
}

/** Minutes of the access that a check still needs. */
export const accessMinutesOf = (
  declaration: ElectricalDeclaration,
  parameters: FamilyParameters,
  check: string,
  state: JobState,
): number =>
  accessSteps(declaration, check, state).reduce(
    (sum, each) => sum + stepMinutes(parameters, each),
    0,
  );

/** Minutes of the check itself. */
export const ownMinutes = ({ checkMinutes }: FamilyParameters, check: string): number =>
  checkMinutes[check] ?? 0;

/** What a technician may and can do. */
export interface TechnicianLimits {
  readonly liveWork: boolean;
  /** Kinds of instrument at hand; undefined where it was not said. */
  readonly instruments?: readonly string[];
}

export function isAllowed(
  { names, checks }: ElectricalDeclaration,
  check: string,
  { liveWork, instruments }: TechnicianLimits,
): boolean {
  const { caution, instrument } = checks[check]!;
  if (caution === 'live' && !liveWork) return false;
  if (instruments === undefined) return true;
  if (instrument !== undefined) return instruments.includes(instrument);
  return names.checks[check]!.kind === 'observation' || instruments.includes('multimeter');
}

/** World flags that a check sets for what follows. */
const limitResetFlag = 1;
const breakerCycledFlag = 2;

/**
 * Facts of access as bits: proved dead, each cover, each wire end. A family has fewer than 31 of them.
 */
interface AccessPlan {
  readonly facts: readonly AccessFact[];
  readonly needOf: (check: string) => AccessNeed;
  readonly now: (state: JobState) => number;
}

export function accessPlan(
  { names, checks }: ElectricalDeclaration,
  { accessMinutes }: FamilyParameters,
): AccessPlan {
  const ends = new Map<string, LiftedEnd>();
  for (const { state } of Object.values(names.checks)) {
    for (const each of state?.lifted ?? []) ends.set(`${each.wire} ${each.end}`, each);
  }
  const covers = Object.keys(accessMinutes.covers);
  const facts: AccessFact[] = [
    {
      id: 'proved-dead',
      setMinutes: accessMinutes.powerOffAndProve,
      clearMinutes: accessMinutes.powerOn,
    },
    ...covers.map((cover) => ({
      id: `cover ${cover}`,
      setMinutes: accessMinutes.covers[cover]!,
      clearMinutes: 0,
    })),
    ...[...ends.keys()].map((id) => ({
      id: `lifted ${id}`,
      setMinutes: accessMinutes.liftOrRefitWire,
      clearMinutes: accessMinutes.liftOrRefitWire,
    })),
  ];
  const bit = (id: string) => 1 << facts.findIndex((each) => each.id === id);
  const liftBits = [...ends.keys()].reduce((bits, id) => bits | bit(`lifted ${id}`), 0);
  const needs = new Map<string, AccessNeed>();
  for (const [check, { state }] of Object.entries(names.checks)) {
    const words = checks[check]!;
    let sets = 0;
    let clears = 0;
    if (state?.power === 'off') sets |= bit('proved-dead');
    if (state?.power === 'on') clears |= bit('proved-dead');
    for (const cover of words.covers) sets |= bit(`cover ${cover}`);
    for (const each of state?.lifted ?? []) sets |= bit(`lifted ${each.wire} ${each.end}`);
    if (state?.lifted !== undefined && !words.standsAlone) clears |= liftBits & ~sets;
    needs.set(check, { sets, clears });
  }
  return {
    facts,
    needOf: (check) => needs.get(check)!,
    now(state) {
      let bits = state.provedDeadAt === undefined ? 0 : bit('proved-dead');
      for (const cover of state.coversOpen)
        if (covers.includes(cover)) bits |= bit(`cover ${cover}`);
      for (const { wire, end } of state.lifted) {
        if (ends.has(`${wire} ${end}`)) bits |= bit(`lifted ${wire} ${end}`);
      }
      return bits;
    },
  };
}

/** Every check that could be done now or later, and where the unit stands for them. */
export function planStart(
  declaration: ElectricalDeclaration,
  parameters: FamilyParameters,
  access: AccessPlan,
  state: JobState,
  present: ReadingState,
  limits: TechnicianLimits,
): PlanStart<ElectricalObservable> {
  const { names, thermostats } = declaration;
  // A check without minutes is one that these parameters do not know.
  const candidates = Object.keys(parameters.checkMinutes).flatMap(
    (checkId): Candidate<ElectricalObservable>[] => {
      if (state.refused.has(checkId) || !isAllowed(declaration, checkId, limits)) return [];
      const check = names.checks[checkId]!;
      const changes =
        (check.changes?.limit ? limitResetFlag : 0) |
        (check.changes?.breaker ? breakerCycledFlag : 0);
      return [
        {
          checkId,
          minutes: ownMinutes(parameters, checkId),
          hazardMinutes: parameters.hazardMinutes[checkId] ?? 0,
          errorRate: errorRateOf(declaration, parameters, checkId),
          accessMinutes: accessMinutesOf(declaration, parameters, checkId, state),
          need: access.needOf(checkId),
          changes,
          observableIn: (world) =>
            observableOfCheck(
              declaration,
              checkId,
              impliedState(check, thermostats, {
                ...present,
                limitReset: present.limitReset || (world & limitResetFlag) !== 0,
                breakerCycled: present.breakerCycled || (world & breakerCycledFlag) !== 0,
              }),
            ),
        },
      ];
    },
  );
  return { candidates, facts: access.facts, access: access.now(state) };
}

/** Chance that a result is wrong. Ohms taken by hand about 3 %; a beep, a look or a temperature more. Common practice. */
export function errorRateOf(
  { names }: ElectricalDeclaration,
  { errorRates }: FamilyParameters,
  check: string | undefined,
): number {
  if (check === undefined) return errorRates.reading;
  const { kind, quantity } = names.checks[check]!;
  if (kind === 'observation') return errorRates.observation;
  return quantity === 'temperature' ? errorRates.temperature : errorRates.reading;
}

/** How the unit stands for a reading taken now. */
export function readingState(
  { thermostats }: ElectricalDeclaration,
  state: JobState,
): ReadingState {
  return {
    power: state.power === 'off' ? 'off' : 'on',
    dials: Object.fromEntries(thermostats.map(({ id }) => [id, dial(state.dials[id])])),
    lifted: state.lifted,
    limitReset: state.limitReset,
    breakerCycled: state.breakerCycled,
  };
}

const dial = (to: string | undefined) => (to === 'high' || to === 'low' ? to : 'found');

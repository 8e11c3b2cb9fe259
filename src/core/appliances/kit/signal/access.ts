import { mostFacts, type AccessFact, type AccessNeed } from '../../../diagnosis/model';
import type { ToUndo } from '../../appliance-family';
import type { LiftedEnd } from '../../../job-file/generated/job-types';
import type { JobState } from '../../../job-file/state';
import type { AccessStep } from '../access-step';
import type { FamilyParameters } from '../parameters';
import { sameEnd } from '../unit-state';
import type { AccessDeclaration, AccessFactDeclaration } from './declaration';

/** Whether a fact is so, by what the logbook has made of the unit. */
export const isSo = (
  state: JobState,
  { id, lifts, isProvedDead }: AccessFactDeclaration,
): boolean =>
  isProvedDead
    ? state.provedDeadAt !== undefined
    : lifts
      ? lifts.every((each) => state.lifted.some((other) => sameEnd(each, other)))
      : Object.hasOwn(state.facts, id);

/** Name of the fact that a check has shown another not to be so. */
export const deniedFact = (id: string): string => `no ${id}`;

/** Whether a check opens the gas way or lights something: by what it needs, or by what it is. */
export const opensGas = ({ facts, needs }: AccessDeclaration, check: string): boolean =>
  facts.some(
    ({ id, opensGas: opens, shownBy }) =>
      opens === true && (shownBy === check || (needs[check]?.sets.includes(id) ?? false)),
  );

export interface SignalAccess {
  facts(parameters: FamilyParameters): readonly AccessFact[];
  needOf(check: string): AccessNeed;
  now(state: JobState): number;
  /** Whether what it needs has been shown not to be so: a burner that cannot run is not timed. */
  isBarred(check: string, state: JobState): boolean;
  stepsTo(check: string, state: JobState): AccessStep[];
  leftToUndo(state: JobState): readonly ToUndo[];
  minutesTo(check: string, state: JobState, parameters: FamilyParameters): number;
}

/** @throws TypeError for a check that needs a fact which is not declared; RangeError for more facts than a plan counts. */
export function signalAccess({ facts, needs }: AccessDeclaration): SignalAccess {
  if (facts.length > mostFacts) {
    throw new RangeError(`${facts.length} facts of access; a plan counts ${mostFacts}`);
  }
  const place = new Map(facts.map(({ id }, k) => [id, k]));
  const bits = (ids: readonly string[]): number =>
    ids.reduce((sum, id) => {
      const k = place.get(id);
      if (k === undefined) throw new TypeError(`no fact of access is named "${id}"`);
      return sum | (1 << k);
    }, 0);
  const needBits = new Map(
    Object.entries(needs).map(([check, { sets, clears }]) => [
      check,
      { sets: bits(sets), clears: bits(clears) },
    ]),
  );
  const withBits = facts.map((each) => bits(each.with ?? []));
  const none: AccessNeed = { sets: 0, clears: 0 };
  const needOf = (check: string) => needBits.get(check) ?? none;
  const now = (state: JobState): number =>
    facts.reduce((sum, each, k) => (isSo(state, each) ? sum | (1 << k) : sum), 0);

  const chosen = (mask: number) => facts.filter((_, k) => mask & (1 << k));
  const stepsTo = (check: string, state: JobState): AccessStep[] => {
    const { sets, clears } = needOf(check);
    const present = now(state);
    const isOff = (end: LiftedEnd) => state.lifted.some((other) => sameEnd(end, other));
    const staysOff = chosen(sets).flatMap(({ lifts }) => lifts ?? []);
    let wanted = sets & ~present;
    facts.forEach((_, k) => {
      if (wanted & (1 << k)) wanted |= withBits[k]! & ~present;
    });
    return [
      // One of a pair of leads may be off by itself.
      ...chosen(clears)
        .flatMap(({ lifts }) => lifts ?? [])
        .filter((each) => isOff(each) && !staysOff.some((other) => sameEnd(each, other)))
        .map((lifted): AccessStep => ({ kind: 'refit-wire', lifted })),
      ...chosen(clears & present).flatMap(({ id, undo }): AccessStep[] =>
        undo === undefined ? [] : [{ kind: 'end-so', fact: id, order: undo }],
      ),
      // What is off goes on last: with its covers back, and its burner in.
      ...chosen(clears).flatMap(({ isProvedDead }): AccessStep[] =>
        isProvedDead && state.power === 'off' ? [{ kind: 'power-on' }] : [],
      ),
      ...chosen(wanted).flatMap(({ id, lifts, order, shownBy, isProvedDead }): AccessStep[] => {
        if (isProvedDead) return [{ kind: 'power-off-and-prove' }];
        if (shownBy === check) return [];
        if (shownBy !== undefined) return [{ kind: 'take-check', check: shownBy }];
        return lifts
          ? lifts.filter((each) => !isOff(each)).map((lifted) => ({ kind: 'lift-wire', lifted }))
          : [{ kind: 'make-so', fact: id, order }];
      }),
    ];
  };
  const minutesOf = ({ accessMinutes }: FamilyParameters, id: string) =>
    facts[place.get(id)!]!.isProvedDead
      ? ([accessMinutes.powerOffAndProve, accessMinutes.powerOn] as const)
      : (accessMinutes.facts?.[id] ?? [0, 0]);
  return {
    facts: (parameters) =>
      facts.map(({ id }, k) => {
        const [setMinutes, clearMinutes] = minutesOf(parameters, id);
        return { id, setMinutes, clearMinutes, changedWith: withBits[k]! };
      }),
    needOf,
    now,
    // What comes last in the order of opening is undone first.
    leftToUndo: (state) =>
      facts
        .filter((each) => each.isolates !== true && isSo(state, each))
        .flatMap(({ id, undo }) => (undo === undefined ? [] : [{ fact: id, order: undo }]))
        .reverse(),
    isBarred: (check, state) =>
      chosen(needOf(check).sets).some(({ id }) => Object.hasOwn(state.facts, deniedFact(id))),
    stepsTo,
    minutesTo(check, state, parameters) {
      const { sets, clears } = needOf(check);
      const present = now(state);
      const set = chosen(sets & ~present).reduce(
        (sum, { id }) => sum + minutesOf(parameters, id)[0],
        0,
      );
      return chosen(clears & present).reduce(
        (sum, { id }) => sum + minutesOf(parameters, id)[1],
        set,
      );
    },
  };
}

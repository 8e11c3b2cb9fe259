import { mostFacts, type AccessFact, type AccessNeed } from '../../diagnosis/model';
import type { LiftedEnd } from '../../job-file/generated/job-types';
import type { JobState } from '../../job-file/state';
import type { ElectricalDeclaration } from './declaration';
import type { FamilyParameters } from '../kit/parameters';

/** Facts of access as bits: proved dead, each cover, each wire end. */
export interface AccessPlan {
  readonly facts: readonly AccessFact[];
  readonly needOf: (check: string) => AccessNeed;
  readonly now: (state: JobState) => number;
}

/** @throws RangeError for a family with more facts than a plan can count. */
export function accessPlan(
  { names, checks }: Pick<ElectricalDeclaration, 'names' | 'checks'>,
  { accessMinutes }: Pick<FamilyParameters, 'accessMinutes'>,
): AccessPlan {
  const ends = new Map<string, LiftedEnd>();
  for (const { state } of Object.values(names.checks)) {
    for (const each of state?.lifted ?? []) ends.set(`${each.wire} ${each.end}`, each);
  }
  const covers = Object.keys(accessMinutes.covers);
  const provedDead = 1;
  const changedWith = accessMinutes.handsUnderPower ? 0 : provedDead;
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
      changedWith,
    })),
    ...[...ends.keys()].map((id) => ({
      id: `lifted ${id}`,
      setMinutes: accessMinutes.liftOrRefitWire,
      clearMinutes: accessMinutes.liftOrRefitWire,
      changedWith,
    })),
  ];
  if (facts.length > mostFacts) {
    throw new RangeError(
      `${names.family} has ${facts.length} facts of access; a plan counts ${mostFacts}`,
    );
  }
  const bit = (id: string) => 1 << facts.findIndex((each) => each.id === id);
  const liftBits = [...ends.keys()].reduce((bits, id) => bits | bit(`lifted ${id}`), 0);
  const needs = new Map<string, AccessNeed>();
  for (const [check, { state }] of Object.entries(names.checks)) {
    const words = checks[check]!;
    let sets = 0;
    let clears = 0;
    if (state?.power === 'off') sets |= provedDead;
    if (state?.power === 'on') clears |= provedDead;
    for (const cover of words.covers) sets |= bit(`cover ${cover}`);
    for (const each of state?.lifted ?? []) sets |= bit(`lifted ${each.wire} ${each.end}`);
    if (state?.lifted !== undefined && !words.standsAlone) clears |= liftBits & ~sets;
    needs.set(check, { sets, clears });
  }
  return {
    facts,
    needOf: (check) => needs.get(check)!,
    now(state) {
      let bits = state.provedDeadAt === undefined ? 0 : provedDead;
      for (const cover of covers)
        if (Object.hasOwn(state.facts, cover)) bits |= bit(`cover ${cover}`);
      for (const { wire, end } of state.lifted) {
        if (ends.has(`${wire} ${end}`)) bits |= bit(`lifted ${wire} ${end}`);
      }
      return bits;
    },
  };
}

import { effectiveEntries, type JobFile } from '../../job-file';
import type { Decision, Strategy } from '../runs';

/**
 * Rules with thresholds for a two-element heater: a competent technician without arithmetic, who stops at the first part
 * proved bad. Common practice, as the design of the benchmark describes it.
 */
export const rulesWithThresholds: Strategy = (job) => {
  const found = resultsOf(job);
  return (
    supplyRules(found) ??
    leakRules(found) ??
    upperPathRules(found) ??
    lowerPathRules(found) ??
    otherRules(found, job.complaint?.kind)
  );
};

type Found = (check: string, nth?: number) => number | string | undefined;

/** Results by check, over range as infinity; the nth time it was taken. */
function resultsOf(job: JobFile): Found {
  const results = new Map<string, (number | string)[]>();
  for (const entry of effectiveEntries(job.entries)) {
    if ((entry.kind !== 'reading' && entry.kind !== 'observation') || !entry.check) continue;
    const value =
      entry.kind === 'observation'
        ? entry.value
        : entry.value?.overRange
          ? Infinity
          : (entry.value?.ohm ?? entry.value?.volt ?? entry.value?.ampere ?? entry.value?.celsius);
    if (value === undefined) continue;
    results.set(entry.check, [...(results.get(entry.check) ?? []), value]);
  }
  return (check, nth = 0) => results.get(check)?.[nth];
}

const verdict = (...repairs: string[]): Decision => ({ repairs });

const enoughVolts = 200;

/** Volts across; if they are missing, each leg, the junction box, the panel. */
function supplyRules(found: Found): Decision | undefined {
  const volts = found('supply-volts');
  if (volts === undefined) return { check: 'supply-volts' };
  if (Number(volts) >= enoughVolts) return undefined;
  for (const check of [
    'supply-leg-1-to-earth-volts',
    'supply-leg-2-to-earth-volts',
    'feed-volts',
  ]) {
    if (found(check) === undefined) return { check };
  }
  if (Number(found('feed-volts')) >= enoughVolts) return verdict('remake-splice');
  const breaker = found('breaker-recycle');
  if (breaker === undefined) return { check: 'breaker-recycle' };
  if (breaker === 'trips') return undefined;
  const again = found('supply-volts', 1);
  if (again === undefined) return { check: 'supply-volts' };
  return Number(again) >= enoughVolts ? verdict('restore-supply') : verdict('call-electrician');
}

const leaksBelowOhm = 1e6;

/** Reset, splices, conductors to the tank; if they leak, each element with both wires off. */
function leakRules(found: Found): Decision | undefined {
  for (const check of [
    'limit-reset-press',
    'splices-look',
    'supply-1-to-tank-ohms',
    'supply-2-to-tank-ohms',
  ]) {
    const result = found(check);
    if (result === undefined) return { check };
    if (check === 'splices-look' && result !== 'sound') return verdict('remake-splice');
  }
  const leaks = ['supply-1-to-tank-ohms', 'supply-2-to-tank-ohms'].some(
    (each) => Number(found(each)) < leaksBelowOhm,
  );
  if (!leaks) return undefined;
  for (const which of ['upper', 'lower']) {
    for (const screw of ['a', 'b']) {
      const check = `${which}-element-${screw}-to-tank-ohms`;
      const ohm = found(check);
      if (ohm === undefined) return { check };
      if (Number(ohm) < leaksBelowOhm) return verdict(`replace-${which}-element`);
    }
  }
  return undefined;
}

const isElementOhm = (ohm: number | string) => Number(ohm) >= 10 && Number(ohm) <= 17;
const closedBelowOhm = 1.5;

function upperPathRules(found: Found): Decision | undefined {
  const path = found('upper-path-ohms');
  if (path === undefined) return { check: 'upper-path-ohms' };
  if (isElementOhm(path)) return undefined;
  return partByPart(found, [
    ['upper-element-ohms', isElementOhm, 'replace-upper-element'],
    ['upper-contact-high-ohms', isClosed, 'replace-upper-thermostat'],
    ['limit-pole-1-ohms', isClosed, 'replace-upper-thermostat'],
    ['limit-pole-2-ohms', isClosed, 'replace-upper-thermostat'],
  ]);
}

function lowerPathRules(found: Found): Decision | undefined {
  const path = found('lower-path-ohms');
  if (path === undefined) return { check: 'lower-path-ohms' };
  if (isElementOhm(path)) return undefined;
  return partByPart(found, [
    ['lower-element-ohms', isElementOhm, 'replace-lower-element'],
    ['lower-contact-high-ohms', isClosed, 'replace-lower-thermostat'],
  ]);
}

const isClosed = (ohm: number | string) => Number(ohm) < closedBelowOhm;

/** Each part of a path that does not read as it should; where all are good it is the wiring between them. */
function partByPart(
  found: Found,
  parts: readonly (readonly [
    check: string,
    isGood: (ohm: number | string) => boolean,
    repair: string,
  ])[],
): Decision {
  for (const [check, isGood, repair] of parts) {
    const ohm = found(check);
    if (ohm === undefined) return { check };
    if (!isGood(ohm)) return verdict(repair);
  }
  return verdict('repair-wiring');
}

/** Too hot, changeover, dials, the limit that had tripped, burnt joints, and what no meter shows. */
function otherRules(found: Found, complaint: string | undefined): Decision {
  const outlet = found('outlet-first');
  if (outlet === undefined) return { check: 'outlet-first' };
  const clicked = found('limit-reset-press') === 'clicked';
  if (clicked || Number(outlet) > 65 || complaint === 'too-hot') {
    for (const which of ['upper', 'lower']) {
      const check = `${which}-thermostat-warm-test`;
      const result = found(check);
      if (result === undefined) return { check };
      if (result !== 'opens') return verdict(`replace-${which}-thermostat`);
    }
    if (clicked) return verdict('reset-limit');
  }
  const rules: readonly (readonly [string, Readonly<Record<string, string>>])[] = [
    ['dials-look', { low: 'set-dials', unequal: 'set-dials' }],
    ['wiring-look', { scorched: 'repair-wiring', loose: 'repair-wiring' }],
    ['other-outlet', { 'hot-elsewhere': 'none-in-unit' }],
    ['flush-look', { grit: 'flush' }],
    ['dip-tube-draw', { 'falls-at-once': 'replace-dip-tube' }],
  ];
  // The top is hot and the lower path was read with its dial up: what is left of the lower circuit is the changeover.
  if (Number(outlet) > 40) {
    const changeover = found('changeover-contact-low-ohms');
    if (changeover === undefined) return { check: 'changeover-contact-low-ohms' };
    if (!isClosed(changeover)) return verdict('replace-upper-thermostat');
  }
  for (const [check, repairs] of rules) {
    const result = found(check);
    if (result === undefined) return { check };
    const repair = repairs[String(result)];
    if (repair) return verdict(repair);
  }
  return verdict('none-in-unit');
}

import type { ApplianceFamily, FamilyPlate } from '../appliances';
import type { JobState, SettingRecord } from '../job-file';
import { numberOf, type Quantity } from '../quantities';
import type { ChosenWays } from '../schools';
import {
  directParameters,
  loopParameters,
  storageParameters,
  systemParameters,
  type SheetParameter,
} from './parameter';
import { ownFindings } from './own-rules';
import { ruleFindings, type RuleFinding } from './rules';
import { systemFindings } from './system-rules';
import { tapFindings } from './tap-rules';

/** A line of the sheet: as found, as left, and why. */
export interface SheetLine {
  readonly parameter: SheetParameter;
  readonly found?: number | string;
  readonly left?: number | string;
  readonly why?: string;
  /** It stands outside what is usual: shown, never refused. */
  readonly isUnusual: boolean;
}

export interface SettingsSheet {
  readonly lines: readonly SheetLine[];
  readonly findings: readonly RuleFinding[];
  /** Turned for a test, and not yet set back. */
  readonly testLeft: readonly string[];
}

/** Where high limits of storage heaters open: common practice. */
const limitCelsius = 77;

/** The settings sheet of a unit: its dials, what stands beside them, and what the rules say of it. */
export function settingsSheet(
  family: ApplianceFamily,
  plate: FamilyPlate,
  state: JobState,
  ways: ChosenWays,
): SettingsSheet | undefined {
  const { storage, tap, system, sheet: own } = family;
  if (!storage && !tap && !system && !own) return undefined;
  const dials: SheetParameter[] = family.settings.map(
    ({ id, label, quantity, range, usualBetween = [47, 62] }) => ({
      id,
      words: label,
      kind: 'number',
      quantity,
      range,
      usual: usualBetween,
      mark: 'practice',
    }),
  );
  const beside = own
    ? own.parameters
    : system
      ? systemParameters
      : tap
        ? tap.hasFlow
          ? loopParameters
          : directParameters
        : storageParameters;
  const now = (id: string, quantity?: Quantity) => standing(state.settings.get(id), quantity);
  const lines = [...dials, ...beside]
    .filter(({ families }) => families?.includes(family.id) ?? true)
    .filter(({ onlyIf = {} }) =>
      Object.entries(onlyIf).every(([other, wanted]) => now(other) === wanted),
    )
    .map((parameter): SheetLine => {
      const record = state.settings.get(parameter.id);
      const value = now(parameter.id, parameter.quantity);
      const [from, to] = parameter.usual ?? [-Infinity, Infinity];
      return {
        parameter,
        found: valueOf(record?.found, parameter.quantity),
        left: valueOf(record?.left, parameter.quantity),
        why: record?.why,
        isUnusual: typeof value === 'number' && (value < from || value > to),
      };
    });
  const choice = (id: string) => {
    const value = now(id);
    return typeof value === 'string' ? value : undefined;
  };
  const number = (id: string) => {
    const quantity = [...dials, ...beside].find((each) => each.id === id)?.quantity;
    const value = now(id, quantity);
    return typeof value === 'number' ? value : undefined;
  };
  const common = { lines, testLeft: testLeft(state) };
  if (own) return { ...common, findings: ownFindings(own.rules, { plate, choice, number, ways }) };
  if (system) {
    return { ...common, findings: systemFindings({ choice, number, ...system.context(plate) }) };
  }
  if (tap) {
    const [first, second] = dials;
    return {
      ...common,
      findings: tapFindings({
        tapCelsius: number(first!.id),
        flowCelsius: second && number(second.id),
        hasFlow: tap.hasFlow,
        ...tap.ratings(plate),
        choice,
        number,
        ways,
      }),
    };
  }
  const celsius = dials.flatMap(({ id }) => number(id) ?? []);
  const heaters = storage!.heaters(plate);
  return {
    ...common,
    findings: ruleFindings({
      dials: celsius,
      choice,
      number,
      litre: storage!.litre(plate),
      heaterWatt: Math.min(...heaters.map(({ watt }) => watt)),
      limitCelsius,
      ways,
    }),
  };
}

/** Settings that were turned for a test, and dials that were turned up or down, until they are set back. */
export function testLeft({
  settings,
  controls,
}: Pick<JobState, 'settings' | 'controls'>): string[] {
  return [
    ...[...settings].flatMap(([id, { why }]) => (why === 'for-a-test' ? [id] : [])),
    ...Object.entries(controls).flatMap(([id, to]) =>
      dialKeys.has(id) && (to === 'high' || to === 'low') ? [id] : [],
    ),
  ];
}

/** The same, as they are told. */
export const testLeftWords = (state: Pick<JobState, 'settings' | 'controls'>): string[] =>
  testLeft(state).map((each) => each.replaceAll('-', ' ').replace('Dial', ' dial'));

const dialKeys = new Set(['upperDial', 'lowerDial', 'dial']);

const valueOf = (
  value: SettingRecord['found'],
  quantity: Quantity | undefined,
): number | string | undefined =>
  typeof value === 'object'
    ? quantity === undefined
      ? undefined
      : numberOf(value, quantity)
    : value === undefined
      ? undefined
      : String(value);

/** As left, or as found where it was left alone. */
const standing = (record: SettingRecord | undefined, quantity: Quantity | undefined) =>
  valueOf(record?.left ?? record?.found, quantity);

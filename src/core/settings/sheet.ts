import type { ApplianceFamily, FamilyPlate } from '../appliances';
import type { JobState, SettingRecord } from '../job-file';
import { numberOf, type Quantity } from '../quantities';
import type { ChosenWays } from '../schools';
import { storageParameters, type SheetParameter } from './parameter';
import { ruleFindings, type RuleFinding } from './rules';

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
  const { storage } = family;
  if (!storage) return undefined;
  const dials: SheetParameter[] = family.settings.map(({ id, label, quantity, range }) => ({
    id,
    words: label,
    kind: 'number',
    quantity,
    range,
    usual: [47, 62],
    mark: 'practice',
  }));
  const now = (id: string, quantity?: Quantity) => standing(state.settings.get(id), quantity);
  const lines = [...dials, ...storageParameters]
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
  const celsius = dials.flatMap(({ id }) => {
    const value = now(id, 'temperature');
    return typeof value === 'number' ? [value] : [];
  });
  const heaters = storage.heaters(plate);
  return {
    lines,
    testLeft: testLeft(state),
    findings: ruleFindings({
      dials: celsius,
      choice: (id) => {
        const value = now(id);
        return typeof value === 'string' ? value : undefined;
      },
      number: (id) => {
        const quantity = storageParameters.find((each) => each.id === id)?.quantity;
        const value = now(id, quantity);
        return typeof value === 'number' ? value : undefined;
      },
      litre: storage.litre(plate),
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

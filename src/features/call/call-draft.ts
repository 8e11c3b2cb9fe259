import { families, familyOf, plateLimits, type ApplianceFamily } from '@/core/appliances';
import type { KnownUnitChoice } from '@/server/known-units';
import { parseReading, type Quantity, type UnitSystem } from '@/core/quantities';

/** Everything typed on the call screen: one draft, so that a reload loses nothing. */
export interface CallDraft {
  readonly family: string;
  readonly kind?: string;
  readonly words: string;
  readonly answers: Readonly<Record<string, string | undefined>>;
  /** The job's, once a call of this form has been kept on the device. */
  readonly id?: string;
  readonly knownUnit?: KnownUnitChoice;
  readonly customer: string;
  readonly address: string;
  readonly volt: string;
  /** By element; an empty one is as the one above it. */
  readonly watts: Readonly<Record<string, string>>;
  readonly volume: string;
  readonly make: string;
  readonly model: string;
  readonly serial: string;
  readonly installed: string;
  readonly supply: string;
  /** Wiring and protection, where somebody said. */
  readonly wiring?: string;
  readonly residualCurrentDevice?: string;
}

/** Fields that hold plain text. */
export type TextKey = Exclude<
  keyof CallDraft,
  | 'family'
  | 'kind'
  | 'answers'
  | 'id'
  | 'knownUnit'
  | 'supply'
  | 'words'
  | 'watts'
  | 'wiring'
  | 'residualCurrentDevice'
>;

const firstFamily = families[0]!;

const emptyCall: CallDraft = {
  family: firstFamily.id,
  words: '',
  answers: {},
  customer: '',
  address: '',
  volt: '',
  watts: {},
  volume: '',
  make: '',
  model: '',
  serial: '',
  installed: '',
  supply: firstFamily.supplies[0]!.id,
};

export function readDraft(text: string): CallDraft {
  if (text === '') return emptyCall;
  try {
    const draft = { ...emptyCall, ...(JSON.parse(text) as Partial<CallDraft>) };
    return familyOf(draft.family) ? draft : emptyCall;
  } catch {
    return emptyCall;
  }
}

/** The supply that was chosen, of those that the family is met on. */
export const supplyOf = ({ supplies }: ApplianceFamily, { supply }: CallDraft) =>
  supplies.find((each) => each.id === supply) ?? supplies[0]!;

/** Volts of the plate: what was typed, or those of the supply. A heater for 240 V is met on 208 V. */
export function voltText(family: ApplianceFamily, draft: CallDraft): string {
  return draft.volt.trim() === '' ? String(supplyOf(family, draft).plateVolt) : draft.volt;
}

export const wattText = ({ elements }: ApplianceFamily, { watts }: CallDraft, id: string): string =>
  watts[id]?.trim() || watts[elements[0]!.id] || '';

export function numberOf(text: string, quantity: Quantity, system: UnitSystem): number | undefined {
  const parsed = parseReading(text, { quantity, system });
  return parsed.kind === 'value' && parsed.value > 0 ? parsed.value : undefined;
}

export type Problems = Readonly<Record<string, string>>;

export function problemsOf(
  family: ApplianceFamily,
  draft: CallDraft,
  isKnown: boolean,
  system: UnitSystem,
): Problems {
  const problems: Record<string, string> = {};
  if (!draft.kind) problems.kind = 'Choose what is wrong: it splits the field most.';
  if (isKnown) return problems;
  if (draft.customer.trim() === '') problems.customer = 'Who is it for? A name is enough.';
  if (draft.address.trim() === '') problems.address = 'Where is it? A street is enough.';
  const checkNumber = (
    key: string,
    text: string,
    quantity: Quantity,
    what: string,
    [least, most]: readonly [number, number],
  ) => {
    const parsed = parseReading(text, { quantity, system });
    if (parsed.kind === 'problem') problems[key] = parsed.message;
    else if (parsed.kind === 'ask') problems[key] = `${parsed.question} Type it without the comma.`;
    else if (parsed.kind === 'value' && !(parsed.value >= least && parsed.value <= most)) {
      problems[key] = `${what} on a plate are ${least} to ${most}.`;
    }
  };
  checkNumber('volt', voltText(family, draft), 'voltage-ac', 'Volts', plateLimits.volt);
  for (const { id } of family.elements) {
    checkNumber(`watt-${id}`, wattText(family, draft, id), 'power', 'Watts', plateLimits.watt);
  }
  if (draft.volume.trim() !== '')
    checkNumber('volume', draft.volume, 'volume', 'Litres', [5, 2000]);
  return problems;
}

/** The call as the server takes it. */
export function callOf(
  family: ApplianceFamily,
  draft: CallDraft,
  technicianId: string,
  isKnown: boolean,
  system: UnitSystem,
) {
  const complaint = { kind: draft.kind, words: draft.words, answers: draft.answers };
  if (isKnown) {
    return { technicianId, complaint, knownUnitId: draft.knownUnit?.id, newUnit: undefined };
  }
  const litre = numberOf(draft.volume, 'volume', system);
  const { customer, address, make, model, serial, installed } = draft;
  return {
    technicianId,
    complaint,
    newUnit: {
      family: family.id,
      customer,
      address,
      make,
      model,
      serial,
      installed,
      supply: supplyOf(family, draft).id,
      ...(draft.residualCurrentDevice === undefined
        ? {}
        : { residualCurrentDevice: draft.residualCurrentDevice === 'yes' }),
      plate: {
        rated: { volt: numberOf(voltText(family, draft), 'voltage-ac', system) },
        elements: Object.fromEntries(
          family.elements.map(({ id }) => [
            id,
            { watt: numberOf(wattText(family, draft, id), 'power', system) },
          ]),
        ),
        ...(litre === undefined ? {} : { volume: { litre } }),
        ...(draft.wiring === undefined || family.elements.length < 2
          ? {}
          : { wiring: draft.wiring }),
      },
    },
  };
}

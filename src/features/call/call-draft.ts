import {
  askedFields,
  familyList,
  plateSaid,
  textOf,
  type ApplianceFamily,
  type NumberField,
  type TypedPlate,
} from '@/core/appliances';
import type { KnownUnitChoice } from '@/server/known-units';
import { fromKept, parseReading, shownUnit, unitOf, type UnitSystem } from '@/core/quantities';
import { installedProblem } from '@/core/service/installed';

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
  /** What was typed or chosen of the plate and the site, by the family's fields. */
  readonly plate: TypedPlate;
  /** The same of kinds of unit that were chosen before, for who changes back. */
  readonly otherPlates: Readonly<Record<string, TypedPlate>>;
  readonly make: string;
  readonly model: string;
  readonly serial: string;
  readonly installed: string;
}

/** Fields that hold plain text. */
export type TextKey = 'customer' | 'address' | 'make' | 'model' | 'serial' | 'installed';

const emptyCall: CallDraft = {
  family: familyList[0]!.id,
  words: '',
  answers: {},
  customer: '',
  address: '',
  plate: {},
  otherPlates: {},
  make: '',
  model: '',
  serial: '',
  installed: '',
};

export function readDraft(text: string): CallDraft {
  if (text === '') return emptyCall;
  try {
    const draft = { ...emptyCall, ...(JSON.parse(text) as Partial<CallDraft>) };
    return familyList.some(({ id }) => id === draft.family) ? draft : emptyCall;
  } catch {
    return emptyCall;
  }
}

/** What changes in a draft where another kind of unit is chosen: nothing that was said of the one before is lost. */
export const withFamily = (
  { family, plate, otherPlates }: CallDraft,
  chosen: string,
): Pick<CallDraft, 'family' | 'plate' | 'otherPlates'> => {
  const plates = { ...otherPlates, [family]: plate };
  return { family: chosen, plate: plates[chosen] ?? {}, otherPlates: plates };
};

/** What was typed in a field: a bare number is in the unit that its label names. */
const readField = (text: string, { quantity, usUnit }: NumberField, system: UnitSystem) =>
  parseReading(text, {
    quantity,
    system,
    ...(system === 'us' && usUnit !== undefined ? { unit: usUnit } : {}),
  });

export function numberIn(text: string, field: NumberField, system: UnitSystem): number | undefined {
  const parsed = readField(text, field, system);
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
  if (!complaintOf(family, draft).kind)
    problems.kind = 'Choose what is wrong: it splits the field most.';
  if (isKnown) return problems;
  if (draft.customer.trim() === '') problems.customer = 'Who is it for? A name is enough.';
  if (draft.address.trim() === '') problems.address = 'Where is it? A street is enough.';
  const installed = installedProblem(draft.installed, new Date());
  if (installed) problems.installed = installed;
  for (const field of askedFields(family.plateFields, draft.plate)) {
    if (field.kind !== 'number') continue;
    const problem = problemOf(field, textOf(family.plateFields, draft.plate, field.key), system);
    if (problem) problems[field.key] = problem;
  }
  return problems;
}

function problemOf(field: NumberField, text: string, system: UnitSystem): string | undefined {
  if (text.trim() === '') {
    return field.isOptional ? undefined : 'What does the plate say?';
  }
  const parsed = readField(text, field, system);
  if (parsed.kind === 'problem') return parsed.message;
  if (parsed.kind === 'ask') return `${parsed.question} ${parsed.instead}`;
  const [least, most] = field.range;
  return parsed.kind === 'value' && !(parsed.value >= least && parsed.value <= most)
    ? rangeWords(field, system)
    : undefined;
}

/** What a plate may say, in the unit that the label names. */
function rangeWords({ what, range, labelUs, usUnit, quantity }: NumberField, system: UnitSystem) {
  if (system !== 'us' || labelUs === undefined) {
    return `${what} on a plate are ${range[0]} to ${range[1]}.`;
  }
  const unit = usUnit === undefined ? shownUnit(quantity, system) : unitOf(usUnit, quantity);
  const [least, most] = range.map((each) => fromKept(each, unit)) as [number, number];
  return `${labelUs}: a plate says ${Math.ceil(least)} to ${Math.floor(most)}.`;
}

/** What the plate and the site are said to be, as the job file has it. */
export const saidOf = (family: ApplianceFamily, { plate }: CallDraft, system: UnitSystem) =>
  plateSaid(family.plateFields, plate, (text, field) => numberIn(text, field, system));

/**
 * What is wrong, as this family is asked about it. What was chosen before another kind of unit was stays in the draft, for who
 * changes back, and is not said of the other.
 */
export function complaintOf(family: ApplianceFamily, { kind, words, answers }: CallDraft) {
  const asked = family.questionIds.filter((each) => each !== 'complaint');
  return {
    kind: family.askedComplaints.find((each) => each === kind),
    words,
    answers: Object.fromEntries(
      asked.flatMap((question) => {
        const answer = answers[question];
        const isOneOf = answer !== undefined && family.questions[question]!.values.includes(answer);
        return isOneOf ? [[question, answer]] : [];
      }),
    ),
  };
}

/** The call as the server takes it. */
export function callOf(
  family: ApplianceFamily,
  draft: CallDraft,
  technicianId: string,
  isKnown: boolean,
  system: UnitSystem,
) {
  const complaint = complaintOf(family, draft);
  if (isKnown) {
    return { technicianId, complaint, knownUnitId: draft.knownUnit?.id, newUnit: undefined };
  }
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
      ...saidOf(family, draft, system),
    },
  };
}

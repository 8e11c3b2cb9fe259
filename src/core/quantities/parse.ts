import { quantityTable } from './quantity-table';
import {
  toKept,
  unitOf,
  units,
  shownUnit,
  type Quantity,
  type Unit,
  type UnitSystem,
} from './units';

/** What came of the text a person typed. Nothing is guessed: what can mean two things is asked back. */
export type ParsedReading =
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'over-range' }
  | {
      readonly kind: 'ask';
      readonly question: string;
      readonly choices: readonly ParsedChoice[];
      /** What to type so that it is not asked, where there is no room for the choices. */
      readonly instead: string;
    }
  | { readonly kind: 'problem'; readonly message: string };

export interface ParsedChoice {
  readonly label: string;
  readonly meaning:
    { readonly kind: 'value'; readonly value: number } | { readonly kind: 'over-range' };
}

export interface ParseContext {
  readonly quantity: Quantity;
  readonly system: UnitSystem;
  /** The unit of a bare number, where it is not the reader's usual one: millivolts of a thermocouple. */
  readonly unit?: string;
  /**
   * True where a lone `1` is more likely the over-range sign of an old meter than one ohm: an element, a path, an
   * insulation reading. A closed contact may truly read 1 Ω under a dirty contact, so it is asked there as well.
   */
  readonly loneOneIsDoubtful?: boolean;
}

/**
 * Reads a number with or without a unit, with decimal point or comma, or the over-range sign.
 * @returns a kept value, over range, a question with its choices, or what is wrong and what to type instead.
 */
export function parseReading(text: string, context: ParseContext): ParsedReading {
  const typed = text.normalize('NFKC').replace(/−/g, '-').trim();
  if (typed === '')
    return { kind: 'problem', message: 'Nothing is typed yet. Enter what the meter shows.' };
  if (overRangeSign.test(typed)) return overRange(context.quantity);

  const match = numberThenUnit.exec(typed);
  if (!match?.groups) {
    return {
      kind: 'problem',
      message: `"${text.trim()}" is not a number. Enter digits, or OL where the meter shows over range.`,
    };
  }
  const { number = '', unit: unitText = '' } = match.groups;
  const unit =
    unitText === ''
      ? context.unit === undefined
        ? shownUnit(context.quantity, context.system)
        : unitOf(context.unit, context.quantity)
      : findUnit(unitText, context.quantity);
  if (!unit) return wrongUnit(unitText, context.quantity);

  const grouped = groupedThousands(number);
  if (grouped) {
    const choices = grouped.map((value) => choice(value, unit));
    return {
      kind: 'ask',
      question: `Is "${number}" ${choices.map((each) => each.label).join(' or ')}?`,
      choices,
      instead: 'Type it without the comma.',
    };
  }
  // "12 12" are two readings that ran together, not a thousand and more.
  const isOne = !/[\s']/.test(number) || inThousands.test(number);
  const plain = isOne ? Number(number.replace(',', '.').replace(/[\s']/g, '')) : NaN;
  const value = toKept(plain, unit);
  const problem = outOfReach(value, context.quantity);
  if (problem) return { kind: 'problem', message: problem };
  if (
    context.quantity === 'resistance' &&
    context.loneOneIsDoubtful &&
    number === '1' &&
    unitText === ''
  ) {
    return {
      kind: 'ask',
      question: 'One ohm, or a lone 1 at the left of the display, which means over range?',
      choices: [
        { label: 'over range (OL)', meaning: { kind: 'over-range' } },
        { label: '1.0 Ω', meaning: { kind: 'value', value: 1 } },
      ],
      instead: 'Type OL, or 1.0 for one.',
    };
  }
  return { kind: 'value', value };
}

const overRangeSign = /^(?:O\.?L\.?|0\.?L\.?|over(?:load| ?range)?|open|∞|inf(?:inite|inity)?)$/i;

const numberThenUnit =
  /^(?<number>[+-]?(?:\d[\d.,'\s]*\d|\d)(?:[.,])?(?:e[+-]?\d+)?|[+-]?[.,]\d+)\s*(?<unit>[^\d\s.,+-].*)?$/i;

/** Every three figures parted, and nothing else. */
const inThousands = /^[+-]?\d{1,3}(?:[\s']\d{3})+(?:[.,]\d*)?(?:e[+-]?\d+)?$/i;

function overRange(quantity: Quantity): ParsedReading {
  return quantityTable[quantity].goesOver
    ? { kind: 'over-range' }
    : {
        kind: 'problem',
        message: 'OL is a resistance reading. On this range, go up one range and enter the number.',
      };
}

function findUnit(text: string, quantity: Quantity): Unit | undefined {
  const ofQuantity = units.filter((each) => each.quantity === quantity);
  return (
    ofQuantity.find((each) => each.spellings.includes(text)) ??
    ofQuantity.find((each) =>
      each.spellings.some((spelling) => isSameSpelling(spelling, text) && !isMilli(text, spelling)),
    )
  );
}

const isSameSpelling = (one: string, other: string) => one.toLowerCase() === other.toLowerCase();

/** `m` is a thousandth where `M` is a million: twelve milliohms are no twelve megohms. */
const isMilli = (text: string, spelling: string) =>
  text.startsWith('m') && spelling.startsWith('M');

function wrongUnit(text: string, quantity: Quantity): ParsedReading {
  const other = units.find((each) =>
    each.spellings.some((spelling) => isSameSpelling(spelling, text)),
  );
  const wanted = quantityTable[quantity].askedIn;
  if (other?.quantity === quantity) {
    return {
      kind: 'problem',
      message: `"${text}" begins with the m of a thousandth; a million has a large M. This reading is in ${wanted}.`,
    };
  }
  return {
    kind: 'problem',
    message: other
      ? `"${text}" is a unit of another quantity. This reading is in ${wanted}.`
      : `"${text}" is no unit that Ohmmeter knows. This reading is in ${wanted}.`,
  };
}

/** `1,200` can be 1.2 or 1200, so it is asked; `1,234,567` can only be one thing, and `12,8` is a decimal comma. */
function groupedThousands(number: string): [number, number] | undefined {
  const match = /^([+-]?[1-9]\d{0,2})([,'\s])(\d{3})$/.exec(number);
  if (!match) return undefined;
  return [Number(`${match[1]}.${match[3]}`), Number(`${match[1]}${match[3]}`)];
}

function choice(value: number, unit: Unit): ParsedChoice {
  return {
    label: `${value} ${unit.symbol}`,
    meaning: { kind: 'value', value: toKept(value, unit) },
  };
}

function outOfReach(value: number, quantity: Quantity): string | undefined {
  const [least, most] = quantityTable[quantity].reach;
  if (Number.isNaN(value)) return 'That is not one number. Enter a single reading.';
  if (value < least && least === 0)
    return `A ${nameOf(quantity)} is never below zero. Check the sign.`;
  if (value < least) return `That is below what a ${nameOf(quantity)} can be here. Check the unit.`;
  if (value > most) {
    return quantity === 'resistance'
      ? 'No hand meter reads that high. Enter OL if the meter shows over range.'
      : `That is above what a ${nameOf(quantity)} can be here. Check the decimal point and the unit.`;
  }
  return undefined;
}

function nameOf(quantity: Quantity): string {
  return quantity.replace('-ac', '').replace('-', ' ');
}

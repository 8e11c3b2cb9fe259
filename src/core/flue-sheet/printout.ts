import type { UnitSystem } from '../quantities';

/**
 * What an analyser prints or saves, whatever it calls its lines: one figure a line, or titles above a row of figures. Guessed,
 * shown, and changed by whoever knows better before anything is entered.
 */
export interface PrintedFigure {
  /** As it stands in the file. */
  readonly label: string;
  readonly text: string;
  readonly number: number;
  readonly unit: PrintedUnit | undefined;
  /** What it is entered as; undefined where it is left out. */
  readonly key: PrintedKey | undefined;
}

export type PrintedUnit = 'percent' | 'ppm' | 'celsius' | 'fahrenheit';

export const printedKeys = {
  oxygen: 'percent',
  carbonDioxide: 'percent',
  carbonMonoxide: 'ppm',
  flueTemperature: 'temperature',
  airTemperature: 'temperature',
  returnTemperature: 'temperature',
  ambientCarbonMonoxide: 'ppm',
} as const;
export type PrintedKey = keyof typeof printedKeys;

/** A file of more rows is no analysis. */
const mostRows = 2000;

/**
 * The figures of an analyser's file. Where it has a row for each of several analyses, those of the one asked for.
 * @param system whose degrees a temperature without a unit is taken to be in, until somebody says otherwise.
 * @param row counted from the last, 0.
 */
export function readPrintout(
  rows: readonly (readonly string[])[],
  system: UnitSystem,
  row = 0,
): { readonly figures: readonly PrintedFigure[]; readonly rowCount: number } {
  const filled = rows.slice(0, mostRows).filter((each) => each.some((cell) => cell.trim() !== ''));
  const beside = filled.flatMap(figureOfLine);
  const titled = titledRows(filled);
  // Titles above give more figures in one row than there are lines that have one each.
  if (titled.length > 0 && titled[0]!.length > beside.length) {
    const k = Math.max(0, titled.length - 1 - row);
    return { figures: inDegrees(onceEach(titled[k]!), system), rowCount: titled.length };
  }
  return { figures: inDegrees(onceEach(beside), system), rowCount: beside.length > 0 ? 1 : 0 };
}

/** A number as it is printed: more than a cell can read, it is at least that; its thousands perhaps parted by a space or a stroke. */
const printed = String.raw`(?:[>≥]\s*)?[-+]?(?:\d{1,3}(?:[ '’\u00a0\u202f]\d{3})+|\d+)(?:[.,]\d+)?`;
const lineOnPaper = new RegExp(String.raw`^(.*?\S)[\s:=]+(${printed})\s*(\S{1,4})?$`);
const numberAndUnit = new RegExp(String.raw`^(${printed})\s*(\S{0,4})$`);
const numberAlone = new RegExp(`^${printed}$`);
/** Parts of a million are counted in whole ones: "1,234" of them are a thousand and more, not one and a bit. */
const thousandsOfMillionths = /^(?:[>≥]\s*)?[-+]?[1-9]\d{0,2}[.,]\d{3}$/;

/** A line with words, a number, and perhaps its unit. */
function figureOfLine(cells: readonly string[]): PrintedFigure[] {
  const trimmed = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  // One cell: "O2  4.7 %", as it is printed on paper.
  const parts = trimmed.length === 1 ? (lineOnPaper.exec(trimmed[0]!)?.slice(1) ?? []) : trimmed;
  const [label, text = '', unit = ''] = parts;
  const match = numberAndUnit.exec(text);
  if (!label || !match || numberOf(label) !== undefined) return [];
  return [figureOf(label, match[1]!, match[2] || unit)];
}

/** Rows of figures under their titles. */
function titledRows(rows: readonly (readonly string[])[]): PrintedFigure[][] {
  const heading = rows.findIndex(
    (cells) =>
      cells.filter((cell) => keyOf(cell) !== undefined).length >= 2 &&
      cells.filter((cell) => numberOf(cell) !== undefined).length === 0,
  );
  if (heading < 0) return [];
  const titles = rows[heading]!;
  return rows.slice(heading + 1).flatMap((cells) => {
    const figures = titles.flatMap((title, k) => {
      const text = (cells[k] ?? '').trim();
      return title.trim() !== '' && numberOf(text) !== undefined ? [figureOf(title, text, '')] : [];
    });
    return figures.length >= 2 ? [figures] : [];
  });
}

function figureOf(label: string, text: string, unitText: string): PrintedFigure {
  const said = unitText || (/[[(]?([°%\w]+)[\])]?\s*$/.exec(label.trim())?.[1] ?? '');
  const unit = unitOf(said);
  const key = keyOf(label);
  // A unit that is not known, milligrams a cubic metre, is none that could be entered.
  const isUnknown = unitText !== '' && unit === undefined;
  const isOther = key !== undefined && unit !== undefined && kindOf(unit) !== printedKeys[key];
  return {
    label: label.trim(),
    text,
    number: numberOf(text)!,
    unit,
    key: isUnknown || isOther ? undefined : key,
  };
}

const kindOf = (unit: PrintedUnit) =>
  unit === 'celsius' || unit === 'fahrenheit' ? 'temperature' : unit;

/** Two lines of one name: the first counts. */
function onceEach(figures: readonly PrintedFigure[]): PrintedFigure[] {
  const taken = new Set<PrintedKey>();
  return figures.map((each) => {
    if (each.key === undefined || !taken.has(each.key)) {
      if (each.key !== undefined) taken.add(each.key);
      return each;
    }
    return { ...each, key: undefined };
  });
}

/** A temperature always has a unit: where the file says none, the reader's own. */
const inDegrees = (figures: readonly PrintedFigure[], system: UnitSystem): PrintedFigure[] =>
  figures.map((each) => {
    const isBare = each.key && printedKeys[each.key] === 'temperature' && each.unit === undefined;
    return isBare ? { ...each, unit: system === 'us' ? 'fahrenheit' : 'celsius' } : each;
  });

function numberOf(text: string): number | undefined {
  const plain = text.trim();
  return numberAlone.test(plain)
    ? Number(plain.replace(/[>≥\s'’]/g, '').replace(',', '.'))
    : undefined;
}

function unitOf(text: string): PrintedUnit | undefined {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/[[\]()]/g, '');
  if (plain === '%' || plain === 'vol%' || plain === 'pct') return 'percent';
  if (plain === 'ppm') return 'ppm';
  if (/^(°|deg)?\s?c$/.test(plain) && plain !== 'c') return 'celsius';
  if (plain === '°f' || plain === 'degf') return 'fahrenheit';
  return plain === 'c' ? 'celsius' : plain === 'f' ? 'fahrenheit' : undefined;
}

/** What a title is of, the narrower words first: carbon monoxide in the room is no carbon monoxide of the flue. */
function keyOf(label: string): PrintedKey | undefined {
  const words = label.toLowerCase().replace(/₂/g, '2');
  const has = (pattern: RegExp) => pattern.test(words);
  // Figures that the analyser has worked out are worked out here, from what it read.
  if (has(/air[- ]?free|undiluted|excess|max|ratio|loss|eff|\bco\s*\/\s*co2|\bnox?\b|\bdew/)) {
    return undefined;
  }
  const isMonoxide = has(/\bco\b|carbon monoxide/);
  if (isMonoxide && has(/amb|room/)) return 'ambientCarbonMonoxide';
  if (has(/\bco2\b|carbon dioxide/)) return 'carbonDioxide';
  if (isMonoxide) return 'carbonMonoxide';
  if (has(/\bo2\b|oxygen/)) return 'oxygen';
  const isTemperature = has(/temp|°|\bt[- .]?(flue|stack|gas|air|amb|return)|\bdeg/) || has(/^t\b/);
  if (has(/return/) && isTemperature) return 'returnTemperature';
  if (isTemperature && has(/flue|stack|gas|exhaust/)) return 'flueTemperature';
  if (isTemperature && has(/air|amb|intake|inlet|room/)) return 'airTemperature';
  return undefined;
}

const millionthsInPercent = 10_000;

type PrintedValue =
  { readonly percent: number } | { readonly ppm: number } | { readonly celsius: number };

/** The values of an entry, by what its figures were said to be. */
export function printedValues(figures: readonly PrintedFigure[]): Record<string, PrintedValue> {
  const values: Record<string, PrintedValue> = {};
  for (const figure of figures) {
    if (figure.key !== undefined) values[figure.key] = valueOf(printedKeys[figure.key], figure);
  }
  return values;
}

function valueOf(
  kind: (typeof printedKeys)[PrintedKey],
  { number, text, unit }: PrintedFigure,
): PrintedValue {
  // A share is a share, whichever way it is printed: 0.12 % of carbon monoxide are 1200 ppm.
  if (kind === 'percent')
    return { percent: unit === 'ppm' ? number / millionthsInPercent : number };
  if (kind === 'ppm') {
    if (unit === 'percent') return { ppm: Math.round(number * millionthsInPercent) };
    return { ppm: thousandsOfMillionths.test(text) ? Math.round(number * 1000) : number };
  }
  const celsius = unit === 'fahrenheit' ? ((number - 32) * 5) / 9 : number;
  return { celsius: Math.round(celsius * 100) / 100 };
}

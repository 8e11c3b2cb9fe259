import { heatingMinutes } from '../thermal';
import { schools, wayOf, type ChosenWays } from '../schools';
import { adultBurnSeconds, bacteriaSafeCelsius } from './scald';

/** What a rule looks at: the sheet as it stands now, and the unit. */
export interface SheetContext {
  /** Dials of stored water, in °C, the uppermost first; only those that were read. */
  readonly dials: readonly number[];
  choice(id: string): string | undefined;
  number(id: string): number | undefined;
  readonly litre: number;
  readonly heaterWatt: number;
  /** Where the high limit opens, in °C. */
  readonly limitCelsius: number;
  readonly ways: ChosenWays;
}

export interface RuleFinding {
  readonly id: string;
  readonly state: 'kept' | 'broken' | 'unknown';
  readonly title: string;
  /** What it says here, with its numbers: temperatures and differences by name, to be shown in the reader's units. */
  readonly says: readonly RulePart[];
  readonly reason: string;
  /** A standard by name, practice, or from memory. */
  readonly source: string;
  /** The other school's way and reason, where there is one. */
  readonly otherSchool?: string;
}

export type RulePart =
  | string
  | { readonly celsius: number }
  | { readonly kelvin: number }
  | { readonly seconds: number }
  | { readonly litre: number }
  | { readonly litrePerMinute: number }
  | { readonly pascal: number };

export type Told = Pick<RuleFinding, 'state' | 'says'>;

interface Rule {
  readonly id: string;
  readonly title: string;
  readonly reason: string;
  readonly source: string;
  /** Undefined where it has nothing to say of such a sheet. */
  tell(sheet: SheetContext): Told | undefined;
}

/** Dials that differ by less are equal: nobody reads one better. Common practice. */
const equalKelvin = 2;
/** 10 °F: common practice. */
const limitMarginKelvin = 5.6;
/** Common practice: below it a valve does not hold; from the other on it holds steady. */
const valveKelvin = { least: 2, steady: 10 } as const;
/**
 * At a bath where somebody's skin is thin (TMV2 scheme), at any bath (Approved Document G), both from memory; and what dials are
 * usually left at: common practice.
 */
const outletCelsius = { vulnerable: 44, bath: 48, usual: 52.5 } as const;
const coldCelsius = 10;

export const unknown = (...says: readonly RulePart[]): Told => ({ state: 'unknown', says });
export const kept = (...says: readonly RulePart[]): Told => ({ state: 'kept', says });
export const broken = (...says: readonly RulePart[]): Told => ({ state: 'broken', says });

const outletOf = (sheet: SheetContext): number | undefined => {
  if (sheet.choice('mixing-valve') === 'fitted') return sheet.number('mixing-valve-setpoint');
  return sheet.dials.length > 0 ? Math.max(...sheet.dials) : undefined;
};

/** Rules between the settings of a storage heater: each with its reason and its source. */
const storageRules: readonly Rule[] = [
  {
    id: 'dials-equal',
    title: 'Both dials equal',
    reason:
      'A lower dial that stands lower leaves most of the tank lukewarm; one that stands higher heats past what the tap is meant to give.',
    source: 'common practice',
    tell({ dials }) {
      if (dials.length < 2) return undefined;
      const difference = Math.max(...dials) - Math.min(...dials);
      return difference <= equalKelvin
        ? kept(
            difference < 0.5 ? 'Equal.' : 'Equal to ',
            ...(difference < 0.5 ? [] : [{ kelvin: difference }, '.']),
          )
        : broken('They differ by ', { kelvin: difference }, '.');
    },
  },
  {
    id: 'under-the-limit',
    title: 'Setting under the high limit',
    reason:
      'A setting near the limit trips it on an ordinary heat-up: the unit goes dead, and nothing in it is faulty.',
    source: 'common practice: 10 °F',
    tell({ dials, limitCelsius }) {
      if (dials.length === 0) return unknown('Read the dials.');
      const margin = limitCelsius - Math.max(...dials);
      return margin >= limitMarginKelvin
        ? kept({ kelvin: margin }, ' under it.')
        : broken('Only ', { kelvin: margin }, ' under it.');
    },
  },
  {
    id: 'scald',
    title: 'What comes out of the tap',
    reason:
      'Time to a full-thickness burn of adult skin; a child’s and an old person’s burn sooner, a child’s in about half the time.',
    source: 'US CPSC publication 5098; TMV2; Approved Document G; from memory',
    tell(sheet) {
      const outlet = outletOf(sheet);
      if (outlet === undefined) return unknown('Read what the tap gives.');
      const household = sheet.choice('household');
      const burn = adultBurnSeconds(outlet);
      const soon: readonly RulePart[] =
        burn === undefined
          ? ['No burn within minutes at ', { celsius: outlet }, '.']
          : ['At ', { celsius: outlet }, ' an adult burns in about ', { seconds: burn }, '.'];
      if (outlet <= outletCelsius.vulnerable) return kept(...soon);
      if (outlet > outletCelsius.usual) {
        return broken(...soon, ' A mixing valve, or a lower setting.');
      }
      if (household === 'vulnerable') {
        return broken(
          ...soon,
          ' At a bath no more than ',
          { celsius: outletCelsius.vulnerable },
          ' with somebody small, old or frail here: a mixing valve.',
        );
      }
      if (household === undefined) return unknown(...soon, ' Who lives here?');
      return outlet <= outletCelsius.bath
        ? kept(...soon)
        : kept(
            ...soon,
            ' Where a rule asks it, no more than ',
            { celsius: outletCelsius.bath },
            ' at a bath.',
          );
    },
  },
  {
    id: 'bacteria',
    title: 'What is stored',
    reason:
      'Below 60 °C bacteria can live in stored water; where all of it is drawn every day, or run hot once a week, they have no time.',
    source: 'HSE HSG274 part 2, from memory',
    tell(sheet) {
      if (sheet.dials.length === 0) return unknown('Read the dials.');
      const stored = Math.min(...sheet.dials);
      if (stored >= bacteriaSafeCelsius) return kept('Stored at ', { celsius: stored }, '.');
      const isTurned = sheet.choice('turnover') === 'daily';
      const isRunHot = sheet.choice('weekly-hot-run') === 'on';
      if (isTurned) return kept('Stored at ', { celsius: stored }, ', and drawn every day.');
      if (isRunHot) return kept('Stored at ', { celsius: stored }, ', and run hot every week.');
      return sheet.choice('turnover') === undefined
        ? unknown('Stored at ', { celsius: stored }, ': is all of it drawn every day?')
        : broken(
            'Stored at ',
            { celsius: stored },
            ' and not drawn every day: store at ',
            { celsius: bacteriaSafeCelsius },
            ' and mix, or run it hot every week.',
          );
    },
  },
  {
    id: 'mixing-valve',
    title: 'The mixing valve has its difference',
    reason: 'A thermostatic valve needs hotter water than it gives, or it cannot hold its setting.',
    source: 'common practice: 10 K to hold steady, 2 K at least',
    tell(sheet) {
      if (sheet.choice('mixing-valve') !== 'fitted') return undefined;
      const mixed = sheet.number('mixing-valve-setpoint');
      if (mixed === undefined || sheet.dials.length === 0) {
        return unknown('Measure what it gives, and read the dials.');
      }
      const difference = Math.min(...sheet.dials) - mixed;
      if (difference >= valveKelvin.steady)
        return kept('Stored ', { kelvin: difference }, ' hotter.');
      return difference >= valveKelvin.least
        ? broken('Only ', { kelvin: difference }, ' between: it will hunt.')
        : broken('It has ', { kelvin: difference }, ': it passes whatever comes.');
    },
  },
  {
    id: 'time-switch',
    title: 'Time switch covers the heat-up',
    reason: 'What is not heated in its hours is cold in the others.',
    source: 'arithmetic: minutes = 4186 · L · K ÷ (60 · W)',
    tell(sheet) {
      if (sheet.choice('time-switch') !== 'fitted') return undefined;
      const seconds = sheet.number('time-switch-on');
      if (seconds === undefined || sheet.dials.length === 0) {
        return unknown('Read its longest stretch, and the dials.');
      }
      const needed =
        60 *
        heatingMinutes({
          litre: sheet.litre,
          fromCelsius: coldCelsius,
          toCelsius: Math.min(94, Math.max(...sheet.dials)),
          watt: sheet.heaterWatt,
        });
      return seconds >= needed
        ? kept('From cold it takes ', { seconds: needed }, ', and has ', { seconds }, '.')
        : broken('From cold it takes ', { seconds: needed }, ', and has only ', { seconds }, '.');
    },
  },
];

const storing = schools.find(({ id }) => id === 'storing')!;

/** What the firm's school says of how water is stored, with the other's reason. */
function schoolFinding(sheet: SheetContext): RuleFinding {
  const way = wayOf(storing, sheet.ways);
  const other = storing.ways.find(({ id }) => id !== way.id)!;
  const common = {
    id: 'school',
    title: `Stored ${way.label}`,
    reason: way.why,
    source: 'the firm’s school; common practice',
    otherSchool: `${other.label}: ${other.why}`,
  };
  if (sheet.dials.length === 0) return { ...common, ...unknown('Read the dials.') };
  const stored = Math.min(...sheet.dials);
  const hottest = Math.max(...sheet.dials);
  if (way.id === 'hot-and-mixed') {
    const isMixed = sheet.choice('mixing-valve') === 'fitted';
    return {
      ...common,
      ...(stored >= bacteriaSafeCelsius && isMixed
        ? kept({ celsius: stored }, ', and mixed.')
        : broken({ celsius: stored }, isMixed ? ', and mixed.' : ', and not mixed.')),
    };
  }
  return {
    ...common,
    ...(hottest <= 52.5 && stored >= 47.5
      ? kept({ celsius: stored }, '.')
      : broken({ celsius: stored === hottest ? stored : hottest }, '.')),
  };
}

/** Every rule of a sheet, worked out on it. */
export function ruleFindings(sheet: SheetContext): RuleFinding[] {
  return [
    ...storageRules.flatMap(({ tell, ...rule }) => {
      const told = tell(sheet);
      return told ? [{ ...rule, ...told }] : [];
    }),
    schoolFinding(sheet),
  ];
}

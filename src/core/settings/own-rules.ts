import type { ChosenWays } from '../schools';
import type { SheetParameter } from './parameter';
import { broken, kept, unknown, type RuleFinding, type Told } from './rules';
import { adultBurnSeconds, bacteriaSafeCelsius } from './scald';

/** What a rule of a family's own sheet looks at. */
export interface OwnSheetContext<Plate> {
  readonly plate: Plate;
  choice(id: string): string | undefined;
  number(id: string): number | undefined;
  readonly ways: ChosenWays;
}

export interface OwnRule<Plate> {
  readonly id: string;
  readonly title: string;
  readonly reason: string;
  readonly source: string;
  /** Undefined where it has nothing to say of such a sheet. */
  tell(sheet: OwnSheetContext<Plate>): Told | undefined;
}

/** A sheet that a family has of its own: what stands on it beside its dials, and what the rules between them say. */
export interface OwnSheet<Plate> {
  readonly parameters: readonly SheetParameter[];
  readonly rules: readonly OwnRule<Plate>[];
}

export function ownFindings<Plate>(
  rules: readonly OwnRule<Plate>[],
  sheet: OwnSheetContext<Plate>,
): RuleFinding[] {
  return rules.flatMap(({ tell, ...rule }) => {
    const told = tell(sheet);
    return told ? [{ ...rule, ...told }] : [];
  });
}

/** Highest at a bath where somebody's skin is thin. TMV2, from memory. */
const vulnerableCelsius = 44;

/** What leaves a tap that nothing mixes, or that a valve holds, against who lives here. */
export const scaldRule = <Plate>(
  outletOf: (sheet: OwnSheetContext<Plate>) => number | undefined,
): OwnRule<Plate> => ({
  id: 'scald',
  title: 'What comes out of the tap',
  reason:
    'Time to a full-thickness burn of adult skin; a child’s and an old person’s burn sooner, a child’s in about half the time.',
  source: 'US CPSC publication 5098; TMV2; from memory',
  tell(sheet) {
    const outlet = outletOf(sheet);
    if (outlet === undefined) return unknown('Read what the tap gives.');
    const burn = adultBurnSeconds(outlet);
    const soon =
      burn === undefined
        ? (['No burn within minutes at ', { celsius: outlet }, '.'] as const)
        : ([
            'At ',
            { celsius: outlet },
            ' an adult burns in about ',
            { seconds: burn },
            '.',
          ] as const);
    if (outlet <= vulnerableCelsius) return kept(...soon);
    const household = sheet.choice('household');
    if (household === undefined) return unknown(...soon, ' Who lives here?');
    return household === 'vulnerable'
      ? broken(
          ...soon,
          ' At a bath no more than ',
          { celsius: vulnerableCelsius },
          ': a mixing valve.',
        )
      : kept(...soon);
  },
});

/** Stored under 60 °C it is made hot once a week, or bacteria may grow. */
export const bacteriaRule = <Plate>(
  storedOf: (sheet: OwnSheetContext<Plate>) => number | undefined,
): OwnRule<Plate> => ({
  id: 'bacteria',
  title: 'Stored warm, and made hot once a week',
  reason: 'Between 20 and 45 °C bacteria grow; an hour at 60 °C once a week keeps them down.',
  source: 'HSE HSG274 part 2, from memory',
  tell(sheet) {
    const stored = storedOf(sheet);
    if (stored === undefined) return unknown('Read the setpoint.');
    if (stored >= bacteriaSafeCelsius) return kept('Stored at ', { celsius: stored }, '.');
    const cycle = sheet.choice('disinfection');
    if (cycle === undefined) return unknown('Read the disinfection cycle.');
    return cycle === 'weekly'
      ? kept('Stored at ', { celsius: stored }, ', hot once a week.')
      : broken('Stored at ', { celsius: stored }, ', and never made hot.');
  },
});

/** Normal mode, hot water on. */
export const modeRule = <Plate>(): OwnRule<Plate> => ({
  id: 'mode',
  title: 'Hot water switched on',
  reason: 'On holiday, or with hot water off, nothing is heated and nothing is faulty.',
  source: 'common practice',
  tell({ choice }) {
    const mode = choice('operating-mode');
    if (mode === undefined) return unknown('Read the mode.');
    return mode === 'normal' ? kept('Normal.') : broken('Not a fault: it is not in normal mode.');
  },
});

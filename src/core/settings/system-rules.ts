import { heatingMinutes } from '../thermal';
import { broken, kept, unknown, type RuleFinding, type RulePart, type Told } from './rules';
import { adultBurnSeconds, bacteriaSafeCelsius } from './scald';

/** What a rule looks at: the sheet of a boiler with zones and a cylinder, and what its plate says. */
export interface SystemSheetContext {
  choice(id: string): string | undefined;
  number(id: string): number | undefined;
  readonly emitter: 'radiator' | 'baseboard' | 'radiant-floor' | 'fan-coil';
  readonly hasCylinder: boolean;
  readonly limitCelsius: number;
  readonly litre: number;
  readonly heatWatt: number;
}

interface SystemRule {
  readonly id: string;
  readonly title: string;
  readonly reason: string;
  readonly source: string;
  tell(sheet: SystemSheetContext): Told | undefined;
}

/** Gaps that a cylinder and a limit need, in kelvin. Common practice. */
const gaps = { limit: 5.5, supply: 10, underUnitLimit: 5, mixing: 2 } as const;
/** Outlets: TMV2, Approved Document G, from memory. */
const outletCelsius = { vulnerable: 44, bath: 48 } as const;
const usualSupply = {
  baseboard: [75, 80],
  radiator: [55, 75],
  'radiant-floor': [35, 50],
  'fan-coil': [50, 65],
} as const;

const minutes = (seconds: number): string => {
  const whole = Math.round(seconds / 6) / 10;
  return `${whole} min`;
};

const rules: readonly SystemRule[] = [
  {
    id: 'enabled',
    title: 'Switched on',
    reason: 'A lit display is no enabled boiler: only its own lamp says so.',
    source: 'common practice',
    tell({ choice }) {
      const on = choice('enabled');
      if (on === undefined) return unknown('Read the lamp at the power button.');
      return on === 'on' ? kept('Enabled.') : broken('Not a fault: it is not switched on.');
    },
  },
  {
    id: 'hot-water-switch',
    title: 'Hot water on',
    reason:
      'One switch turns the cylinder off, as on holiday; after a change of mode it may be off.',
    source: 'common practice',
    tell({ choice, hasCylinder }) {
      if (!hasCylinder) return undefined;
      const on = choice('hot-water-switch');
      if (on === undefined) return unknown('Read its own lamp.');
      return on === 'on' ? kept('On.') : broken('Not a fault: hot water is switched off.');
    },
  },
  {
    id: 'mode',
    title: 'Mode by the pipework',
    reason: 'In a mode without a cylinder its call goes nowhere.',
    source: 'common practice',
    tell({ choice, hasCylinder }) {
      const mode = choice('appliance-mode');
      if (mode === undefined) return unknown('Read the mode.');
      const has = mode === 'heat-and-cylinder' || mode === 'heat-combi-and-cylinder';
      return has === hasCylinder
        ? kept('As it is piped.')
        : broken('Not a fault of a part: the mode has ', has ? 'a' : 'no', ' cylinder.');
    },
  },
  {
    id: 'start-delay',
    title: 'Start delay',
    reason: 'A forgotten start delay looks like a dead boiler.',
    source: 'common practice: 0 unless a reason is written',
    tell({ number }) {
      const delay = number('start-delay-heating');
      if (delay === undefined) return unknown('Read the start delay.');
      return delay === 0
        ? kept('None.')
        : broken(`Not a fault: the start delay is set to ${minutes(delay)}.`);
    },
  },
  {
    id: 'cylinder-limit',
    title: 'Cylinder limit above its setpoint',
    reason: 'At the limit the call stops before the setpoint: short, never warm enough.',
    source: 'common practice: 5 to 6 K, 10 °F',
    tell({ number }) {
      const [set, limit] = [number('cylinder-setpoint'), number('cylinder-limit')];
      if (set === undefined || limit === undefined) return unknown('Read setpoint and limit.');
      const gap = limit - set;
      return gap >= gaps.limit
        ? kept({ kelvin: gap }, ' between.')
        : broken(
            'Not a fault: the setpoint of ',
            { celsius: set },
            ' sits ',
            gap <= 0 ? 'at or above its limit of ' : 'too near its limit of ',
            { celsius: limit },
            '.',
          );
    },
  },
  {
    id: 'cylinder-supply',
    title: 'Supply while the cylinder heats',
    reason:
      'Too little over the setpoint and the coil gives nothing at the end; too near the limit and it cycles.',
    source: 'common practice',
    tell({ number, limitCelsius }) {
      const [set, supply] = [number('cylinder-setpoint'), number('cylinder-supply')];
      if (set === undefined || supply === undefined) return unknown('Read both.');
      if (supply - set < gaps.supply) {
        return broken('Only ', { kelvin: supply - set }, ' over the setpoint.');
      }
      return supply <= limitCelsius - gaps.underUnitLimit
        ? kept({ kelvin: supply - set }, ' over the setpoint.')
        : broken('Too near the limit of the unit, ', { celsius: limitCelsius }, '.');
    },
  },
  {
    id: 'curve-limit',
    title: 'Curve under its limits',
    reason:
      'A curve above the highest supply is cut flat; a supply near the unit’s limit cycles on it.',
    source: 'arithmetic',
    tell({ number, limitCelsius }) {
      const [design, most] = [number('curve-supply-at-design'), number('supply-limit')];
      if (design === undefined || most === undefined) return unknown('Read both.');
      if (design > most) {
        return broken(
          'The curve asks ',
          { celsius: design },
          ', and is cut at ',
          { celsius: most },
          '.',
        );
      }
      return most <= limitCelsius - gaps.underUnitLimit
        ? kept('Up to ', { celsius: design }, '.')
        : broken('The highest supply is too near the limit of the unit.');
    },
  },
  {
    id: 'curve-ends',
    title: 'Two ends of a curve',
    reason:
      'Warmer outdoors asks for no more than colder; and it must leave off above the design day.',
    source: 'arithmetic',
    tell({ number }) {
      const [design, mild, day, off] = [
        'curve-supply-at-design',
        'curve-supply-at-mild',
        'curve-outdoor-design',
        'warm-weather-shutdown',
      ].map((id) => number(id));
      if (design === undefined || mild === undefined) return unknown('Read both ends.');
      if (mild > design) return broken('The mild end stands above the cold one.');
      return off !== undefined && day !== undefined && off <= day + 5
        ? broken('Not a fault: heating is shut down above ', { celsius: off }, '.')
        : kept('From ', { celsius: mild }, ' to ', { celsius: design }, '.');
    },
  },
  {
    id: 'shutdown',
    title: 'Heating shut down by the weather',
    reason: 'Above it no room is heated, whatever its thermostat says; the cylinder is.',
    source: 'common practice: 18 to 21 °C',
    tell({ number }) {
      const off = number('warm-weather-shutdown');
      if (off === undefined) return unknown('Read it.');
      return off >= 15
        ? kept('Above ', { celsius: off }, '.')
        : broken('Not a fault: no heating above ', { celsius: off }, '.');
    },
  },
  {
    id: 'emitter',
    title: 'Curve for what it heats',
    reason:
      'As delivered a boiler is set for hot emitters: a floor is hurt by it, and nothing condenses.',
    source: 'common practice; EN 442 for what a radiator gives',
    tell({ number, emitter }) {
      const design = number('curve-supply-at-design');
      const most = number('supply-limit');
      if (design === undefined) return unknown('Read the supply at the design day.');
      const [from, to] = usualSupply[emitter];
      if (emitter === 'radiant-floor' && (design > 50 || (most ?? 0) > 60)) {
        return broken(
          'A floor takes ',
          { celsius: 50 },
          ' at the design day, and a limit of ',
          { celsius: 60 },
          '.',
        );
      }
      if (design < from - 3)
        return broken(
          'Not a fault: the curve is low for these emitters, ',
          { celsius: from },
          ' and over.',
        );
      return design > to + 5
        ? broken('High for these emitters: ', { celsius: to }, ' is usual.')
        : kept({ celsius: design }, ' at the design day.');
    },
  },
  {
    id: 'condensing',
    title: 'Condensing',
    reason:
      'Below the dew point, 54 °C for natural gas, water leaves the flue gas and its heat stays.',
    source: 'combustion: dew point by the reaction',
    tell({ number }) {
      const [design, mild] = [number('curve-supply-at-design'), number('curve-supply-at-mild')];
      if (design === undefined || mild === undefined) return undefined;
      const returnMean = (design + mild) / 2 - 12;
      return returnMean < 54
        ? kept(
            'A return of about ',
            { celsius: returnMean },
            ' through most of the season condenses.',
          )
        : broken('A return of about ', { celsius: returnMean }, ' hardly condenses.');
    },
  },
  {
    id: 'zone-valves',
    title: 'Overrun and zone valves',
    reason: 'A pump that runs on against shut valves pushes against nothing.',
    source: 'common practice',
    tell({ choice, number }) {
      if (choice('zone-valves') !== 'valves') return undefined;
      const overrun = number('overrun-heating');
      if (overrun === undefined) return unknown('Read the overrun.');
      return overrun === 0 ? kept('No overrun.') : broken('A bypass, or a zone that stays open.');
    },
  },
  {
    id: 'stored',
    title: 'Stored hot water',
    reason: 'Below 60 °C bacteria grow: a weekly hot run, or a demand that turns it over daily.',
    source: 'HSE HSG274 part 2, from memory',
    tell({ number, choice, hasCylinder }) {
      if (!hasCylinder) return undefined;
      const set = number('cylinder-setpoint');
      if (set === undefined) return unknown('Read the cylinder setpoint.');
      if (set < 50)
        return broken('Not a fault: the cylinder is set to ', { celsius: set }, ' only.');
      return set >= bacteriaSafeCelsius || choice('disinfection') === 'on'
        ? kept({ celsius: set }, choice('disinfection') === 'on' ? ', with a weekly hot run.' : '.')
        : broken({ celsius: set }, ' stored, and no weekly hot run.');
    },
  },
  {
    id: 'scald',
    title: 'What comes out of the tap',
    reason: 'Time to a full-thickness burn of adult skin; a child burns sooner.',
    source: 'US CPSC publication 5098; TMV2; Approved Document G; from memory',
    tell({ number, choice, hasCylinder }) {
      if (!hasCylinder) return undefined;
      const isMixed = choice('mixing-valve') === 'fitted';
      const outlet = isMixed ? number('mixing-valve-setpoint') : number('cylinder-setpoint');
      if (outlet === undefined)
        return unknown(isMixed ? 'Measure the outlet.' : 'Read the setpoint.');
      const burn = adultBurnSeconds(outlet);
      const says: readonly RulePart[] =
        burn === undefined
          ? ['No burn within minutes at ', { celsius: outlet }, '.']
          : ['At ', { celsius: outlet }, ' an adult burns in about ', { seconds: burn }, '.'];
      const most =
        choice('household') === 'vulnerable' ? outletCelsius.vulnerable : outletCelsius.bath;
      return outlet <= most ? kept(...says) : broken(...says, ' A mixing valve, set by measuring.');
    },
  },
  {
    id: 'mixing',
    title: 'Mixing valve has something to mix',
    reason: 'A valve needs water hotter than what it gives.',
    source: 'common practice',
    tell({ number, choice }) {
      if (choice('mixing-valve') !== 'fitted') return undefined;
      const [set, mixed] = [number('cylinder-setpoint'), number('mixing-valve-setpoint')];
      if (set === undefined || mixed === undefined) return unknown('Read setpoint and outlet.');
      return set - mixed >= gaps.mixing
        ? kept({ kelvin: set - mixed }, ' between.')
        : broken('Only ', { kelvin: set - mixed }, ' between store and outlet.');
    },
  },
  {
    id: 'heat-up',
    title: 'Heat-up of the cylinder',
    reason: 'What the boiler gives into what it holds, from cold.',
    source: 'heat balance',
    tell({ number, litre, heatWatt, hasCylinder }) {
      const set = number('cylinder-setpoint');
      if (!hasCylinder || set === undefined) return undefined;
      const needed = heatingMinutes({ litre, fromCelsius: 15, toCelsius: set, watt: heatWatt });
      return kept(`About ${Math.round(needed)} min from cold at full output.`);
    },
  },
  {
    id: 'read-back',
    title: 'Confirmed and read back',
    reason: 'Not confirmed is not stored: leave the menu, come back, read it.',
    source: 'common practice',
    tell({ choice }) {
      const said = choice('read-back');
      if (said === undefined) return undefined;
      return said === 'same'
        ? kept('The same.')
        : broken(said === 'other' ? 'It did not keep what was set.' : 'Not read back yet.');
    },
  },
];

export const systemFindings = (sheet: SystemSheetContext): RuleFinding[] =>
  rules.flatMap(({ tell, ...rule }) => {
    const told = tell(sheet);
    return told ? [{ ...rule, ...told }] : [];
  });

/** What a sheet as found comes to for a diagnosis: the worst of it; undefined while nothing has been read that tells. */
export function sheetOutcome(sheet: SystemSheetContext): string | undefined {
  const state = (id: string) => rules.find((each) => each.id === id)!.tell(sheet)?.state;
  const traps: readonly (readonly [rule: string, outcome: string])[] = [
    ['enabled', 'not-enabled'],
    ['hot-water-switch', 'tank-off'],
    ['mode', 'mode'],
    ['start-delay', 'start-delay'],
    ['cylinder-limit', 'tank-limit'],
    ['shutdown', 'warm-weather'],
  ];
  const found = traps.find(([id]) => state(id) === 'broken');
  if (found) return found[1];
  const set = sheet.number('cylinder-setpoint');
  if (set !== undefined && set < 50) return 'tank-setpoint';
  if (state('emitter') === 'broken') return 'curve';
  // All right is said only of a sheet that was read.
  return traps.every(([id]) => state(id) === 'kept') ? 'right' : undefined;
}

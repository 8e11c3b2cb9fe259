import { schools, wayOf, type ChosenWays } from '../schools';
import {
  drawLimit,
  firingsADay,
  heatingEfficiency,
  hotPascal,
  keepWarmKilowattHours,
  litresSavedADraw,
  pipeLitre,
  radiatorShare,
  reliefPascal,
} from '../water';
import { broken, kept, unknown, type RuleFinding, type RulePart, type Told } from './rules';
import { adultBurnSeconds } from './scald';

/** What a rule looks at: the sheet of a unit that warms its tap as it runs, and what the unit can do. */
export interface TapSheetContext {
  readonly tapCelsius: number | undefined;
  /** Of the heating; none where there is no loop. */
  readonly flowCelsius: number | undefined;
  readonly hasFlow: boolean;
  readonly mostWatt: number;
  readonly bodyJoulePerKelvin: number;
  choice(id: string): string | undefined;
  number(id: string): number | undefined;
  readonly ways: ChosenWays;
}

interface TapRule {
  readonly id: string;
  readonly title: string;
  readonly reason: string;
  readonly source: string;
  tell(sheet: TapSheetContext): Told | undefined;
}

const outletCelsius = { vulnerable: 44, bath: 48 } as const;
const coldCelsius = 10;
const roomCelsius = 20;
/** Drop of a heating loop once it is warm, and the flow above which a boiler hardly condenses. Common practice. */
const dropKelvin = 15;
const hardlyCondenses = 65;
/** A usual draw, and the wait at a cold boiler before hot water leaves it. Common practice. */
const usual = { litrePerMinute: 8, coldSeconds: 25, draws: 8, boreMillimetre: 13.6 } as const;
/** What a boiler that keeps warm lets its plates fall from and to, what they lose, and how it burns then. Common practice. */
const kept64 = {
  offCelsius: 64,
  onCelsius: 45,
  lossWattPerKelvin: 1.35,
  roomCelsius,
  efficiency: 0.85,
} as const;
const system = { systemLitre: 75, vesselLitre: 8 } as const;

const whole = (value: number): string => String(Math.round(value));

const rules: readonly TapRule[] = [
  {
    id: 'scald',
    title: 'What comes out of the tap',
    reason:
      'Time to a full-thickness burn of adult skin; a child’s and an old person’s burn sooner, a child’s in about half the time.',
    source: 'US CPSC publication 5098; Approved Document G; from memory',
    tell({ tapCelsius, choice }) {
      if (tapCelsius === undefined) return unknown('Read the tap setpoint.');
      const burn = adultBurnSeconds(tapCelsius);
      const says: readonly RulePart[] =
        burn === undefined
          ? ['No burn within minutes at ', { celsius: tapCelsius }, '.']
          : ['At ', { celsius: tapCelsius }, ' an adult burns in about ', { seconds: burn }, '.'];
      const most = choice('household') === 'vulnerable' ? outletCelsius.vulnerable : 52.5;
      return tapCelsius <= most
        ? kept(...says)
        : broken(...says, ' A lower setpoint, or a mixing valve at the bath.');
    },
  },
  {
    id: 'draw-limit',
    title: 'What it can heat',
    reason:
      'Heat is what flows by what it rises: from cold of 10 °C no more can be drawn before it turns lukewarm.',
    source: 'heat balance',
    tell({ tapCelsius, mostWatt }) {
      if (tapCelsius === undefined) return unknown('Read the tap setpoint.');
      return kept(
        'At most ',
        { litrePerMinute: drawLimit(mostWatt, tapCelsius - coldCelsius) },
        ' from ',
        { celsius: coldCelsius },
        ' to ',
        { celsius: tapCelsius },
        '.',
      );
    },
  },
  {
    id: 'pipe-run',
    title: 'Water that runs off first',
    reason:
      'What stands in the pipe is cold, and is paid for twice: as water, and as heat that cools in it after.',
    source: 'geometry',
    tell({ number }) {
      const length = number('pipe-length');
      if (length === undefined) return undefined;
      const bore = number('pipe-bore') ?? usual.boreMillimetre;
      const litre = pipeLitre(length / 1000, bore);
      const draws = number('draws-a-day') ?? usual.draws;
      const says: readonly RulePart[] = [
        { litre },
        ' a draw, ',
        { litre: litre * draws },
        ` a day at ${whole(draws)} draws.`,
      ];
      return litre > 2.5 ? broken(...says, ' A thinner pipe, or a heater nearer.') : kept(...says);
    },
  },
  {
    id: 'condensing',
    title: 'Heating flow and gas',
    reason:
      'Colder water back to the boiler condenses more of what would go up the flue: gross efficiency by the return, an upper bound.',
    source: 'flue gas balance, IAPWS and NIST',
    tell({ flowCelsius, hasFlow }) {
      if (!hasFlow) return undefined;
      if (flowCelsius === undefined) return unknown('Read the heating flow setpoint.');
      const now = heatingEfficiency(flowCelsius, dropKelvin);
      const at = (celsius: number) => (now / heatingEfficiency(celsius, dropKelvin) - 1) * -100;
      const percent = (now * 100).toFixed(1);
      const other = flowCelsius > hardlyCondenses ? 55 : 70;
      const change = at(other);
      const says: readonly RulePart[] = [
        `Up to ${percent} % of the gas becomes heat; `,
        { celsius: other },
        ` would take ${Math.abs(change).toFixed(1)} % ${change > 0 ? 'less' : 'more'} gas.`,
      ];
      return flowCelsius <= hardlyCondenses ? kept(...says) : broken(...says);
    },
  },
  {
    id: 'radiators',
    title: 'Radiators at that flow',
    reason:
      'A radiator gives less the cooler it is, by the power of 1.3 of its excess over the room.',
    source: 'EN 442',
    tell({ flowCelsius, hasFlow, choice }) {
      if (!hasFlow || flowCelsius === undefined) return undefined;
      const share = radiatorShare(flowCelsius, flowCelsius - dropKelvin, roomCelsius);
      const says = `They give ${whole(share * 100)} % of what they are rated at.`;
      const least = choice('radiators-sized') === 'enlarged' ? 0.25 : 0.42;
      return share >= least ? kept(says) : broken(says, ' In frost the rooms may stay cold.');
    },
  },
  {
    id: 'keep-warm',
    title: 'Keep-warm',
    reason:
      'Kept between two temperatures it fires again each time it has cooled; what it saves is the water that would run off cold at each draw.',
    source: 'heat balance; waits and losses common practice',
    tell({ choice, number, bodyJoulePerKelvin, hasFlow, ways }) {
      if (!hasFlow) return undefined;
      const stands = choice('keep-warm');
      if (stands === undefined || stands === 'none') return undefined;
      const warm = { ...kept64, bodyJoulePerKelvin };
      const firings = Math.min(firingsADay(warm), stands === 'learned' ? 6 : Infinity);
      const gas = keepWarmKilowattHours(warm, stands === 'off' ? firingsADay(warm) : firings);
      const draws = number('draws-a-day') ?? usual.draws;
      const litre = litresSavedADraw(usual.litrePerMinute, usual.coldSeconds) * draws * 365;
      const wanted = wayOf(
        schools.find(({ id }) => id === 'keep-warm')!,
        ways,
      ).id;
      const says: readonly RulePart[] = [
        stands === 'off' ? 'On, it would take about ' : 'It takes about ',
        `${whole(gas / 10) + '0'} kWh of gas a year and save${stands === 'off' ? '' : 's'} `,
        { litre },
        ' of water.',
      ];
      return (stands === 'off') === (wanted === 'off') ? kept(...says) : broken(...says);
    },
  },
  {
    id: 'pressure',
    title: 'Pressure and vessel',
    reason:
      'Water grows as it is heated; the gas of the vessel takes that up. Too little charge, or too much pressure cold, lifts the relief valve.',
    source: 'isothermal gas, IAPWS; 3 bar relief common practice',
    tell({ number, flowCelsius, hasFlow }) {
      if (!hasFlow) return undefined;
      const coldPascal = number('cold-pressure');
      if (coldPascal === undefined) return unknown('Read the pressure, cold.');
      const chargePascal = number('vessel-charge-left') ?? 85_000;
      const warm = Math.min(90, (flowCelsius ?? 60) - dropKelvin / 2);
      const hot = hotPascal({ ...system, chargePascal, coldPascal }, 12, warm);
      const says: readonly RulePart[] = [
        { pascal: coldPascal },
        ' cold comes to about ',
        { pascal: hot },
        ` hot, with ${whole(system.systemLitre)} L in the system.`,
      ];
      if (coldPascal < 80_000)
        return broken({ pascal: coldPascal }, ' is too little: high radiators draw air.');
      return hot < reliefPascal * 0.87
        ? kept(...says)
        : broken(...says, ' The relief valve may lift.');
    },
  },
];

/** What the firm's school says of the tap, with the other's reason. */
function tapSchool(sheet: TapSheetContext): RuleFinding {
  const school = schools.find(({ id }) => id === 'tap-temperature')!;
  const way = wayOf(school, sheet.ways);
  const other = school.ways.find(({ id }) => id !== way.id)!;
  const common = {
    id: 'school',
    title: `Set to ${way.label}`,
    reason: way.why,
    source: 'the firm’s school; common practice',
    otherSchool: `${other.label}: ${other.why}`,
  };
  const { tapCelsius } = sheet;
  if (tapCelsius === undefined) return { ...common, ...unknown('Read the tap setpoint.') };
  const isKept = way.id === 'hot' ? tapCelsius >= 55 : tapCelsius <= 52.5;
  return { ...common, ...(isKept ? kept : broken)({ celsius: tapCelsius }, '.') };
}

/** Every rule of such a sheet, worked out on it. */
export function tapFindings(sheet: TapSheetContext): RuleFinding[] {
  return [
    ...rules.flatMap(({ tell, ...rule }) => {
      const told = tell(sheet);
      return told ? [{ ...rule, ...told }] : [];
    }),
    tapSchool(sheet),
  ];
}

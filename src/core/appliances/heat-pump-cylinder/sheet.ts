import { limitMarginKelvin, performanceRatio, riseIn } from '../../heat-pump';
import { disinfectionCelsius } from '../../mixing-valve';
import type { SheetParameter } from '../../settings/parameter';
import {
  bacteriaRule,
  modeRule,
  scaldRule,
  type OwnRule,
  type OwnSheet,
} from '../../settings/own-rules';
import { broken, kept, unknown } from '../../settings/rules';
import { hotWaterShare } from './model';
import parameters from './sheet.json' with { type: 'json' };
import type { HeatPumpPlate } from './plate';

/** Flow over stored water at the end of a heat-up, K; cold feed, °C; common practice. */
const approachKelvin = 6.5;
const coldCelsius = 10;
const outdoorCelsius = 4;
/** Half of a cylinder is what a morning takes. Common practice. */
const drawnShare = 0.5;
const mostDifferential = 10;

const setpoint = 'hot-water-setpoint';
type Rule = OwnRule<HeatPumpPlate>;

/** Minutes that half a cylinder takes from cold. */
export function halfCylinderMinutes(
  { heatWatt, cylinderLitre }: HeatPumpPlate,
  celsius: number,
): number {
  const inAnHour = riseIn(60, hotWaterShare * heatWatt, cylinderLitre * drawnShare);
  return (60 * (celsius - coldCelsius)) / inAnHour;
}

const rules: readonly Rule[] = [
  modeRule(),
  {
    id: 'reach',
    title: 'Setpoint within reach of the pump',
    reason:
      'The flow lies above the cylinder to the end; past its limit the immersion heater does the rest, or nobody.',
    source: 'arithmetic; common practice for the approach',
    tell({ number, plate: { flowLimitCelsius } }) {
      const stored = number(setpoint);
      if (stored === undefined) return unknown('Read the setpoint.');
      const most = flowLimitCelsius - limitMarginKelvin - approachKelvin;
      return stored <= most + 0.5
        ? kept('It gets to ', { celsius: most }, ' by itself.')
        : broken(
            'By itself it gets to ',
            { celsius: most },
            ': the rest is the immersion heater’s.',
          );
    },
  },
  {
    id: 'window',
    title: 'A window long enough, at the right hour',
    reason:
      'A window that is too short, or that ends hours before the draw, is late and lukewarm water from a unit without a fault.',
    source: 'arithmetic',
    tell({ number, choice, plate }) {
      const [stored, window, ends] = [
        number(setpoint),
        number('hot-water-window'),
        choice('window-ends'),
      ];
      if (ends === 'never') return broken('Not a fault: hot water has no window.');
      if (stored === undefined || window === undefined) return unknown('Read setpoint and window.');
      const needs = halfCylinderMinutes(plate, stored);
      const words = `Half a cylinder takes about ${Math.round(needs)} min, the window is ${Math.round(window / 60)} min`;
      if (window / 60 < needs) return broken(`${words}: too short.`);
      return ends === 'long-before'
        ? broken(`${words}, and it ends hours before the draw.`)
        : kept(`${words}.`);
    },
  },
  {
    id: 'differential',
    title: 'Restart differential',
    reason: 'Wide, a morning draws from water that nobody was called to warm.',
    source: 'common practice: 4 to 10 K',
    tell({ number }) {
      const [stored, differential] = [number(setpoint), number('restart-differential')];
      if (stored === undefined || differential === undefined) return unknown('Read both.');
      const below = stored - differential;
      return differential <= mostDifferential
        ? kept('Heated again below ', { celsius: below }, '.')
        : broken('Not a fault: it falls to ', { celsius: below }, ' before it is heated again.');
    },
  },
  bacteriaRule(({ number }) => number(setpoint)),
  {
    id: 'storing-cost',
    title: 'What storing hotter costs',
    reason:
      'The hotter the flow, the more power for the same heat: Carnot, less what a machine loses.',
    source: 'arithmetic; common practice for the machine’s share',
    tell({ number }) {
      const stored = number(setpoint);
      if (stored === undefined) return undefined;
      const ratio = (celsius: number) => performanceRatio(celsius + approachKelvin, outdoorCelsius);
      const more = ratio(stored) / ratio(disinfectionCelsius) - 1;
      return stored >= disinfectionCelsius
        ? kept('Hot all the time: nothing grows, and it costs the most.')
        : kept(
            'For the same heat ',
            { celsius: disinfectionCelsius },
            ` would take about ${Math.round(more * 100)} % more power than `,
            { celsius: stored },
            '.',
          );
    },
  },
  {
    id: 'curve-limit',
    title: 'Curve under the limit of the flow',
    reason: 'A curve above what the pump makes is cut flat: full power, stop, and again.',
    source: 'arithmetic',
    tell({ number, plate: { flowLimitCelsius } }) {
      const design = number('curve-supply-at-design');
      if (design === undefined) return unknown('Read the flow at the design day.');
      const most = flowLimitCelsius - limitMarginKelvin;
      return design <= most
        ? kept('Up to ', { celsius: design }, '.')
        : broken('It asks ', { celsius: design }, ', and stops at ', { celsius: most }, '.');
    },
  },
  {
    id: 'circulation',
    title: 'Circulation on a timer',
    reason: 'A loop that always runs loses ten kelvin a night, and the pump makes them up.',
    source: 'common practice',
    tell({ choice }) {
      const circulation = choice('circulation');
      if (circulation === undefined) return unknown('Look for a second pump.');
      return circulation === 'always' ? broken('It always runs.') : kept('None, or timed.');
    },
  },
  scaldRule(({ number }) => number('mixing-valve-setpoint') ?? number(setpoint)),
];

export const sheet: OwnSheet<HeatPumpPlate> = {
  parameters: parameters as unknown as readonly SheetParameter[],
  rules,
};

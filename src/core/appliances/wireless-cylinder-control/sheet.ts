import type { SheetParameter } from '../../settings/parameter';
import { modeRule, scaldRule, type OwnRule, type OwnSheet } from '../../settings/own-rules';
import { broken, kept, unknown } from '../../settings/rules';
import { bacteriaSafeCelsius } from '../../settings/scald';
import { callsBelow } from './call';
import parameters from './sheet.json' with { type: 'json' };
import type { WirelessPlate } from './plate';

const setpoint = 'hot-water-setpoint';
/** What a tap does not serve any more, °C; flow over stored water that a coil needs, K. Common practice. */
const servedCelsius = 45;
const coilKelvin = 10;
const tapLossKelvin = 2.5;

const rules: readonly OwnRule<WirelessPlate>[] = [
  modeRule(),
  {
    id: 'call-sum',
    title: 'Where a call begins',
    reason: 'Setpoint less differential: above it no call is right, whatever is pressed.',
    source: 'arithmetic',
    tell({ number }) {
      const [setpointCelsius, differentialKelvin] = [number(setpoint), number('call-differential')];
      if (setpointCelsius === undefined || differentialKelvin === undefined) {
        return unknown('Read setpoint and differential.');
      }
      const below = callsBelow({ setpointCelsius, differentialKelvin });
      return below >= servedCelsius
        ? kept('It calls below ', { celsius: below }, '.')
        : broken(
            'Not a fault: nothing is called above ',
            { celsius: below },
            ', and that serves nobody.',
          );
    },
  },
  {
    id: 'overrun',
    title: 'Overrun nought with zone valves',
    reason: 'It holds the valve open with nobody to warm it: the boiler runs on, or the rooms do.',
    source: 'common practice',
    tell({ number, plate }) {
      if (plate.arrangement === 'immersion') return undefined;
      const overrun = number('overrun');
      if (overrun === undefined) return unknown('Read the overrun.');
      return overrun === 0
        ? kept('Nought.')
        : broken(`It holds on for ${Math.round(overrun / 60)} min.`);
    },
  },
  {
    id: 'arrangement',
    title: 'Told what is on the pipes',
    reason: 'Told another arrangement, it drives another receiver.',
    source: 'common practice',
    tell({ choice, plate }) {
      const told = choice('told-arrangement');
      if (told === undefined) return unknown('Read what it was told.');
      return told === plate.arrangement
        ? kept('As it is piped.')
        : broken('Not a part: told another.');
    },
  },
  {
    id: 'bindings',
    title: 'Each zone lights its own receiver',
    reason:
      'Bound to the other zone, a call of hot water heats the rooms and leaves the cylinder cold.',
    source: 'common practice',
    tell({ choice, plate }) {
      const hotWater = choice('binding-hot-water');
      if (hotWater === undefined)
        return unknown('Call hot water, then heating: which light comes?');
      if (hotWater !== 'hot-water-receiver')
        return broken('Hot water is bound to another receiver.');
      if (plate.arrangement === 'immersion') return kept('Its own.');
      const heating = choice('binding-heating');
      if (heating === undefined) return unknown('And heating?');
      return heating === 'heating-receiver'
        ? kept('Each its own.')
        : broken('Heating is bound to another receiver.');
    },
  },
  {
    id: 'periods',
    title: 'Periods that cover the draws',
    reason: 'Outside its periods nothing is warmed, and nothing is faulty.',
    source: 'common practice',
    tell({ choice }) {
      const periods = choice('hot-water-periods');
      if (periods === undefined) return unknown('Read today’s periods.');
      return periods === 'cover'
        ? kept('They do.')
        : broken('Not a fault: no period when it is drawn.');
    },
  },
  {
    id: 'boiler-flow',
    title: 'Flow of the boiler above the setpoint',
    reason: 'A coil gives nothing at the end where the flow is hardly hotter: the call never ends.',
    source: 'common practice: 10 K',
    tell({ number, plate }) {
      if (plate.arrangement === 'immersion') return undefined;
      const [stored, flow] = [number(setpoint), number('boiler-flow')];
      if (stored === undefined || flow === undefined) return unknown('Read both.');
      return flow - stored >= coilKelvin
        ? kept({ kelvin: flow - stored }, ' above it.')
        : broken('Only ', { kelvin: flow - stored }, ' above it.');
    },
  },
  {
    id: 'bacteria',
    title: 'Stored hot',
    reason: 'Between 20 and 45 °C bacteria grow; a control of this kind has no disinfection cycle.',
    source: 'HSE HSG274 part 2, from memory',
    tell({ number }) {
      const stored = number(setpoint);
      if (stored === undefined) return unknown('Read the setpoint.');
      return stored >= bacteriaSafeCelsius
        ? kept('Stored at ', { celsius: stored }, '.')
        : broken(
            'Stored at ',
            { celsius: stored },
            ', below ',
            { celsius: bacteriaSafeCelsius },
            '.',
          );
    },
  },
  scaldRule(({ number }) => {
    const stored = number(setpoint);
    return stored === undefined ? undefined : stored - tapLossKelvin;
  }),
];

export const sheet: OwnSheet<WirelessPlate> = {
  parameters: parameters as unknown as readonly SheetParameter[],
  rules,
};

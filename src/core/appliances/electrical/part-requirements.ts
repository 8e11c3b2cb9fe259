import type { PartRequirement } from '../../parts';
import type { Repair } from '../family';
import { same, tankParts } from '../kit/tank-parts';
import type { Plate } from './plate';

/** What new parts of an electric heater must match. Common practice. */
export function partRequirements(
  kind: string,
  { ratedVolt, elementWatt }: Plate,
  repair: Repair | undefined,
): readonly PartRequirement[] {
  const watts = Object.entries(elementWatt);
  const own = watts.find(([id]) => repair?.drawnPart === `${id}-element`) ?? watts[0]!;
  const most = Math.max(...watts.map(([, watt]) => watt));
  switch (kind) {
    case 'element':
      return [
        number(
          'volt',
          'Volts',
          'voltage-ac',
          'equal',
          ratedVolt,
          'One for half the volts burns out, one for twice the volts heats a quarter.',
        ),
        number(
          'watt',
          'Watts',
          'power',
          'equal',
          own[1],
          'More watts may be too much for the wires and the breaker; fewer heat slowly.',
        ),
        same('fixing', 'Thread or flange as the old one', 'Another thread or flange never seals.'),
        same(
          'length',
          'No longer than the old one, same bend',
          'Too long touches the tank or the other element.',
        ),
        same('gasket', 'New gasket with it', 'An old gasket weeps.'),
      ];
    case 'thermostat':
      return [
        number(
          'ampere',
          'Amps, at least',
          'current-ac',
          'at-least',
          most / ratedVolt,
          'A contact that carries more than it may welds shut or burns.',
        ),
        number(
          'volt',
          'Volts, at least',
          'voltage-ac',
          'at-least',
          ratedVolt,
          'Contacts for fewer volts arc on.',
        ),
        same(
          'poles',
          'Same poles and limit as the old one',
          'With a pole less one leg is never switched off.',
        ),
        same(
          'fixing',
          'Same bracket, or rod of the same length',
          'What does not lie flat, or does not reach, feels the wrong water.',
        ),
      ];
    default:
      return tankParts(kind);
  }
}

const number = (
  says: string,
  label: string,
  quantity: 'voltage-ac' | 'power' | 'current-ac',
  rule: 'equal' | 'at-least',
  wanted: number,
  why: string,
): PartRequirement => ({ kind: 'number', says, label, quantity, rule, wanted, why });

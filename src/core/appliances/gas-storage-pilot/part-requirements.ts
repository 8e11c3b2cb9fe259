import type { PartRequirement } from '../../parts';
import { same, tankParts } from '../kit/tank-parts';
import type { GasPlate } from './plate';

const valves = { thermocouple: 'thermocouple, one lead', thermopile: 'thermopile, two leads' };
const fuels = { 'natural-gas': 'natural gas', lpg: 'LPG' };

/** What new parts of a gas heater must match. Common practice; the maker's list of parts comes first. */
export function partRequirements(
  kind: string,
  { valve, fuel }: GasPlate,
): readonly PartRequirement[] {
  const gas: PartRequirement = {
    kind: 'choice',
    says: 'gas',
    label: 'Gas',
    choices: fuels,
    wanted: fuel,
    why: 'Orifices and regulator for the other gas burn too much or too little: carbon monoxide, or a flame that lifts.',
  };
  switch (kind) {
    case 'thermocouple':
      return [
        {
          kind: 'choice',
          says: 'generator',
          label: 'Kind',
          choices: valves,
          wanted: valve,
          why: 'The valve holds with the millivolts of its own kind only.',
        },
        same(
          'lead-length',
          'Lead at least as long as the old one',
          'A short lead is strained; what is spare is coiled at the valve.',
        ),
        same(
          'fixing',
          'Sleeve or clip that holds it up',
          'A tip that slips down is out of the flame.',
        ),
      ];
    case 'gas-valve':
      return [
        gas,
        {
          kind: 'choice',
          says: 'generator',
          label: 'Held by',
          choices: valves,
          wanted: valve,
          why: 'A valve for the other generator never holds, or is burnt.',
        },
        same(
          'thread',
          'Threads and bulb as the old one',
          'A bulb of another length feels other water.',
        ),
      ];
    case 'orifice':
      return [
        gas,
        same('marking', 'Marked as the list of parts says', 'A size off is soot or a weak flame.'),
      ];
    case 'pilot':
    case 'igniter':
      return [
        gas,
        same('fixing', 'Same bracket and tube', 'A flame that misses the tip drops out.'),
      ];
    case 'cutout':
      return [
        same(
          'temperature',
          'Marked with the same temperature',
          'A higher one lets flame roll out.',
        ),
        same('fixing', 'Same plugs and place', 'Elsewhere it does not feel the flame.'),
      ];
    case 'door-gasket':
      return [
        same('new', 'New, not the old one again', 'An old one leaks flue gas into the room.'),
      ];
    default:
      return tankParts(kind);
  }
}

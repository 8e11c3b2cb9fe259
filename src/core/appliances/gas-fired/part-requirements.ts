import type { PartRequirement } from '../../parts';
import { same } from '../kit/tank-parts';
import type { Fuel } from './plate';

const fuels = { 'natural-gas': 'natural gas', lpg: 'LPG' };

/** What new parts of a fan-assisted burner must match. Common practice; the maker's list of parts comes first. */
export function firePartRequirements(kind: string, fuel: Fuel): readonly PartRequirement[] {
  const gas: PartRequirement = {
    kind: 'choice',
    says: 'gas',
    label: 'Gas',
    choices: fuels,
    wanted: fuel,
    why: 'For the other gas it burns too much or too little: carbon monoxide, or a flame that lifts.',
  };
  switch (kind) {
    case 'gas-valve':
      return [
        gas,
        same('coil', 'Coil volts as the old one', 'Another coil never opens, or burns out.'),
      ];
    case 'igniter':
      return [
        same(
          'gap',
          'Gap and bracket as the list of parts says',
          'A wrong gap sparks beside the gas.',
        ),
      ];
    case 'fan':
      return [
        same(
          'speed',
          'Speed and plug as the old one',
          'The control proves its speed by its pulses.',
        ),
      ];
    case 'sensor':
      return [
        same(
          'curve',
          'Same curve: ohms at 25 °C and beta',
          'Another curve is off by more the hotter it gets.',
        ),
      ];
    case 'switch':
      return [same('pressure', 'Same switching pressure', 'Another proves air that is not there.')];
    case 'cutout':
      return [same('temperature', 'Same temperature', 'A higher one lets it overheat.')];
    case 'fuse':
      return [same('rating', 'Same rating and speed', 'A larger one burns the board instead.')];
    case 'control':
      return [
        gas,
        same(
          'number',
          'Number on the label of the old one',
          'Parameters of another model fire it wrongly.',
        ),
      ];
    case 'plate-exchanger':
      return [
        same(
          'plates',
          'Number of plates and ports as the old one',
          'Fewer plates give less hot water.',
        ),
        same('washers', 'A new washer for every port', 'An old one weeps within weeks.'),
      ];
    case 'hose':
      return [
        same(
          'bore',
          'Bore and length as the old one',
          'A narrow one chokes the loop; a strained one splits.',
        ),
        same('for-heating', 'Made for hot system water', 'Other rubber swells shut again.'),
      ];
    case 'pump':
      return [same('head', 'Head and plug as the old one', 'A weaker one lets the cell boil.')];
    case 'diverter':
      return [
        same('kind', 'Cartridge or motor of the same number', 'Another stroke does not shut.'),
      ];
    case 'vessel':
      return [
        same('litres', 'Litres and charge as the plate says', 'Too small lifts the relief valve.'),
      ];
    case 'relief-valve':
      return [
        same(
          'bar',
          'Set to the same pressure, 3 bar as a rule',
          'A higher one bursts something else.',
        ),
      ];
    case 'door-gasket':
    case 'exchanger':
      return [same('new-gaskets', 'New gaskets with it', 'An old one leaks flue gas.')];
    default:
      return [];
  }
}

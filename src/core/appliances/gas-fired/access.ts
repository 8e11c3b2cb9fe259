import type { CheckEffects } from '../kit/effects';
import { deniedFact } from '../kit/signal/access';
import type { AccessFactDeclaration, StopDeclaration } from '../kit/signal/declaration';

/** Facts of access of any fan-assisted burner, in the order in which they are made so. */
export const fireAccess: { readonly facts: readonly AccessFactDeclaration[] } = {
  facts: [
    {
      id: 'no-gas-smell',
      order: 'Smell for gas at meter, heater and floor level',
      shownBy: 'gas-smell-sniff',
      isFirst: true,
      lapses: true,
    },
    {
      id: 'case',
      order:
        'Take the front case off, its seal looked at. Where it closes the combustion chamber the burner never runs without it',
      undo: 'Put the case back, tight on its seal',
    },
    {
      id: 'power-off',
      order: 'Power off at plug or spur, proved dead at the supply terminals',
      undo: 'Power on again',
      isolates: true,
      ends: ['live'],
      lapses: true,
    },
    {
      id: 'live',
      order: 'Take it as live: case off and powered, one hand, insulated probes',
      lapses: true,
    },
    {
      id: 'manometer',
      order: 'Gas off, test nipple opened, manometer on',
      opensGas: true,
      undo: 'Manometer off, nipple tight and leak-tested',
      with: ['no-gas-smell'],
    },
    {
      id: 'analyser',
      order:
        'Put the analyser’s probe in the flue test point, once it is warm and zeroed in fresh air',
    },
    { id: 'ladder', order: 'Put up a ladder to the terminal, that somebody holds' },
    {
      id: 'burner-open',
      order: 'Gas off at the cock, cooled, combustion door off',
      opensGas: true,
      undo: 'Put the combustion door on with a new gasket, leak check, and a combustion reading once it burns',
      with: ['no-gas-smell', 'power-off'],
    },
  ],
};

export const fireEffects: Readonly<Record<string, CheckEffects>> = {
  'gas-smell-sniff': {
    none: [
      { fact: 'no-gas-smell', so: true },
      { fact: deniedFact('no-gas-smell'), so: false },
    ],
    smell: [
      { fact: 'no-gas-smell', so: false },
      { fact: deniedFact('no-gas-smell'), so: true },
    ],
  },
};

/** CO/CO2 above this is shut down and put right first: BS 7967 (from memory: 0.008 shuts a domestic appliance down). */
const mostCoRatio = 0.008;

/** What ends the diagnosis, with what to do first. Local codes and the gas supplier's rules come before these words. */
export const fireStops: StopDeclaration = {
  kinds: {
    'gas-smell': {
      title: 'Gas: make it safe, nothing else',
      steps: [
        'No switch, no flame, no telephone in here. Everybody out.',
        'Shut the gas at the meter on the way out, if it can be reached without a switch. Open doors.',
        'Call the gas supplier from outside. Nobody lights anything until it is found and made tight.',
      ],
    },
    'carbon-monoxide': {
      title: 'Carbon monoxide: off, air, out',
      steps: [
        'Off at the control, gas cock shut.',
        'Open doors and windows, everybody out; who has a headache sees a doctor.',
        'It stays off until flue, air and burner are put right and a combustion reading proves it.',
      ],
    },
    'open-flue': {
      title: 'Open flue joint: off until it is made good',
      steps: [
        'Off at the control, gas cock shut.',
        'Air the room. Ask who was in it, and how they are.',
        'The joint is made good by whoever is licensed, and proved by a combustion reading.',
      ],
    },
  },
  checks: {
    'gas-smell-sniff': { kind: 'gas-smell', values: ['smell'] },
    'flue-look': { kind: 'open-flue', values: ['joint-open'] },
    'co-ratio': { kind: 'carbon-monoxide', above: mostCoRatio },
  },
  answers: {
    gasSmell: { kind: 'gas-smell', value: 'yes', clearedBy: ['gas-smell-sniff'] },
    coAlarm: { kind: 'carbon-monoxide', value: 'yes', clearedBy: ['co-ratio'] },
  },
};

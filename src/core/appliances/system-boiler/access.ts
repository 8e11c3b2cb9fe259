import { fireAccess, fireEffects, fireStops } from '../gas-fired/access';
import type { CheckEffects } from '../kit/effects';
import { relayTapped } from './faults';
import type {
  AccessDeclaration,
  AccessFactDeclaration,
  StopDeclaration,
} from '../kit/signal/declaration';

const factOf = (id: string) => fireAccess.facts.find((each) => each.id === id)!;

/** What has to be so for a check, in the order in which it is made so. */
const facts: readonly AccessFactDeclaration[] = [
  factOf('no-gas-smell'),
  { id: 'dead', order: 'Off at the service switch, locked, proved dead', isProvedDead: true },
  {
    id: 'panel',
    order: 'Take the cover of the zone panel off: line and 24 V lie side by side in it',
    undo: 'Put the cover of the zone panel back',
  },
  {
    id: 'boiler',
    order:
      'Take the cover of the boiler off, its seal looked at. Where the case is part of the sealed circuit it does not fire without it',
    undo: 'Put the cover of the boiler back, tight on its seal',
  },
  { id: 'at-thermostat', order: 'Take new batteries to the room thermostat of zone 1' },
  { id: 'at-cylinder', order: 'Take a thermometer to the cylinder' },
  {
    id: 'gas-port',
    order: 'Gas off, port opened, manometer on',
    undo: 'Manometer off, port closed and tested',
    opensGas: true,
    with: ['no-gas-smell'],
  },
  {
    id: 'analyser',
    order: 'Put the analyser’s probe into the flue port, once it is warm and zeroed outside',
  },
  { id: 'outside', order: 'Take a ladder to the terminal, that somebody holds' },
  {
    id: 'burner-out',
    order: 'Gas off, cooled, union and header off, burner out, new gaskets to hand',
    undo: 'Burner in with new gaskets, leak check with the valve closed and open, then an analysis',
    opensGas: true,
    with: ['no-gas-smell', 'dead'],
  },
];

const open = ['burner-out'];
/** Powered: nothing that would fire into the room stands open. */
const live = (...sets: string[]) => ({ sets, clears: ['dead', ...open] });
const dead = (...sets: string[]) => ({ sets: ['dead', ...sets], clears: [] as string[] });
const any = (...sets: string[]) => ({ sets, clears: [] as string[] });

export const access: AccessDeclaration = {
  facts,
  needs: {
    'display-look': live(),
    'code-read': live(),
    'enabled-look': live(),
    'hot-water-switch-look': live(),
    'settings-sheet': live(),
    'zone-lamps-look': live(),
    'zone-lamps-idle-look': live(),
    'cylinder-lamp-look': live('at-cylinder'),
    'panel-look': any('panel'),
    'relay-tap': live('panel'),
    'panel-line-volts': live('panel'),
    'transformer-secondary-volts': live('panel'),
    'panel-24v-volts': live('panel'),
    'panel-out-volts': live('panel'),
    'boiler-24v-volts': live('boiler'),
    'zone-1-w-volts': live('panel'),
    'tt-volts': live('boiler'),
    'dhw-call-volts': live('boiler', 'at-cylinder'),
    'tt-idle-volts': live('boiler'),
    'end-heat-volts': live('panel'),
    'zone-1-pump-volts': live('panel'),
    'cylinder-pump-volts': live('panel', 'at-cylinder'),
    'limit-out-volts': live('boiler'),
    'water-out-volts': live('boiler'),
    'chain-out-volts': live('boiler'),
    'transformer-secondary-ohms': dead('panel'),
    'panel-fuse-ohms': dead('panel'),
    'boiler-fuse-ohms': dead('boiler'),
    'coil-1-ohms': dead('panel'),
    'zone-1-wires-ohms': dead('panel'),
    'zone-1-wires-idle-ohms': dead('panel'),
    'zone-1-thermostat-ohms': dead('at-thermostat'),
    'zone-1-thermostat-idle-ohms': dead('at-thermostat'),
    'r-to-common-ohms': dead('panel'),
    'fuse-holds': live('panel'),
    'zone-1-jumper': live('panel'),
    'tt-jumper': live('boiler'),
    'sequence-watch-heat': live(),
    'sequence-watch-cylinder': live('at-cylinder'),
    'supply-sensor-ohms': dead('boiler'),
    'return-sensor-ohms': dead('boiler'),
    'outdoor-sensor-ohms': dead('boiler'),
    'cylinder-sensor-ohms': dead('boiler', 'at-cylinder'),
    'display-less-contact-supply': live(),
    'display-less-contact-cylinder': live('at-cylinder'),
    'display-less-true-outdoor': live(),
    'gas-static-pressure': live('no-gas-smell', 'boiler', 'gas-port'),
    'gas-working-pressure': live('no-gas-smell', 'boiler', 'gas-port'),
    'air-pressure': live('boiler'),
    'igniter-look': live('boiler'),
    'igniter-condition-look': dead('boiler'),
    'igniter-ohms': dead('boiler'),
    'gas-valve-volts': live('boiler'),
    'flame-current': live('boiler'),
    'flame-out-look': live(),
    'intake-look': any('boiler'),
    'flue-look': any('outside'),
    'condensate-look': any('boiler'),
    'combustion-analysis': live('analyser'),
    'combustion-analysis-low': live('analyser'),
    'burner-inspection': dead('no-gas-smell', 'burner-out'),
    'exchanger-look': dead('no-gas-smell', 'burner-out'),
    'supply-rise-series': live(),
    'supply-return-difference': live(),
    'boiler-pump-feel': live('boiler'),
    'gurgle-listen': live(),
    'zone-1-pump-feel': live(),
    'cylinder-pump-feel': live('at-cylinder'),
    'zone-1-ghost-heat': live('at-cylinder'),
    'cylinder-temperature': any('at-cylinder'),
    'cylinder-rise-10-min': live('at-cylinder'),
    'leak-check': live('boiler'),
  },
};

export const effects: Readonly<Record<string, CheckEffects>> = {
  ...fireEffects,
  'relay-tap': { clicks: [{ done: relayTapped }] },
};

/** What ends the diagnosis, with what to do first. Local codes and the gas supplier's rules come before these words. */
export const stops: StopDeclaration = {
  kinds: {
    ...fireStops.kinds,
    'flame-stays': {
      title: 'A flame that stays: gas shut, power off',
      steps: [
        'Gas cock closed at once, power off at the service switch.',
        'Nothing else is tried: the valve lets gas by.',
        'It stays off until whoever is licensed has replaced the valve, with leak check and analysis.',
      ],
    },
  },
  checks: {
    'gas-smell-sniff': fireStops.checks['gas-smell-sniff']!,
    'flame-out-look': { kind: 'flame-stays', values: ['stays'] },
    'leak-check': { kind: 'gas-smell', values: ['leak'] },
  },
  answers: {
    gasSmell: fireStops.answers.gasSmell!,
    coAlarm: {
      kind: 'carbon-monoxide',
      value: 'yes',
      clearedBy: ['combustion-analysis'],
    },
  },
};

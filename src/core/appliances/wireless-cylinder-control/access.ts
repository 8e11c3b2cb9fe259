import type { CheckEffects } from '../kit/effects';
import type {
  AccessDeclaration,
  AccessFactDeclaration,
  StopDeclaration,
} from '../kit/signal/declaration';
import { done } from './model';

/** What has to be so for a check, in the order in which it is made so. */
const facts: readonly AccessFactDeclaration[] = [
  {
    id: 'dead',
    order: 'Off at the spur, locked, proved dead on every pole; an immersion has its own circuit',
    isProvedDead: true,
  },
  { id: 'airing-cupboard', order: 'Take tape, meter and thermometer to the cylinder' },
  {
    id: 'receiver-cover',
    order: 'Take the cover of the receiver off: mains in it, perhaps from two supplies',
    undo: 'Put the cover of the receiver back',
  },
  {
    id: 'wiring-centre',
    order: 'Take the cover of the wiring centre off: it may have two supplies',
    undo: 'Put the cover of the wiring centre back',
  },
  {
    id: 'override-on',
    order: 'Put the hot-water override on, confirm, go back, read it; wait a minute',
    undo: 'Put the override off; wait a minute',
  },
];

const live = (...sets: string[]) => ({ sets, clears: ['dead'] });
/** Without an override. */
const idle = (...sets: string[]) => ({ sets, clears: ['dead', 'override-on'] });
const dead = (...sets: string[]) => ({ sets: ['dead', ...sets], clears: [] as string[] });
const cupboard = 'airing-cupboard';

export const access: AccessDeclaration = {
  facts,
  needs: {
    'display-look': live(),
    'stored-temperature-shown': live(),
    'display-stored-temperature': live(),
    'display-setpoint': live(),
    'display-differential': live(),
    'display-overrun': live(),
    'program-look': live(),
    'mode-look': live(),
    'call-symbol': live('override-on'),
    'raised-setpoint-test': live(cupboard),
    'system-type-look': live(),
    'receiver-light-after-override': live('override-on', cupboard),
    'other-receiver-light-after-override': live('override-on', cupboard),
    'receiver-relay-click': live('override-on', cupboard),
    'receiver-light-after-call-ends': idle(cupboard),
    'receiver-button': idle(cupboard),
    'receiver-power-off-2-min': live(cupboard),
    'sensor-battery-out-10-s': live(cupboard),
    'sensor-battery-volts': live(cupboard),
    'controller-battery-volts': live(),
    'signal-test-sensor': live(cupboard),
    'signal-test-receiver': live(cupboard),
    'receiver-spacing-mm': live(cupboard),
    'sensor-to-metal-mm': live(cupboard),
    'hand-held-sensor-test': live(cupboard),
    'rebind-sensor': live(cupboard),
    'rebind-receiver': live(cupboard),
    'contact-cylinder-temperature': live(cupboard),
    'sensor-seat-look': live(cupboard),
    'receiver-supply-volts': live('receiver-cover'),
    'receiver-output-volts': live('receiver-cover', 'override-on'),
    'valve-lever-feel': live(cupboard, 'override-on'),
    'valve-lever-idle-feel': idle(cupboard),
    'valve-motor-volts': live('wiring-centre', 'override-on'),
    'end-switch-feed-volts': live('wiring-centre'),
    'end-switch-out-volts': live('wiring-centre', 'override-on'),
    'end-switch-idle-volts': idle('wiring-centre'),
    'end-switch-ohms-lever-over': dead('wiring-centre'),
    'boiler-call-volts': live('wiring-centre', 'override-on'),
    'boiler-look': live('override-on'),
    'boiler-idle-look': idle(),
    'pump-feel': live(cupboard, 'override-on'),
    'cutout-press': dead(cupboard),
    'cylinder-flow-pipe': live(cupboard, 'override-on'),
    'cylinder-return-pipe': live(cupboard, 'override-on'),
    'cylinder-flow-pipe-idle': idle(cupboard),
    'tap-temperature': live(),
    'use-look': live(),
  },
};

/** Checks that are cures: each wipes out its own sign. */
export const effects: Readonly<Record<string, CheckEffects>> = {
  'sensor-battery-out-10-s': [{ done: done.sensorRestarted }],
  'receiver-power-off-2-min': [{ done: done.receiversRestarted }],
  'rebind-sensor': { binds: [{ done: done.sensorBound }] },
  'rebind-receiver': { binds: [{ done: done.receiverBound }] },
};

export const stops: StopDeclaration = { kinds: {}, checks: {}, answers: {} };

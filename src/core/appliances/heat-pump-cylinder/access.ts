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
    order:
      'Off at outdoor isolator, immersion and controls, locked, proved dead on every pole: three circuits',
    isProvedDead: true,
  },
  { id: 'plant-cupboard', order: 'Open the plant cupboard; take the caps of insulation off' },
  {
    id: 'outdoor-walk',
    order: 'Take meter and torch to the outdoor unit: its fan starts unannounced',
  },
  {
    id: 'cylinder-cover',
    order: 'Take the cover of the immersion heater off: a circuit of its own',
    undo: 'Put the cover of the immersion heater back',
  },
  { id: 'heating-call', order: 'Put the room thermostat up; wait a quarter of an hour' },
  {
    id: 'hot-water-call',
    order: 'Put the hot-water setpoint up until its call stands; write it down as found',
    undo: 'Put the hot-water setpoint back as found',
  },
  // A push wipes the sign of a sensor that was out: what is shown and what is there are read before it.
  ...(['buffer', 'cylinder'] as const).flatMap((sensor): AccessFactDeclaration[] => [
    {
      id: `${sensor}-shown`,
      order: `Read the ${sensor} on the display`,
      shownBy: `display-${sensor}-temperature`,
    },
    {
      id: `${sensor}-there`,
      order: `Read the ${sensor} by a contact probe`,
      shownBy: `contact-${sensor}-temperature`,
    },
  ]),
  { id: 'tap-run', order: 'Open the kitchen’s hot tap for a minute: it may scald' },
];

const live = (...sets: string[]) => ({ sets, clears: ['dead'] });
const dead = (...sets: string[]) => ({ sets: ['dead', ...sets], clears: [] as string[] });
/** With rooms calling: a call of hot water comes first, and takes the machine. */
const rooms = (...sets: string[]) => ({
  sets: ['heating-call', ...sets],
  clears: ['dead', 'hot-water-call'],
});
const cupboard = 'plant-cupboard';
const outdoors = 'outdoor-walk';
const call = 'hot-water-call';
const tap = 'tap-run';

export const access: AccessDeclaration = {
  facts,
  needs: {
    'display-code': live(),
    'mode-look': live(),
    'schedule-look': live(),
    'display-hot-water-setpoint': live(),
    'display-restart-differential': live(),
    'display-cylinder-temperature': live(),
    'display-buffer-temperature': rooms(),
    'display-buffer-target': rooms(),
    'sensor-dashes-look': live(),
    'display-flow-temperature': rooms(),
    'display-return-temperature': rooms(),
    'display-flow-rate': rooms(),
    'display-power': rooms(),
    'power-pattern': rooms(),
    'outdoor-running-look': live(outdoors),
    'defrosts-per-2-h': live(),
    'display-overnight-fall': live(),
    'contact-buffer-temperature': rooms(cupboard),
    'contact-cylinder-temperature': live(cupboard),
    'contact-flow-temperature': rooms(cupboard),
    'contact-return-temperature': rooms(cupboard),
    'contact-radiator-flow-temperature': rooms(),
    'room-temperature-minus-setpoint': rooms(),
    'buffer-sensor-push': live(cupboard, 'buffer-shown', 'buffer-there'),
    'cylinder-sensor-push': live(cupboard, 'cylinder-shown', 'cylinder-there'),
    'buffer-sensor-cup-difference': live(cupboard),
    'cylinder-sensor-cup-difference': live(cupboard),
    'flow-sensor-ohms-difference': live(cupboard),
    'tap-temperature': live(tap),
    'other-outlet': live(tap),
    'mixer-hot-port-temperature': live(cupboard, tap),
    'mixer-mixed-port-temperature': live(cupboard, tap),
    'mixer-step-open-rise': live(cupboard, tap),
    'mixer-step-shut-fall': live(cupboard, tap),
    'cold-feed-shut-hot-tap': live(cupboard),
    'use-look': live(),
    'circulation-look': live(cupboard),
    'water-pressure': live(cupboard),
    'strainer-look': dead(cupboard),
    'air-vent-look': live(cupboard),
    'cylinder-flow-pipe': live(cupboard, call),
    'heating-flow-pipe-on-hot-water': live(cupboard, call),
    'cylinder-rise-per-30-min': live(call),
    'coil-approach': live(cupboard, call),
    'outdoor-look': live(outdoors),
    'outdoor-supply-volts': live(outdoors),
    'lockout-reset': live(),
    'immersion-amps-boost': live(cupboard),
    'immersion-amps-no-boost': live(cupboard),
    'immersion-ohms': dead('cylinder-cover'),
    'immersion-limit-press': dead('cylinder-cover'),
  },
};

/** Checks that are repairs in part: each wipes out its own sign. */
export const effects: Readonly<Record<string, CheckEffects>> = {
  'display-buffer-temperature': [{ fact: 'buffer-shown', so: true }],
  'contact-buffer-temperature': [{ fact: 'buffer-there', so: true }],
  'display-cylinder-temperature': [{ fact: 'cylinder-shown', so: true }],
  'contact-cylinder-temperature': [{ fact: 'cylinder-there', so: true }],
  'buffer-sensor-push': { 'goes-in-and-reading-rises': [{ done: done.bufferSensorHome }] },
  'cylinder-sensor-push': { 'goes-in-and-reading-rises': [{ done: done.cylinderSensorHome }] },
  'strainer-look': { loaded: [{ done: done.strainerRinsed }] },
  'lockout-reset': { runs: [{ done: done.lockoutReset }] },
  'immersion-limit-press': { clicked: [{ done: done.limitPressed }] },
  'mixer-step-open-rise': [{ done: done.mixerOpened }],
  'mixer-step-shut-fall': [{ done: done.mixerShut }],
};

export const stops: StopDeclaration = { kinds: {}, checks: {}, answers: {} };

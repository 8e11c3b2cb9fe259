import type { Caution, Repair } from '../family';
import { caution } from './cautions';

/** A repair in one line of words, with what it is proved by. */
export const repair = (
  suspect: string,
  order: string,
  minutes: number,
  given: {
    readonly steps: readonly string[];
    readonly proof: readonly string[];
    readonly parts?: readonly string[];
    readonly fits?: string;
    readonly cautions?: readonly Caution[];
    readonly shownBy?: readonly string[];
    readonly drawnPart?: string;
    readonly recheck?: Repair['recheck'];
    readonly wires?: Repair['wires'];
  },
): Repair => ({ suspect, order, minutes, parts: [], cautions: [], wires: [], ...given });

/** Repairs of any fan-assisted burner. */
export const fireRepairs: Readonly<Record<string, Repair>> = {
  'restore-supply': repair('Supply', 'Bring the supply back', 8, {
    steps: [
      'Breaker, residual-current device, plug, switch.',
      'Find why it was off before it is left.',
    ],
    proof: ['fire-attempt-tap', 'display-look'],
    cautions: [caution.trips],
    drawnPart: 'control',
  }),
  'replace-fuse': repair('Fuse of the control', 'Replace the fuse by its rating', 12, {
    parts: ['fuse of the same rating'],
    fits: 'fuse',
    steps: [
      'Power off and proved dead.',
      'What blew it: pump, fan, damp.',
      'Fuse of the same rating, never a larger one.',
    ],
    proof: ['fire-attempt-tap', 'display-look'],
    cautions: [caution.powerOff],
    shownBy: ['fuse-ohms-look'],
    drawnPart: 'control',
  }),
  'replace-control': repair('Control', 'Replace the control', 45, {
    parts: ['control'],
    fits: 'control',
    steps: [
      'Settings and parameters noted as found.',
      'Power off and proved dead; plugs noted or photographed.',
      'New control; settings copied, fuel, altitude and vent set.',
    ],
    proof: ['fire-attempt-tap', 'display-look', 'co-ratio'],
    cautions: [caution.powerOff, caution.settings],
    shownBy: ['control-dc-volts'],
    drawnPart: 'control',
  }),
  'call-water-supplier': repair('Water main', 'Have the main or pressure valve put right', 15, {
    steps: ['Static and running pressure shown to the supplier, or the pressure valve set.'],
    proof: ['tap-flow'],
  }),
  'raise-gas-supply': repair('Gas supply under load', 'Make the gas supply right', 60, {
    parts: ['regulator or pipe where it is the cause'],
    steps: [
      'Regulator, pipe size, vessel, other appliances: whoever is licensed.',
      'Read again with everything else on the line at full fire.',
    ],
    proof: ['gas-pressure-running', 'gas-rate', 'co-ratio'],
    cautions: [caution.gasWork],
    drawnPart: 'gas-cock',
  }),
  'replace-gas-valve': repair('Gas valve', 'Replace the gas valve', 60, {
    parts: ['gas valve for the fuel', 'gaskets'],
    fits: 'gas-valve',
    steps: [
      'Gas and power off.',
      'New valve, joints tight.',
      'Set by the plate; leak check; analysis.',
    ],
    proof: ['fire-attempt-tap', 'co-ratio'],
    cautions: [caution.gasOff, caution.gasWork],
    shownBy: ['gas-valve-volts'],
    drawnPart: 'gas-valve',
  }),
  'clear-flue': repair('Flue or intake', 'Clear flue and intake, make joints good', 40, {
    parts: ['pipe, joint or screen'],
    steps: [
      'Nest, ice, lint out; joints made good; terminal where it does not take its own gas in.',
      'Analysis at most and least output.',
    ],
    proof: ['flue-look', 'co2', 'co-ratio'],
    cautions: [caution.carbonMonoxide],
    shownBy: ['flue-look'],
    drawnPart: 'flue',
  }),
  'clear-condensate': repair('Condensate', 'Clear trap and pipe', 25, {
    parts: ['trap or pipe'],
    steps: ['Trap and pipe cleared, filled again.', 'Lagged or laid anew against frost.'],
    proof: ['fire-attempt-tap', 'condensate-look'],
    cautions: [caution.condensate],
    shownBy: ['condensate-look'],
  }),
  'replace-fan': repair('Fan', 'Replace the fan', 45, {
    parts: ['fan', 'gaskets'],
    fits: 'fan',
    steps: [
      'Power off and proved dead, gas off.',
      'New fan and gaskets.',
      'Analysis at most and least output.',
    ],
    proof: ['fan-speed-percent', 'co-ratio'],
    cautions: [caution.powerOff, caution.gasWork],
    shownBy: ['fan-speed-percent'],
    drawnPart: 'fan',
  }),
  'replace-limit': repair('Over-temperature device', 'Replace the over-temperature device', 25, {
    parts: ['device of the same temperature'],
    fits: 'cutout',
    steps: ['The cause first: flow, scale, air.', 'Device of the same temperature.'],
    proof: ['limit-ohms'],
    cautions: [caution.neverBridge, caution.powerOff],
    shownBy: ['limit-ohms'],
    drawnPart: 'limit',
  }),
};

import type { EntryState } from '../../job-file/generated/job-types';
import type { JobState } from '../../job-file/state';
import type { PictureControl, PictureSlider } from '../kit/setting';
import type { PictureSetting, PictureState } from '../picture';
import { withDone, type UnitState } from '../kit/unit-state';
import { isStrapped, openBranches } from './circuit-of';
import type { ElectricalFamily } from './electrical-family';
import { meterInputOhm } from '../kit/meters';
import type { Plate } from './plate';
import { isPowered, resetPressed, waterOf, type Thermostat } from './state';
import type { UnitHypothesis } from './unit-hypothesis';
import { switchPositions } from './unit-view';

/** Above this a terminal is drawn live, in volts to earth. */
const liveVolt = 30;
/** A terminal fed through more than this is fed back through an element, in ohms. */
const fedBackOhm = 3;
/** Below this a conductor counts as carrying nothing, in amperes. */
const leastAmpere = 0.02;

/** A heater as its circuit stands, drawn under one hypothesis in the state that is set. */
export function drawHeater(
  family: ElectricalFamily,
  plate: Plate,
  drawn: UnitHypothesis,
  state: UnitState,
): Omit<PictureState, 'suspected'> {
  const circuit = family.view(plate).solve(drawn, state);
  const toEarthOhm = (terminal: string) => circuit.probeResistance(terminal, 'earth').value;
  // As a meter would show it: a terminal that hangs free is not live.
  const volts = (terminal: string, ohm = toEarthOhm(terminal)) =>
    (circuit.voltageAt(terminal) * meterInputOhm) / (meterInputOhm + ohm);
  const switches = switchPositions(family, drawn, state);
  // What hangs free is told apart from a contact that stands open.
  const { contacts, gaps } = openBranches(family, plate, { ...switches, lifted: [] });
  const water = (id: 'top' | 'bottom'): number => {
    const thermostat = family.thermostats.find((each) => each.water === id);
    const measured = thermostat && state.known[waterOf(thermostat.id)];
    return measured ?? (id === 'top' ? drawn.situation.topCelsius : drawn.situation.bottomCelsius);
  };
  return {
    quantity: 'voltage-ac',
    terminals: Object.fromEntries(
      family.names.terminals.map((terminal) => {
        const ohm = toEarthOhm(terminal);
        const volt = volts(terminal, ohm);
        const live = volt <= liveVolt ? 'dead' : ohm > fedBackOhm ? 'fed-back' : 'live';
        return [terminal, { volt, live }];
      }),
    ),
    ampere: Object.fromEntries(
      family.branches.flatMap(({ id }) => {
        const ampere = circuit.currentThrough(id);
        return ampere > leastAmpere ? [[id, ampere]] : [];
      }),
    ),
    watt: Object.fromEntries(
      family.elements.map(({ id, part }) => [
        part,
        family.branches
          .filter((each) => each.element === id)
          .reduce((sum, each) => sum + circuit.powerIn(each.id), 0),
      ]),
    ),
    liveFeeds: family.branches.flatMap(({ id, from, openedBy }) =>
      openedBy === 'breaker' && volts(from) > liveVolt ? [id] : [],
    ),
    open: [...contacts, ...gaps].map((index) => family.branches[index]!.id),
    strapped: family.branches.flatMap(({ id, openedBy }) =>
      isStrapped(openedBy, plate) ? [id] : [],
    ),
    lifted: state.apart,
    paths: {},
    symbols: {},
    readouts: {},
    power: isPowered(state) ? 'on' : 'off',
    controls: state.controls,
    topCelsius: water('top'),
    bottomCelsius: water('bottom'),
    faults: drawn.faults,
  };
}

/** The state a reading would be taken in: what the logbook says, with what is set on the picture over it. */
export function stateWith(
  { readingState }: Pick<ElectricalFamily, 'readingState'>,
  state: JobState,
  { controls: { limit, ...controls } = {}, known = {}, apart }: PictureSetting,
): UnitState {
  const present = readingState(state);
  const set: UnitState = {
    ...present,
    controls: {
      ...present.controls,
      ...controls,
      ...(limit === 'tripped' ? { limit } : {}),
    },
    apart: apart ?? present.apart,
    known,
  };
  return limit === 'closed' ? withDone(set, resetPressed) : set;
}

/** The state that a reading was taken in, as the picture was set. */
export function statedOf(
  thermostats: readonly Thermostat[],
  { controls = {}, known = {} }: PictureSetting,
  state: UnitState,
): EntryState {
  const { limit } = controls;
  const water = Object.fromEntries(
    thermostats.flatMap(({ id }) => {
      const celsius = known[waterOf(id)];
      return celsius === undefined ? [] : [[id, { celsius }]];
    }),
  );
  return {
    power: isPowered(state) ? 'on' : 'off',
    ...(state.apart.length > 0 ? { lifted: [...state.apart] } : {}),
    ...(limit === 'closed' || limit === 'tripped' ? { limit } : {}),
    ...Object.fromEntries(
      thermostats.flatMap(({ stateKey }) =>
        controls[stateKey] === undefined ? [] : [[stateKey, controls[stateKey]]],
      ),
    ),
    ...(Object.keys(water).length > 0 ? { water } : {}),
  };
}

/** What may be set on the picture of a heater: its breaker, its limit, its dials and its water. */
export const pictureControls = (thermostats: readonly Thermostat[]): PictureControl[] => [
  {
    key: 'power',
    label: 'Breaker',
    positions: [
      { id: 'off', label: 'off' },
      { id: 'on', label: 'on' },
    ],
  },
  {
    key: 'limit',
    label: 'Limit',
    positions: [
      { id: 'closed', label: 'reset' },
      { id: 'tripped', label: 'tripped' },
    ],
  },
  ...thermostats.map(({ stateKey, label }) => ({
    key: stateKey,
    label,
    positions: [
      { id: 'high', label: 'high' },
      { id: 'low', label: 'low' },
    ],
  })),
];

export const pictureSliders = (thermostats: readonly Thermostat[]): PictureSlider[] =>
  thermostats.map(({ id, label }) => {
    const which = label.replace(' dial', '').toLowerCase();
    return {
      key: waterOf(id),
      label: thermostats.length > 1 ? `Water, ${which}` : 'Water',
      name: `Water at the ${which} thermostat`,
      quantity: 'temperature',
      range: [15, 90],
    };
  });

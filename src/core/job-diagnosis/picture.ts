import {
  isStrapped,
  meterInputOhm,
  openBranches,
  repairOfFault,
  switchPositions,
  type ApplianceFamily,
  type ReadingState,
  type UnitHypothesis,
} from '../appliances';
import type { LiftedEnd, ProbePoint } from '../job-file';
import type { OpenDiagnosis } from './open-diagnosis';
import { expectObservable, type Expectation } from './expect';

/** What the wiring picture shows of the unit in a state, under one hypothesis, from the circuit. */
export interface PictureState {
  readonly terminals: Readonly<Record<string, TerminalState>>;
  /** Current in each conductor, contact and element that carries any, in amperes, by branch. */
  readonly ampere: Readonly<Record<string, number>>;
  /** Heat of each element, in watts, by part. */
  readonly watt: Readonly<Record<string, number>>;
  /** Breaker poles that the supply keeps live from the other side. */
  readonly liveFeeds: readonly string[];
  /** Switch contacts that stand open. */
  readonly open: readonly string[];
  /** Contacts in whose place this unit has a strap. */
  readonly strapped: readonly string[];
  readonly lifted: readonly LiftedEnd[];
  readonly power: 'on' | 'off';
  readonly dials: Readonly<Record<string, string>>;
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  /** Fault that the picture is drawn with, and what else the leading suspects would have broken. */
  readonly faults: readonly string[];
  readonly suspected: readonly SuspectedPart[];
}

export interface TerminalState {
  /** To earth. */
  readonly volt: number;
  /** Straight from the supply, or back through an element. */
  readonly live: 'live' | 'fed-back' | 'dead';
}

export interface SuspectedPart {
  readonly fault: string;
  readonly repair: string;
  readonly probability: number;
  /** Branches of the circuit that it changes. */
  readonly branches: readonly string[];
}

/** What a person has set on the picture, over what the logbook says. */
export interface PictureSetting {
  readonly power?: 'on' | 'off';
  readonly dials?: Readonly<Record<string, 'high' | 'low' | 'found'>>;
  readonly limit?: 'closed' | 'tripped';
  readonly waterCelsius?: Readonly<Record<string, number>>;
  readonly lifted?: readonly LiftedEnd[];
  /** Drawn as a good unit, and not as the leading suspect has it. */
  readonly good?: boolean;
}

/** Above this a terminal is drawn live, in volts to earth. */
const liveVolt = 30;
/** A terminal fed through more than this is fed back through an element, in ohms. */
const fedBackOhm = 3;
/** Below this a conductor counts as carrying nothing, in amperes. */
const leastAmpere = 0.02;
const mostSuspected = 3;

export function pictureOf(open: OpenDiagnosis, setting: PictureSetting = {}): PictureState {
  const { family, plate, tables, standing } = open;
  const state = stateWith(family, open, setting);
  const likeliest = standing.byHypothesis.reduce(
    (best, each, h) => (each > standing.byHypothesis[best]! ? h : best),
    0,
  );
  const { model } = tables;
  const drawn = model.hypotheses[setting.good ? model.healthyIndex : likeliest] as UnitHypothesis;
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
    const measured = thermostat && state.waterCelsius?.[thermostat.id];
    return measured ?? (id === 'top' ? drawn.situation.topCelsius : drawn.situation.bottomCelsius);
  };
  return {
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
    lifted: state.lifted,
    power: state.power,
    dials: state.dials,
    topCelsius: water('top'),
    bottomCelsius: water('bottom'),
    faults: drawn.faults,
    suspected: suspectedParts(open),
  };
}

/** Parts that the leading suspects would have broken, the likeliest first. */
function suspectedParts({ tables, standing, family }: OpenDiagnosis): SuspectedPart[] {
  const byFault = new Map<string, { probability: number; branches: ReadonlySet<string> }>();
  for (const h of standing.active) {
    const { faults, changes } = tables.model.hypotheses[h] as UnitHypothesis;
    if (faults.length !== 1) continue;
    const found = byFault.get(faults[0]!);
    byFault.set(faults[0]!, {
      probability: (found?.probability ?? 0) + standing.byHypothesis[h]!,
      branches: new Set([...(found?.branches ?? []), ...Object.keys(changes)]),
    });
  }
  return [...byFault]
    .map(([fault, { probability, branches }]) => ({
      fault,
      repair: repairOfFault(family, fault),
      probability,
      branches: [...branches],
    }))
    .sort((one, other) => other.probability - one.probability)
    .slice(0, mostSuspected);
}

/** The state a reading would be taken in: what the logbook says, with what is set on the picture over it. */
export function stateWith(
  family: ApplianceFamily,
  { state }: Pick<OpenDiagnosis, 'state'>,
  { power, dials, limit, waterCelsius, lifted }: PictureSetting,
): ReadingState {
  const present = family.readingState(state);
  return {
    ...present,
    power: power ?? present.power,
    dials: { ...present.dials, ...dials },
    lifted: lifted ?? present.lifted,
    limitReset: present.limitReset || limit === 'closed',
    ...(limit === 'tripped' ? { limitHeldOpen: true } : {}),
    ...(waterCelsius && Object.keys(waterCelsius).length > 0 ? { waterCelsius } : {}),
  };
}

/** What a meter on any two terminals would show: volts with the power on, ohms with it off. */
export interface ProbeAnswer extends Omit<Expectation, 'check'> {
  readonly quantity: 'resistance' | 'voltage-ac';
  readonly state: ReadingState;
}

export function probeTerminals(
  open: OpenDiagnosis,
  between: readonly [ProbePoint, ProbePoint],
  setting: PictureSetting = {},
): ProbeAnswer {
  const state = stateWith(open.family, open, setting);
  const quantity = state.power === 'on' ? 'voltage-ac' : 'resistance';
  const observable = open.family.probe(quantity, between[0], between[1], state);
  return { quantity, state, ...expectObservable(open, observable) };
}

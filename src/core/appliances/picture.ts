import type { LiftedEnd } from '../job-file/generated/job-types';

/** What the wiring picture shows of the unit in a state, under one hypothesis, from the circuit. */
export interface PictureState {
  readonly terminals: Readonly<Record<string, TerminalState>>;
  /** What the volts of its terminals are. */
  readonly quantity: 'voltage-ac' | 'voltage-dc';
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
  readonly controls: Readonly<Record<string, string>>;
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
  /** Positions by control. */
  readonly controls?: Readonly<Record<string, string>>;
  /** What is supposed to be so, by the keys of a state's `known`. */
  readonly known?: Readonly<Record<string, number>>;
  readonly apart?: readonly LiftedEnd[];
  /** Drawn as a good unit, and not as the leading suspect has it. */
  readonly good?: boolean;
}

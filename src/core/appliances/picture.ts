import type { LiftedEnd } from '../job-file/generated/job-types';
import type { Quantity } from '../quantities';

/** What the picture shows of the unit in a state, under one hypothesis, from the model. */
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
  /** What is in each way of gas, water, air or flue gas, by the drawing's id of it. */
  readonly paths: Readonly<Record<string, PathState>>;
  /** How each symbol stands. One that is not here is none of this unit's and is not drawn. */
  readonly symbols: Readonly<Record<string, SymbolState>>;
  /** What the model has at each named point. One that is not here is none of this unit's and is not drawn. */
  readonly readouts: Readonly<Record<string, Readout>>;
  readonly power: 'on' | 'off';
  readonly controls: Readonly<Record<string, string>>;
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  /** Of vessels beside the tank, in °C, by the drawing's id. */
  readonly vesselCelsius?: Readonly<Record<string, number>>;
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

/** It moves, it is there and stands still, or it is not there. */
export type PathState = 'flows' | 'stands' | 'empty';

export interface SymbolState {
  /** How it is drawn: 'on' is open, lit, turning or clear, `weak` is half of it. */
  readonly look: 'on' | 'weak' | 'off';
  /** "holds", "blocked", "one short blink every 4 s". */
  readonly words: string;
  /** Where its control stands, if it has one. */
  readonly position?: string;
}

export interface Readout {
  readonly quantity: Quantity;
  /** In the kept unit. */
  readonly value: number;
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

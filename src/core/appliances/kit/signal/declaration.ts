import type { JobFile } from '../../../job-file/generated/job-types';
import type { PartRequirement } from '../../../parts';
import type { Analysis } from '../../../combustion';
import type { Quantity } from '../../../quantities';
import type { LoggedEvent } from '../../../job-file/logs';
import type { WatchedLog } from '../../../thermal/log';
import type { ShowerWish, TankResult } from '../../../thermal/tank';
import type { ReadCourse } from '../../../water';
import type {
  FlueAnalysis,
  FollowedPlaces,
  PocketSensor,
  RadiatorUse,
  SensorUse,
  DeadPoint,
  FamilyPlate,
  FamilyWords,
  PlateFact,
  StopWords,
  StorageWater,
  SystemSettings,
  TapWater,
} from '../../appliance-family';
import type { KeyedTank } from '../logged-water';
import type { OwnSheet } from '../../../settings/own-rules';
import type { SheetParameter } from '../../../settings/parameter';
import type { Drawing } from '../../drawing';
import type { CheckWords, FamilyCodes, Question, Repair } from '../../family';
import type { JointReading } from '../../joint-reading';
import type { PictureState } from '../../picture';
import type { Changes, Ends } from '../change';
import type { CheckEffects } from '../effects';
import type { Mode } from '../list-hypotheses';
import type { MeterModel } from '../../../diagnosis/model';
import type { FamilyNames } from '../names';
import type { FamilyParameters } from '../parameters';
import type { PlateField } from '../plate-field';
import type { PictureControl, PictureSlider, SettingField } from '../setting';
import type { Signals } from '../stages';
import type { UnitState } from '../unit-state';
import type { Target } from '../../appliance-family';

/** A way a fault comes out: what it changes, and how much that differs, natural logarithm. */
export interface SignalVariant {
  readonly share: number;
  readonly changes: Changes;
  readonly spread?: Readonly<Record<string, number>>;
  /** A contact that comes and goes: in so many of all readings it is changed so instead. */
  readonly otherwise?: {
    readonly changes: Changes;
    shareIn(state: UnitState): number;
  };
}

export type SignalMode = Mode<SignalVariant>;

/** How a unit stands when somebody comes: what its fault has led to. Shares sum to 1. */
export interface Standing {
  readonly share: number;
}

/** A unit to be run: what it is made of, how it stood on arrival, how it is set for a reading. */
export interface Running<Plate extends FamilyPlate, S extends Standing> {
  readonly plate: Plate;
  readonly elements: Readonly<Record<string, number>>;
  readonly standing: S;
  readonly state: UnitState;
}

/** A unit as it runs under a hypothesis: what looks and answers are told from. */
export interface Seen<Plate extends FamilyPlate, S extends Standing> extends Running<Plate, S> {
  readonly signals: Readonly<Signals>;
  /** Whether it has one of these faults. */
  has(...faults: readonly string[]): boolean;
}

export type Shares = Readonly<Record<string, number>>;

/** Elements that a reading follows, and whether how the unit was found bears on it. */
export interface Follows {
  readonly elements: readonly string[];
  readonly byStanding: boolean;
  /** Signals of nought or one that everything else bears on it through: whether it burns, whether it tries. */
  readonly gates?: readonly string[];
}

export interface Followed {
  /** Of a meter on two points. */
  readonly probe: Follows;
  /** Of each signal that a check reads. */
  readonly signals: Readonly<Record<string, Follows>>;
}

/** What is seen, heard or felt; what it depends on of the state beside the unit itself. */
export interface SignalLook<Plate extends FamilyPlate, S extends Standing> {
  /** Equal for states in which it is the same look; the same in all where absent. */
  keyOf?(state: UnitState): string;
  predict(seen: Seen<Plate, S>): Shares;
}

/** A physics to be run, with what a meter shows on it. */
export interface SignalModel<Plate extends FamilyPlate, S extends Standing> {
  run(unit: Running<Plate, S>): Signals;
  /** What a meter shows at two points of it, in the kept unit; undefined where it cannot be read there. */
  probe(unit: Running<Plate, S>, target: Target, quantity: Quantity): number | undefined;
}

/**
 * A family whose physics are stages that exchange signals: data, with a few functions. Everything that follows from it
 * (hypotheses, predictions, evidence, access, plans) is worked out by the kit.
 */
export interface SignalDeclaration<Plate extends FamilyPlate, S extends Standing> {
  readonly title: string;
  readonly names: FamilyNames;
  readonly words: FamilyWords;
  readonly parameters: FamilyParameters;
  readonly drawing: Drawing;
  /** Procedures as data, not yet read. */
  readonly procedures: readonly unknown[];
  readonly checks: Readonly<Record<string, CheckWords>>;
  readonly questions: Readonly<Record<string, Question>>;
  readonly askedComplaints: readonly string[];
  readonly repairs: Readonly<Record<string, Repair>>;
  readonly usualOrder: readonly string[];
  readonly plateFields: readonly PlateField[];
  readonly codes?: FamilyCodes;
  readonly settings: readonly SettingField[];
  readonly pictureControls: readonly PictureControl[];
  readonly pictureSliders: readonly PictureSlider[];
  /** Facts of access: which check each needs, and what makes each so. */
  readonly access: AccessDeclaration;
  readonly effects: Readonly<Record<string, CheckEffects>>;
  readonly stops: StopDeclaration;
  /** Points to be proved dead; none where nothing in the unit is on mains volts that hands come near. */
  readonly deadPoints?: readonly DeadPoint[];
  /** What is read between two terminals: with the power on, and off. Millivolts and ohms where absent. */
  readonly readable?: { readonly on: Quantity; readonly off: Quantity };
  /** Checks of several values that come to an outcome and not to a number, each with how. */
  readonly classed?: Readonly<
    Record<
      string,
      (
        values: Readonly<Record<string, number>>,
        plate: JobFile['unit']['plate'],
      ) => string | undefined
    >
  >;
  /** Checks that an answer of the call forbids. */
  readonly barred: Readonly<Record<string, Readonly<Record<string, string>>>>;
  partRequirements(kind: string, plate: Plate): readonly PartRequirement[];
  plateOf(job: Pick<JobFile, 'unit' | 'site'>): Plate;
  usualServices(plate: JobFile['unit']['plate']): NonNullable<JobFile['site']>;
  plateLine(plate: JobFile['unit']['plate']): string;
  plateFacts(plate: Plate): readonly PlateFact[];
  nextProof(plate: Plate): string;
  /** What the plate says of a field that checks, faults and codes may depend on. */
  variantOf(plate: Plate, field: string): string;
  modes(plate: Plate): readonly SignalMode[];
  elements(plate: Plate): Readonly<Record<string, number>>;
  readonly ends: Ends;
  /**
   * With two faults, what the rest of a unit differs by is taken as on a good one: each run is dear, and pairs are many. Every
   * unit has its own where absent.
   */
  readonly pairsSpreadAsGood?: boolean;
  /** Spread of the true value of an element of a good unit, natural logarithm. */
  readonly tolerances: Readonly<Partial<Record<string, number>>>;
  /** Elements whose true value several readings share, each with its spread; at most three. */
  readonly shared: readonly { readonly element: string; readonly spread: string }[];
  situations(
    model: SignalModel<Plate, S>,
    plate: Plate,
    elements: Readonly<Record<string, number>>,
    faults: readonly string[],
  ): readonly S[];
  model(plate: Plate): SignalModel<Plate, S>;
  /** Signal that a check of one value reads, where it is not read between two points. */
  readonly reads: Readonly<Record<string, string>>;
  /** Signal that stands at each named point, by what is read there: what no point has here is not worked out. */
  readonly readsAt: Readonly<Record<string, Readonly<Partial<Record<Quantity, string>>>>>;
  /** Signal that is read between two terminals, by both and by what is read; everything that a meter reads there where absent. */
  readonly readsBetween?: readonly {
    readonly between: readonly [string, string];
    readonly reads: Readonly<Partial<Record<Quantity, string>>>;
  }[];
  /** Points that are read with the gas way open or something lit. */
  readonly gasPoints: readonly string[];
  /** Units that are alike in what a reading follows read alike: each is worked out once. */
  readonly follows: Followed;
  /** What the values of a check that gives several come to, as the one number that its signal stands for. */
  readonly combined: Readonly<
    Record<
      string,
      (values: Readonly<Record<string, number>>, plate: JobFile['unit']['plate']) => number
    >
  >;
  /** How an instrument errs: by check, else by quantity. */
  meterOf(check: string | undefined, quantity: Quantity): MeterModel;
  /** Spread of a reading beside that of the elements, in its kept unit, by check or named point. */
  readonly ownSpread: Readonly<Record<string, number>>;
  readonly looks: Readonly<Record<string, SignalLook<Plate, S>>>;
  readonly answers: Readonly<Record<string, (seen: Seen<Plate, S>) => Shares>>;
  /** Its sheet of settings, with the check whose outcome the sheet as found is. */
  readonly system?: SystemSettings & { readonly check: string };
  /** How its flue gas is analysed: what was entered comes by the keys of the check. */
  readonly flue?: Omit<FlueAnalysis, 'read'> & {
    readOf(values: Readonly<Record<string, number>>): Partial<Analysis>;
  };
  /** Radiators that hang on it and can be balanced. */
  readonly radiators?: RadiatorUse;
  readonly isHeatPump?: boolean;
  readonly sheet?: OwnSheet<Plate>;
  readonly pockets?: readonly PocketSensor[];
  readonly placesFollowed?: FollowedPlaces;
  readonly mixing?: { litre(plate: Plate): number | undefined };
  readonly sensors?: SensorUse;
  /** Checks that are judged together as well. */
  readonly joint?: readonly JointReading[];
  /** Its water in time, where it stores any. */
  readonly water?: SignalWater<Plate, S>;
  /** Its tap in time, where it warms water as it runs. */
  readonly tap?: SignalTap<Plate, S>;
  /** The state that a check is taken in, over what is otherwise so. */
  impliedState(check: string, present: UnitState): UnitState;
  /** Equal for hypotheses under which a good unit shows the same: what bears on a reading stands in it, and what does not is lost. */
  standingKey(standing: S): string;
  picture(
    seen: Seen<Plate, S>,
    model: SignalModel<Plate, S>,
  ): Omit<PictureState, 'suspected' | 'faults' | 'readouts'>;
}

/** A tap under a family of signals: what is watched at it, and what that follows. */
export interface SignalTap<Plate extends FamilyPlate, S extends Standing> {
  readonly hasFlow: boolean;
  ratings(plate: Plate): ReturnType<TapWater['ratings']>;
  /** The sheet of its settings beside its setpoints. */
  readonly parameters: readonly SheetParameter[];
  readonly follows: readonly string[];
  standingKey(standing: S): string;
  /** The state of a unit whose tap was opened. */
  opened(state: UnitState): UnitState;
  /** Its course is none where it does not burn. */
  watch(unit: Running<Plate, S>): ReadCourse & {
    /** What the tap gives, in L/min. */
    readonly litrePerMinute: number;
  };
}

/** A tank of water under a family of signals. */
export interface SignalWater<Plate extends FamilyPlate, S extends Standing> {
  litre(plate: Plate): number;
  heaters: StorageWater['heaters'];
  /** The tank of a log under a hypothesis; equal keys have equal tanks. */
  logTank(unit: Running<Plate, S>): KeyedTank;
  /** What a sound unit has still to do from such water. */
  ahead: StorageWater['ahead'];
  shower(unit: Running<Plate, S>, faults: readonly string[], wish: ShowerWish): TankResult;
  /** Which thermostat a dial turns, and where it opens from then on. */
  dialAt(event: Extract<LoggedEvent, { kind: 'dial' }>): WatchedLog['dials'][number] | undefined;
}

/** Results and answers that end the diagnosis: nothing but making safe comes after them. */
export interface StopDeclaration {
  readonly kinds: Readonly<Record<string, StopWords>>;
  /** By check: the value, or the number above which it stops. */
  readonly checks: Readonly<
    Record<
      string,
      {
        readonly kind: string;
        readonly values?: readonly string[];
        readonly above?: number;
        /** Of a reading of several values, on this plate. */
        stops?(values: Readonly<Record<string, number>>, plate: JobFile['unit']['plate']): boolean;
      }
    >
  >;
  /** By question: the answer, and the checks that have to be good before it stops no more. */
  readonly answers: Readonly<
    Record<
      string,
      { readonly kind: string; readonly value: string; readonly clearedBy: readonly string[] }
    >
  >;
}

/** What a check needs to be so before it is taken, and what it needs not to be so. */
export interface AccessDeclaration {
  /** Minutes to make each so and to undo it stand in the parameters, by the same ids. */
  readonly facts: readonly AccessFactDeclaration[];
  readonly needs: Readonly<
    Record<string, { readonly sets: readonly string[]; readonly clears: readonly string[] }>
  >;
}

export interface AccessFactDeclaration {
  readonly id: string;
  /** As an order: "Take the outer panel off". */
  readonly order: string;
  /** And how it is undone, where it has to be. */
  readonly undo?: string;
  /** Shut or off for safety: nobody is told to bring it back before a unit is left, which may be left off. */
  readonly isolates?: true;
  /** The check whose result says whether it is so: it is taken first, and may say no. */
  readonly shownBy?: string;
  /** Other facts that have to be so while it is changed. */
  readonly with?: readonly string[];
  /** The gas way is opened for it, or something is lit. */
  readonly opensGas?: boolean;
  /** Before any check at all. */
  readonly isFirst?: boolean;
  /** Wires that hang free while it is so. */
  readonly lifts?: readonly { readonly wire: string; readonly end: string }[];
  /** Facts that are not so any more once this one is. */
  readonly ends?: readonly string[];
  /** Ends with another person, with leaving, and after hours without a word. */
  readonly lapses?: boolean;
  /** So only while the unit has been proved dead at its dead points, and ended by power: nobody just says it. */
  readonly isProvedDead?: boolean;
}

import type {
  Evidence,
  FamilyModel,
  GoodReading,
  Hypothesis,
  Observable,
  PlanStart,
} from '../diagnosis/model';
import type { FamilyCatalogue } from '../job-file/catalogue';
import type { WalkedEntry } from '../job-file/fold';
import type {
  Entry,
  EntryState,
  JobFile,
  ObservationEntry,
  ProbePoint,
  ReadingEntry,
} from '../job-file/generated/job-types';
import type { LoggedCourse } from '../job-file/logs';
import type { JobState } from '../job-file/state';
import type { PartRequirement } from '../parts';
import type { Procedure } from '../procedures';
import type { Analysis, BurnerKind, Fuel } from '../combustion';
import type { Quantity } from '../quantities';
import type { OwnSheet } from '../settings/own-rules';
import type { SystemSheetContext } from '../settings/system-rules';
import type { Explained } from '../thermal/log';
import type { ShowerWish, TankResult } from '../thermal/tank';
import type { Drawing } from './drawing';
import type { CautionSign, CheckWords, FamilyCodes, Question, Repair } from './family';
import type { JointReading } from './joint-reading';
import type { AccessStep } from './kit/access-step';
import type { TechnicianLimits } from './kit/limits';
import type { FamilyNames, NamedCheck } from './kit/names';
import type { FamilyParameters } from './kit/parameters';
import type { PlateField } from './kit/plate-field';
import type { PictureControl, PictureSlider, SettingField } from './kit/setting';
import type { UnitState } from './kit/unit-state';
import type { PictureSetting, PictureState } from './picture';

/** Water as it stands now, and what its dials are set to, where that is known. */
export interface StandingWater {
  readonly topCelsius: number;
  readonly bottomCelsius: number;
  readonly dialCelsius?: number;
}

export interface HeatAhead {
  /** Until the upper thermostat hands over; undefined where there is one heater, or it has. */
  readonly changeoverMinutes?: number;
  readonly shutOffMinutes: number;
}

/** A storage tank as the rest of the house sees it: its logs as evidence, and what a shower under a hypothesis would be. */
export interface StorageWater {
  litre(plate: FamilyPlate): number;
  /** Rated heat into the water and height of each heater, from the top down. */
  heaters(plate: FamilyPlate): readonly {
    readonly label: string;
    readonly watt: number;
    readonly height: number;
  }[];
  /** What a log shows, from one moment of it to another, with what was known of the unit before. */
  observableOfLog(
    course: LoggedCourse,
    before: JobState,
    part?: { readonly fromSecond?: number; readonly untilSecond?: number },
  ): Observable | undefined;
  /** How well a hypothesis explains such an observable, with the run that comes nearest. */
  explain(
    plate: FamilyPlate,
    hypothesis: Hypothesis,
    observable: Observable,
  ): Explained & { readonly fromSecond: number };
  /** What a sound unit has still to do from such water: until it hands over, and until all is satisfied, in minutes. */
  ahead(plate: FamilyPlate, water: StandingWater): HeatAhead;
  /** A shower under a hypothesis: what comes out, minute by minute. */
  shower(plate: FamilyPlate, hypothesis: Hypothesis, wish: ShowerWish): TankResult;
}

/** Water that is warmed as it runs: a followed draw as evidence, and what a tap would do under a hypothesis. */
export interface TapWater {
  /** Whether a loop stands between burner and tap, with a flow temperature of its own. */
  readonly hasFlow: boolean;
  /** What it can do, by its plate: heat to the water at most and least, in watts, and what is warm in it, in J/K. */
  ratings(plate: FamilyPlate): {
    readonly mostWatt: number;
    readonly leastWatt: number;
    readonly bodyJoulePerKelvin: number;
  };
  /** What a log shows of taps that were opened, from one moment of it to another, with what was known of the unit before. */
  observablesOfLog(
    course: LoggedCourse,
    before: JobState,
    part?: { readonly fromSecond?: number; readonly untilSecond?: number },
  ): readonly Observable[];
  /** Two minutes at an open tap under a hypothesis. */
  twoMinutes(
    plate: FamilyPlate,
    hypothesis: Hypothesis,
  ): {
    readonly burns: boolean;
    readonly cuts: number;
    /** What the tap gives, in L/min. */
    readonly litrePerMinute: number;
    readonly samples: readonly {
      readonly second: number;
      readonly tapCelsius: number;
      readonly flowCelsius: number;
    }[];
  };
  /** How far a hypothesis is off such an observable, and what it would have shown, on the log's own clock. */
  explain(
    plate: FamilyPlate,
    hypothesis: Hypothesis,
    observable: Observable,
  ): {
    readonly offKelvin: number;
    readonly channels: readonly {
      readonly place: string;
      readonly samples: readonly { readonly second: number; readonly celsius: number }[];
    }[];
  };
}

/** What the rules of a sheet ask of the unit itself. */
/** How the flue gas of a family is analysed. */
export interface FlueAnalysis {
  readonly burner: BurnerKind;
  /** Values that everything is worked out from: asked for, though what is past its limit is taken without them. */
  readonly asked: readonly string[];
  /** The checks that an analysis is entered under, at high fire and at low. */
  readonly checks: { readonly high: string; readonly low: string };
  /** The check whose finding a sheet of burners, looked at one by one, comes to. */
  readonly burnerCheck: string;
  fuelOf(plate: JobFile['unit']['plate']): Fuel;
  /** What was entered, under the names of the computation. */
  read(entry: Pick<ReadingEntry, 'check' | 'values'>): Partial<Analysis>;
}

/** Which checks read the ohms of a sensor, and of which kind it is on this plate. */
export interface SensorUse {
  readonly checks: readonly string[];
  typeOf(plate: JobFile['unit']['plate']): string;
}

/** Radiators that hang on a unit. */
export interface RadiatorUse {
  /** Means of top and bottom within this are even, K. */
  readonly bandKelvin: number;
}

export interface SystemSettings {
  context(plate: FamilyPlate): Omit<SystemSheetContext, 'choice' | 'number'>;
}

/** A sensor in a pocket, by the places at which a log follows what it shows and what is there. */
export interface PocketSensor {
  readonly name: string;
  readonly readout: string;
  readonly water: string;
}

/** Where most logs of a family are followed, what is one tap away, and where three live inputs are held. */
export interface FollowedPlaces {
  readonly usual: readonly string[];
  readonly others: readonly string[];
  readonly live: readonly [string, string, string];
}

/** A mixing valve on stored hot water. */
export interface MixingUse {
  /** Litres that are stored ahead of it; undefined where this plate has no valve. */
  litre(plate: FamilyPlate): number | undefined;
}

/** What a plate and its site say, as a family keeps it: only the family that read it looks inside. */
export type FamilyPlate = object;

/** What a meter is put on: two points, round a conductor, or a point that is named. */
export type Target =
  | { readonly between: readonly [ProbePoint, ProbePoint] }
  | { readonly around: string }
  | { readonly point: string };

/** What reads a part on itself, of everything that a repair fits. */
export interface PartReaders {
  check(id: string): boolean;
  /** Ohms between two points. */
  points(touched: readonly string[]): boolean;
}

/** Where volts are tried before the unit counts as dead. */
export interface DeadPoint {
  readonly between: readonly [string, string];
  readonly label: string;
}

/** What ends a diagnosis, and what is done about it: above everything else. */
export interface StopWords {
  readonly title: string;
  /** In order, verb first. */
  readonly steps: readonly string[];
}

/** A stop that stands: which, by what, and what to do. */
export interface Stop extends StopWords {
  readonly kind: string;
  readonly entry: string;
}

/** What somebody should expect of a part by its plate. */
export interface PlateFact {
  readonly label: string;
  readonly values: readonly { readonly value: number; readonly quantity: Quantity }[];
}

/** Words that are not those of a check, a question or a repair. */
export interface FamilyWords {
  readonly faults: Readonly<Record<string, string>>;
  readonly conductors: Readonly<Record<string, string>>;
  /** Named points that the picture has not. */
  readonly points?: Readonly<Record<string, string>>;
  /** Covers and other facts of access. */
  readonly covers: Readonly<Record<string, string>>;
  /** Where to look where a reading repeats and still fits nothing. */
  readonly lookCloser: string;
  /** What the report tells whoever lives with the heater, beside that hot water scalds. */
  readonly ownerCautions: readonly OwnerCaution[];
}

/** A fact of access that somebody has made so and has to undo. */
export interface ToUndo {
  readonly fact: string;
  readonly order: string;
}

export interface OwnerCaution {
  readonly sign: CautionSign;
  readonly lead: string;
  readonly rest: string;
  /** Added while wires are lifted. */
  readonly whileLifted?: string;
}

/**
 * A family of appliances as the rest of the house sees it, whatever it burns, moves or switches. What a family is made of
 * (a circuit, water, a sequence) stays behind this: evidence comes out of entries, predictions out of observables, and
 * nobody else knows what is in either.
 */
export interface ApplianceFamily {
  readonly id: string;
  readonly title: string;
  readonly names: FamilyNames;
  readonly catalogue: FamilyCatalogue;
  readonly checks: Readonly<Record<string, CheckWords>>;
  readonly checkIds: readonly string[];
  readonly questions: Readonly<Record<string, Question>>;
  readonly questionIds: readonly string[];
  /** Kinds of complaint that the call offers for this family, the commonest first. */
  readonly askedComplaints: readonly string[];
  readonly repairs: Readonly<Record<string, Repair>>;
  readonly words: FamilyWords;
  readonly drawing: Drawing;
  /** Work step by step, with its timers, as far as such a unit needs it. */
  readonly procedures: readonly Procedure[];
  readonly plateFields: readonly PlateField[];
  readonly settings: readonly SettingField[];
  readonly pictureControls: readonly PictureControl[];
  readonly pictureSliders: readonly PictureSlider[];
  /** Points to be proved dead; none where nothing in the unit is on mains volts. */
  readonly deadPoints: readonly DeadPoint[];
  /** Checks in the order that practice takes them. */
  readonly usualOrder: readonly string[];
  readonly parameters: FamilyParameters;
  readonly parameterHash: string;
  isCheckId(id: string | undefined): id is string;
  check(id: string): NamedCheck;
  /** @throws PlateError where the plate cannot be worked with. */
  plateOf(job: Pick<JobFile, 'unit' | 'site'>): FamilyPlate;
  model(plate: FamilyPlate, parameters?: FamilyParameters): FamilyModel;
  /** How the unit stands for a reading taken now. */
  readingState(state: JobState): UnitState;
  /** The state that a check implies, over what is otherwise so. */
  impliedState(check: string | undefined, present: UnitState): UnitState;
  observableOfCheck(check: string, state: UnitState): Observable;
  observableOfQuestion(question: string): Observable;
  /** A check as it would be taken now; a voltage without load, where that is said. */
  observableNow(check: string, state: JobState, load?: EntryState['load']): Observable;
  /** What is read at a target where nobody said what: volts with the power on, ohms with it off. */
  quantityAt(target: Target, state: UnitState): Quantity | undefined;
  observableAt(target: Target, quantity: Quantity, state: UnitState): Observable | undefined;
  /** What an entry looked at, in the state that it was taken in; undefined where it names nothing of this family. */
  observableOf(entry: ReadingEntry | ObservationEntry, before: JobState): Observable | undefined;
  /**
   * The same as a plan would name it: what only the technician at the unit knew, such as the water's temperature, does not
   * make it another check.
   */
  plannedKeyOf(entry: ReadingEntry | ObservationEntry, before: JobState): string | undefined;
  /** What was written down as found and is as good as a check: dials, for one. */
  settingEvidence(
    walked: readonly WalkedEntry[],
    errorRateOf: (check: string) => number,
    plate: FamilyPlate,
  ): readonly Evidence[];
  /** Equal for hypotheses under which a good unit would show the same: its water, its pilot. */
  standingKey(hypothesis: Hypothesis): string | number;
  /** The same look at a unit that stands as the hypothesis has it; undefined where it makes no difference. */
  lookAtStanding(observable: Observable, hypothesis: Hypothesis): Observable | undefined;
  /** The slip of the hand that most likely made a reading that fits nothing, in words. */
  likelyMistake(entry: Entry, good: GoodReading | undefined, before: JobState): string | undefined;
  /** What reads the part that a repair fits; undefined where it fits none, or none that anything reads. */
  readersOf(repair: string, fault: string | undefined): PartReaders | undefined;
  accessSteps(check: string, state: JobState): AccessStep[];
  /** Minutes of a check with the access that it still needs. */
  minutesOf(check: string, state: JobState, parameters?: FamilyParameters): number;
  isAllowed(check: string, limits: TechnicianLimits): boolean;
  /** Dangers that a check runs into, by name. */
  dangersOf(check: string): readonly string[];
  errorRateOf(check: string | undefined, parameters?: FamilyParameters): number;
  /** @param plate leaves out what its variant has not; every check where it is not given. */
  planStart(
    state: JobState,
    limits: TechnicianLimits,
    parameters?: FamilyParameters,
    plate?: FamilyPlate,
  ): PlanStart;
  /** Whether a unit of this plate has what a check looks at. */
  appliesTo(check: string, plate: FamilyPlate): boolean;
  /** Checks that prove a repair, those of the whole path first. */
  proofChecksFor(repair: string): readonly string[];
  /** The unit as it is drawn under a hypothesis, with what is set on the picture over what the logbook says. */
  picture(
    plate: FamilyPlate,
    drawn: Hypothesis,
    state: JobState,
    setting: PictureSetting,
  ): Omit<PictureState, 'suspected'>;
  /** What a hypothesis changes, as the picture names its parts. */
  drawnChanges(hypothesis: Hypothesis): readonly string[];
  /** The state that a reading would be taken in with what is set on the picture. */
  stateWith(state: JobState, setting: PictureSetting): UnitState;
  /** The same as an entry states it. */
  statedOf(setting: PictureSetting, state: UnitState): EntryState;
  /** What feeds such a unit where nobody said. */
  usualServices(unit: Pick<JobFile['unit'], 'plate'>): NonNullable<JobFile['site']>;
  /** The plate in one line: 2 × 4500 W at 240 V. */
  plateLine(unit: Pick<JobFile['unit'], 'plate'>): string;
  /** What feeds it, where that is not what the plate asks for: on 208 V. */
  feedLine(plate: FamilyPlate): string | undefined;
  /** What follows from a plate: the ohms and amps of an element, by the part that has them. */
  plateFacts(plate: FamilyPlate): readonly PlateFact[];
  /** Numbers that the picture writes beside its parts, from the plate. */
  drawnRatings(plate: FamilyPlate): Readonly<Record<string, number>>;
  /** What is still to be seen after a repair, with the times that this plate needs. */
  nextProof(plate: FamilyPlate): string;
  /** What ends the diagnosis as things stand: smelled gas, spillage. */
  stopOf(
    job: Pick<JobFile, 'complaint'> & { readonly unit: Pick<JobFile['unit'], 'plate'> },
    walked: readonly WalkedEntry[],
  ): Stop | undefined;
  /** What is still to be put back before somebody leaves the unit, as orders: a cover on, a gauge off and its port tested. */
  leftToUndo(state: JobState): readonly ToUndo[];
  /** The check that comes before any other as things stand: a sniff for gas. */
  firstCheck(state: JobState): string | undefined;
  /** Checks that say more together than each alone. */
  readonly joint?: readonly JointReading[];
  /** Codes on a display or a light that blinks, where its control has any. */
  readonly codes?: FamilyCodes;
  /** It moves heat out of the air instead of burning anything. */
  readonly isHeatPump?: boolean;
  /** Something burns in it: some of its checks are gas work. */
  readonly burnsGas: boolean;
  /** Whether an answer of the call forbids a check. */
  isBarred(check: string, complaint: JobFile['complaint']): boolean;
  /** The one number that an entry with several values comes to. */
  combined(entry: ReadingEntry, plate: JobFile['unit']['plate']): number | undefined;
  /** The outcome that it comes to instead, where it is judged by its class: an analysis. */
  classed?(entry: ReadingEntry, plate: JobFile['unit']['plate']): string | undefined;
  /** What a new part must match, by its kind: `element`, `thermocouple`; nothing for a kind that fits anything. */
  partRequirements(
    kind: string,
    plate: FamilyPlate,
    repair: string | undefined,
  ): readonly PartRequirement[];
  /** Its water in time; none where it stores none. */
  readonly storage?: StorageWater;
  /** Its tap in time; none where it stores its water. */
  readonly tap?: TapWater;
  /** Its sheet of settings, where it heats rooms in zones and a cylinder. */
  readonly system?: SystemSettings;
  /** How its flue gas is analysed, where it is. */
  readonly flue?: FlueAnalysis;
  /** Radiators that hang on it and can be balanced. */
  readonly radiators?: RadiatorUse;
  /** A sheet of settings that is its own, where it has neither tank nor tap nor zones. */
  readonly sheet?: OwnSheet<FamilyPlate>;
  /** Sensors that a log holds against their water. */
  readonly pockets?: readonly PocketSensor[];
  /** What a log of it follows, where that is its own. */
  readonly follows?: FollowedPlaces;
  /** The mixing valve on its hot water, where it has one. */
  readonly mixing?: MixingUse;
  /** Sensors that are judged by their ohms. */
  readonly sensors?: SensorUse;
  /** Where a fault without a name sits. */
  placeOfUnlisted(fault: string): string | undefined;
}

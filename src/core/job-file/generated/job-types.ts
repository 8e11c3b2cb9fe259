/* eslint-disable -- generated */
/* Made by `npm run generate:schemas` from schemas/job.schema.ts. Do not edit. */

export type PlateValue = string | boolean | number | Value;
export type Entry =
  | ReadingEntry
  | ObservationEntry
  | CodeEntry
  | SettingEntry
  | ActionEntry
  | SkipEntry
  | SeriesEntry
  | LogEntry
  | BalancingEntry
  | MixingEntry
  | PhotoEntry
  | WireEntry
  | PartEntry
  | StepEntry
  | ServiceEntry
  | VerdictEntry
  | StatusEntry
  | CountersignEntry
  | CorrectionEntry;
export type ProbePoint =
  | string
  | {
      wire: string;
      end: string;
    };

/**
 * One job of Ohmmeter: who, which unit, the complaint, and every entry of its logbook.
 */
export interface JobFile {
  format: 'ohmmeter-job';
  version: 1;
  job: {
    id: string;
    number?: string;
    openedAt?: string;
    timeZone?: string;
    technician?: string;
    origin?: {
      organisation: string;
      job: string;
    };
  };
  unit: {
    family: string;
    plate: Plate;
    id?: string;
    make?: string;
    model?: string;
    serial?: string;
    manufactured?: string;
    installed?: string;
    served?: {
      [k: string]: string;
    };
    /**
     * @maxItems 20
     */
    circumstances?: string[];
  };
  /**
   * @maxItems 20000
   */
  entries: Entry[];
  minor?: number;
  site?: {
    id?: string;
    customer?: string;
    address?: string;
    supply?: {
      system: 'split-phase' | 'single-phase';
      nominal?: Measured;
      frequency?: Measured;
      residualCurrentDevice?: boolean;
    };
    gas?: {
      kind?: 'natural-gas' | 'lpg';
      inlet?: Measured;
    };
    water?: {
      pressure?: Measured;
      hardness?: string;
    };
  };
  complaint?: {
    kind?:
      | 'no-hot-water'
      | 'runs-out'
      | 'slow'
      | 'lukewarm'
      | 'too-hot'
      | 'swings'
      | 'late'
      | 'noise'
      | 'leak'
      | 'trips-breaker'
      | 'trips-rcd'
      | 'code'
      | 'dead-display'
      | 'heating-only'
      | 'hot-water-only'
      | 'other';
    words?: string;
    answers?: {
      [k: string]: string | boolean | number;
    };
  };
  /**
   * @maxItems 1000
   */
  people?: {
    id: string;
    name: string;
    liveWork?: boolean;
    gasWork?: boolean;
    licence?: string;
  }[];
  /**
   * @maxItems 1000
   */
  visits?: {
    id: string;
    by?: string;
    arrivedAt?: string;
    leftAt?: string;
  }[];
  /**
   * @maxItems 1000
   */
  instruments?: {
    id: string;
    kind: string;
    leads?: Measured;
    serial?: string;
  }[];
  constraints?: Constraints;
  /**
   * @maxItems 1000
   */
  attachments?: {
    sha256: string;
    mediaType: string;
    bytes: number;
    takenAt?: string;
    of?: string;
  }[];
  extensions?: {};
}
export interface Plate {
  rated?: {
    volt: number;
  };
  elements?: {
    upper?: ElementPlate;
    lower?: ElementPlate;
    only?: ElementPlate;
  };
  volume?: {
    litre: number;
  };
  wiring?: 'non-simultaneous' | 'simultaneous';
  [k: string]:
    | PlateValue
    | {
        volt: number;
      }
    | {
        upper?: ElementPlate;
        lower?: ElementPlate;
        only?: ElementPlate;
      }
    | {
        litre: number;
      }
    | 'non-simultaneous'
    | 'simultaneous'
    | undefined;
}
export interface ElementPlate {
  watt: number;
}
export interface Value {
  ohm?: number;
  volt?: number;
  ampere?: number;
  watt?: number;
  celsius?: number;
  kelvin?: number;
  litre?: number;
  litrePerMinute?: number;
  cubicMetrePerHour?: number;
  pascal?: number;
  percent?: number;
  ppm?: number;
  hertz?: number;
  second?: number;
  millimetre?: number;
  kelvinPerMinute?: number;
  count?: number;
  ratio?: number;
  overRange?: true;
  above?: Measured;
  basis?: 'gross' | 'net';
}
export interface Measured {
  ohm?: number;
  volt?: number;
  ampere?: number;
  watt?: number;
  celsius?: number;
  kelvin?: number;
  litre?: number;
  litrePerMinute?: number;
  cubicMetrePerHour?: number;
  pascal?: number;
  percent?: number;
  ppm?: number;
  hertz?: number;
  second?: number;
  millimetre?: number;
  kelvinPerMinute?: number;
  count?: number;
  ratio?: number;
}
export interface ReadingEntry {
  id: string;
  at: string;
  kind: 'reading';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  check?: string;
  /**
   * @minItems 2
   * @maxItems 2
   */
  between?: ProbePoint[];
  around?: string;
  point?: string;
  quantity?:
    | 'resistance'
    | 'voltage-ac'
    | 'current-ac'
    | 'power'
    | 'temperature'
    | 'temperature-difference'
    | 'volume'
    | 'flow'
    | 'pressure'
    | 'voltage-dc'
    | 'current-dc'
    | 'frequency'
    | 'pressure-difference'
    | 'volume-flow'
    | 'ppm'
    | 'percent'
    | 'time'
    | 'length'
    | 'temperature-rate'
    | 'ratio'
    | 'count';
  value?: Value;
  values?: {
    [k: string]: Value;
  };
  instrument?: string;
  leads?: Measured;
  byClock?: {
    elapsed: Measured;
    volume?: Measured;
    turns?: number;
  };
  spread?: Measured;
}
export interface EntryState {
  power?: 'on' | 'off';
  upperDial?: 'high' | 'low' | 'found';
  lowerDial?: 'high' | 'low' | 'found';
  dial?: 'high' | 'low' | 'found';
  water?: {
    upper?: Measured;
    lower?: Measured;
    only?: Measured;
  };
  limit?: 'closed' | 'tripped';
  /**
   * @maxItems 40
   */
  lifted?: LiftedEnd[];
  load?: 'loaded' | 'open-circuit';
  controls?: {
    [k: string]: string | Measured;
  };
}
export interface LiftedEnd {
  wire: string;
  end: string;
}
export interface ObservationEntry {
  id: string;
  at: string;
  kind: 'observation';
  check: string;
  value: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  threshold?: Measured;
  instrument?: string;
  /**
   * @maxItems 12
   */
  burners?: {
    burner: number;
    ports: 'open' | 'some-closed' | 'grown-together';
    crack: 'none' | 'hairline' | 'open';
    rust: 'none' | 'surface' | 'through';
    gasket?: 'new' | 'reused';
    isLoose?: boolean;
    where?: string;
  }[];
}
export interface CodeEntry {
  id: string;
  at: string;
  kind: 'code';
  code: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  display?: string;
  pack?: string;
  saw?: string;
}
export interface SettingEntry {
  id: string;
  at: string;
  kind: 'setting';
  setting: string;
  as: 'found' | 'left';
  value: Measured | string | boolean;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  why?:
    'customers-wish' | 'corrected' | 'matched-to-emitter' | 'default-kept' | 'restored' | 'for-a-test' | 'temporary';
  due?: string;
}
export interface ActionEntry {
  id: string;
  at: string;
  kind: 'action';
  action:
    | 'power-off'
    | 'proved-dead'
    | 'power-on'
    | 'lift-wire'
    | 'refit-wire'
    | 'set-dial'
    | 'press-reset'
    | 'cycle-breaker'
    | 'wait'
    | 'drain'
    | 'fill'
    | 'open'
    | 'close'
    | 'replace'
    | 'leave'
    | 'set-control'
    | 'make-so'
    | 'end-so'
    | 'restored'
    | 'brought-in';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  wire?: string;
  end?: string;
  dial?: 'upper' | 'lower' | 'only';
  to?: 'high' | 'low' | 'found' | 'left';
  target?: string;
  part?: string;
  repair?: string;
  /**
   * @maxItems 20
   */
  points?: ProbedDead[];
  proverTried?: 'before-and-after' | 'before' | 'not-tried';
  duration?: Measured;
  result?: string;
  control?: string;
  position?: string;
  fact?: string;
}
export interface ProbedDead {
  /**
   * @maxItems 2
   */
  between: string[];
  value: Value;
}
export interface SkipEntry {
  id: string;
  at: string;
  kind: 'skip';
  check: string;
  reason: 'cannot' | 'skipped' | 'not-sure';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  words?: string;
}
export interface SeriesEntry {
  id: string;
  at: string;
  kind: 'series';
  check: string;
  /**
   * @maxItems 100000
   */
  samples: {
    offset: Measured;
    value: Value;
  }[];
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
}
export interface LogEntry {
  id: string;
  at: string;
  kind: 'log';
  log: string;
  phase: 'started' | 'samples' | 'tap-opened' | 'tap-closed' | 'look-again' | 'looked' | 'stopped';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  place?: string;
  track?: {
    /**
     * @minItems 1
     * @maxItems 20000
     */
    second: number[];
    /**
     * @minItems 1
     * @maxItems 20000
     */
    celsius: number[];
  };
  source?: 'hand' | 'import' | 'live';
  instrument?: string;
  file?: string;
  purpose?: 'watch' | 'proof';
  every?: Measured;
  due?: string;
  rate?: Measured;
  began?: string;
  second?: number;
}
export interface BalancingEntry {
  id: string;
  at: string;
  kind: 'balancing';
  phase: 'radiator' | 'warming' | 'valve' | 'boiler' | 'surface' | 'set-aside' | 'taken-in' | 'changed' | 'ended';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  radiator?: string;
  room?: string;
  radiatorKind?: '10' | '11' | '21' | '22' | '33' | 'column' | 'towel';
  height?: Measured;
  width?: Measured;
  rated?: Measured;
  roomTemperature?: Measured;
  turnsFromShut?: number;
  as?: 'found' | 'left';
  top?: Measured;
  bottom?: Measured;
  flow?: Measured;
  return?: Measured;
  aside?: 'starved' | 'sludge' | 'air' | 'shut' | 'too-small' | 'valve-stuck' | 'other';
  found?: string;
  ended?: 'even' | 'nothing-gains' | 'stopped';
  isRestored?: boolean;
}
export interface MixingEntry {
  id: string;
  at: string;
  kind: 'mixing';
  phase: 'begun' | 'read' | 'ended';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  outlet?: 'bath' | 'basin' | 'shower' | 'kitchen';
  rule?: 'tmv2' | 'document-g' | 'own';
  limit?: Measured;
  isFrail?: boolean;
  wanted?: Measured;
  eighths?: number;
  hot?: Measured;
  mixed?: Measured;
  cold?: Measured;
  tap?: Measured;
  reason?: string;
  ended?: 'wanted' | 'at-limit' | 'no-gain' | 'stored-limits' | 'over-limit' | 'over-at-hottest' | 'stopped';
  isLocked?: boolean;
  isTold?: boolean;
  farthest?: Measured;
}
export interface PhotoEntry {
  id: string;
  at: string;
  kind: 'photo';
  attachment: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
}
export interface WireEntry {
  id: string;
  at: string;
  kind: 'wire';
  wire: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  colour?: string;
  number?: string;
  label?: string;
  from?: string;
  to?: string;
  stands?: 'noted' | 'mapped' | 'back';
}
export interface PartEntry {
  id: string;
  at: string;
  kind: 'part';
  part: string;
  action: 'needed' | 'ordered' | 'fitted' | 'removed' | 'returned';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  repair?: string;
  make?: string;
  number?: string;
  quantity?: number;
  says?: {
    [k: string]: Value | string | boolean;
  };
}
export interface StepEntry {
  id: string;
  at: string;
  kind: 'step';
  run: string;
  procedure: string;
  step: string;
  phase: 'started' | 'done' | 'skipped' | 'lapsed' | 'stopped';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  reason?: string;
  result?: string;
  to?: string;
  duration?: Measured;
  repair?: string;
  within?: string;
  ends?: string;
}
export interface ServiceEntry {
  id: string;
  at: string;
  kind: 'service';
  service: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
}
export interface VerdictEntry {
  id: string;
  at: string;
  kind: 'verdict';
  engine: string;
  parameters: string;
  /**
   * @maxItems 100
   */
  suspects: StoredSuspect[];
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  repair?: string;
  decided?: boolean;
}
export interface StoredSuspect {
  repair: string;
  probability: number;
  /**
   * @maxItems 20
   */
  repairs?: string[];
  /**
   * @maxItems 200
   */
  faults?: {
    id: string;
    probability: number;
  }[];
  /**
   * @maxItems 5000
   */
  why?: {
    entry: string;
    decibans: number;
  }[];
}
export interface StatusEntry {
  id: string;
  at: string;
  kind: 'status';
  status:
    'new' | 'diagnosing' | 'decided' | 'repairing' | 'waiting-for-part' | 'closed-repaired' | 'closed-not-repaired';
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
  reason?: string;
  next?: string;
  recheckBy?: string;
}
export interface CountersignEntry {
  id: string;
  at: string;
  kind: 'countersign';
  of: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
}
export interface CorrectionEntry {
  id: string;
  at: string;
  kind: 'correction';
  replaces: string;
  entry: Entry | null;
  reason: string;
  by?: string;
  visit?: string;
  note?: string;
  state?: EntryState;
}
export interface Constraints {
  liveWork?: boolean;
  gasWork?: boolean;
  /**
   * @maxItems 40
   */
  instruments?: string[];
  order?: 'computed' | 'usual';
  wrongVerdict?: Measured;
  schools?: {
    [k: string]: string;
  };
}

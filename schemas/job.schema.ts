import { quantities } from '../src/core/quantities/quantity-table';
import { flag, listOf, name, object, oneOf, text, type Schema } from './schema-parts';

/**
 * The one source of the job file: `npm run generate:schemas` makes from it the JSON Schema, the TypeScript types and
 * the compiled validators. What each part means to a user is in docs/job-file.md.
 */

const words: Schema = text(4000);
const uuid: Schema = { type: 'string', format: 'uuid' };
const time: Schema = { type: 'string', format: 'date-time' };
const ref = (definition: string): Schema => ({ $ref: `#/definitions/${definition}` });

const unitKeys = [
  'ohm',
  'volt',
  'ampere',
  'watt',
  'celsius',
  'kelvin',
  'litre',
  'litrePerMinute',
  'cubicMetrePerHour',
  'pascal',
  'percent',
  'ppm',
  'hertz',
  'second',
  'millimetre',
  'kelvinPerMinute',
  'count',
  'ratio',
];

const measured: Schema = {
  ...object({}, Object.fromEntries(unitKeys.map((key) => [key, { type: 'number' }]))),
  minProperties: 1,
  maxProperties: 1,
};

const value: Schema = {
  ...object(
    {},
    {
      ...Object.fromEntries(unitKeys.map((key) => [key, { type: 'number' }])),
      overRange: { type: 'boolean', const: true },
      above: ref('measured'),
      basis: oneOf('gross', 'net'),
    },
  ),
  minProperties: 1,
  dependencies: { above: ['overRange'] },
  if: { required: ['overRange'] },
  then: { properties: { overRange: true, above: true }, additionalProperties: false },
  else: { maxProperties: 2 },
};

/** Why a setting was left as it was left. */
export const settingReasons = [
  'customers-wish',
  'corrected',
  'matched-to-emitter',
  'default-kept',
  'restored',
  'for-a-test',
  'temporary',
] as const;

/** What a log entry tells: its begin and end, readings, a tap, when somebody looks again and has looked. */
export const logPhases = [
  'started',
  'samples',
  'tap-opened',
  'tap-closed',
  'look-again',
  'looked',
  'stopped',
] as const;

/** What an entry of balancing tells: a radiator of the list, valves, what was read, who is left out, and how it ended. */
export const balancingPhases = [
  'radiator',
  'warming',
  'valve',
  'boiler',
  'surface',
  'set-aside',
  'taken-in',
  'changed',
  'ended',
] as const;

/** Panels and rows of fins of a panel radiator, or another kind. */
export const radiatorKinds = ['10', '11', '21', '22', '33', 'column', 'towel'] as const;

/** Why a radiator is left out of the balance. */
export const mixingPhases = ['begun', 'read', 'ended'] as const;
export const mixingOutlets = ['bath', 'basin', 'shower', 'kitchen'] as const;
export const limitRules = ['tmv2', 'document-g', 'own'] as const;
export const mixingEnds = [
  'wanted',
  'at-limit',
  'no-gain',
  'stored-limits',
  'over-limit',
  'over-at-hottest',
  'stopped',
] as const;

export const asideReasons = [
  'starved',
  'sludge',
  'air',
  'shut',
  'too-small',
  'valve-stuck',
  'other',
] as const;

const numbers: Schema = { type: 'array', items: { type: 'number' }, minItems: 1, maxItems: 20_000 };

const liftedEnd: Schema = object({ wire: name, end: name });

/** What a house feeds its units with. */
const services: Record<string, Schema> = {
  supply: object(
    { system: oneOf('split-phase', 'single-phase') },
    {
      nominal: ref('measured'),
      frequency: ref('measured'),
      residualCurrentDevice: flag,
    },
  ),
  gas: object({}, { kind: oneOf('natural-gas', 'lpg'), inlet: ref('measured') }),
  water: object({}, { pressure: ref('measured'), hardness: name }),
};

/** A terminal by its name, or the free end of a lifted wire. */
const probePoint: Schema = { oneOf: [name, liftedEnd] };

const state: Schema = object(
  {},
  {
    power: oneOf('on', 'off'),
    upperDial: oneOf('high', 'low', 'found'),
    lowerDial: oneOf('high', 'low', 'found'),
    dial: oneOf('high', 'low', 'found'),
    water: object({}, { upper: ref('measured'), lower: ref('measured'), only: ref('measured') }),
    limit: oneOf('closed', 'tripped'),
    lifted: listOf(ref('liftedEnd'), 40),
    load: oneOf('loaded', 'open-circuit'),
    /** Where the family's other controls stand, by their names: a position, or what they are set to. */
    controls: {
      type: 'object',
      additionalProperties: { oneOf: [name, ref('measured')] },
      maxProperties: 40,
    },
  },
);

const entryCommon: Record<string, Schema> = {
  by: name,
  visit: name,
  note: words,
  state: ref('state'),
};

/** A burner of a set, out and looked at. */
const burner = object(
  {
    burner: { type: 'integer', minimum: 1, maximum: 12 },
    ports: oneOf('open', 'some-closed', 'grown-together'),
    crack: oneOf('none', 'hairline', 'open'),
    rust: oneOf('none', 'surface', 'through'),
  },
  { gasket: oneOf('new', 'reused'), isLoose: flag, where: text(200) },
);

function entry(
  kind: string,
  required: Record<string, Schema>,
  optional: Record<string, Schema> = {},
): Schema {
  return {
    title: `${kind}-entry`,
    ...object(
      { id: uuid, at: time, kind: { type: 'string', const: kind }, ...required },
      { ...entryCommon, ...optional },
    ),
  };
}

export const actions = [
  'power-off',
  'proved-dead',
  'power-on',
  'lift-wire',
  'refit-wire',
  'set-dial',
  'press-reset',
  'cycle-breaker',
  'wait',
  'drain',
  'fill',
  'open',
  'close',
  'replace',
  'leave',
  'set-control',
  'make-so',
  'end-so',
  'restored',
  'brought-in',
] as const;

const suspect: Schema = object(
  { repair: name, probability: { type: 'number', minimum: 0, maximum: 1 } },
  {
    repairs: listOf(name, 20),
    faults: listOf(
      object({ id: name, probability: { type: 'number', minimum: 0, maximum: 1 } }),
      200,
    ),
    why: listOf(object({ entry: name, decibans: { type: 'number' } }), 5000),
  },
);

const entries: Record<string, Schema> = {
  reading: entry(
    'reading',
    {},
    {
      check: name,
      between: { type: 'array', items: ref('probePoint'), minItems: 2, maxItems: 2 },
      around: name,
      point: name,
      quantity: oneOf(...quantities),
      value: ref('value'),
      values: { type: 'object', additionalProperties: ref('value'), maxProperties: 20 },
      instrument: name,
      leads: ref('measured'),
      /** What it was worked out from, where a clock was part of it; and how well it is known: one standard deviation. */
      byClock: object(
        { elapsed: ref('measured') },
        { volume: ref('measured'), turns: { type: 'number', exclusiveMinimum: 0, maximum: 1000 } },
      ),
      spread: ref('measured'),
    },
  ),
  observation: entry(
    'observation',
    { check: name, value: name },
    { threshold: ref('measured'), instrument: name, burners: listOf(burner, 12) },
  ),
  code: entry('code', { code: name }, { display: text(), pack: name, saw: name }),
  setting: entry(
    'setting',
    {
      setting: name,
      as: oneOf('found', 'left'),
      value: { oneOf: [ref('measured'), name, flag] },
    },
    { why: oneOf(...settingReasons), due: time },
  ),
  action: entry(
    'action',
    { action: oneOf(...actions) },
    {
      wire: name,
      end: name,
      dial: oneOf('upper', 'lower', 'only'),
      to: oneOf('high', 'low', 'found', 'left'),
      target: name,
      part: name,
      repair: name,
      points: listOf(ref('probedDead'), 20),
      proverTried: oneOf('before-and-after', 'before', 'not-tried'),
      duration: ref('measured'),
      result: name,
      control: name,
      position: name,
      fact: name,
    },
  ),
  skip: entry(
    'skip',
    { check: name, reason: oneOf('cannot', 'skipped', 'not-sure') },
    { words: text() },
  ),
  series: entry('series', {
    check: name,
    samples: listOf(object({ offset: ref('measured'), value: ref('value') }), 100_000),
  }),
  /** Temperatures in time: `log` is one id for each time that they are followed. */
  log: entry(
    'log',
    { log: uuid, phase: oneOf(...logPhases) },
    {
      place: name,
      /** Readings of one place: seconds on the log's own clock, which is nought as it begins, and what was read. */
      track: object({ second: numbers, celsius: numbers }),
      source: oneOf('hand', 'import', 'live'),
      instrument: name,
      file: text(),
      /** What it is followed for; how often; and when somebody will look again. */
      purpose: oneOf('watch', 'proof'),
      every: ref('measured'),
      due: time,
      rate: ref('measured'),
      /** When the log's clock was nought, where that is not when it was entered: a file of a logger. */
      began: time,
      /** When it was, on the log's own clock. */
      second: { type: 'number' },
    },
  ),
  /** Radiators balanced by their surfaces; each entry carries what its phase needs. */
  balancing: entry(
    'balancing',
    { phase: oneOf(...balancingPhases) },
    {
      radiator: name,
      room: text(80),
      radiatorKind: oneOf(...radiatorKinds),
      height: ref('measured'),
      width: ref('measured'),
      /** By its plate or the firm's table, at 75 in, 65 out and 20 °C in the room; by its size where absent. */
      rated: ref('measured'),
      roomTemperature: ref('measured'),
      /** Of its lockshield. */
      turnsFromShut: { type: 'number', minimum: 0, maximum: 10 },
      as: oneOf('found', 'left'),
      top: ref('measured'),
      bottom: ref('measured'),
      flow: ref('measured'),
      return: ref('measured'),
      aside: oneOf(...asideReasons),
      /** What stood how before it was turned up for this, and goes back after it. */
      found: text(400),
      ended: oneOf('even', 'nothing-gains', 'stopped'),
      isRestored: flag,
    },
  ),
  /** A mixing valve that is set step by step; each entry carries what its phase needs. */
  mixing: entry(
    'mixing',
    { phase: oneOf(...mixingPhases) },
    {
      outlet: oneOf(...mixingOutlets),
      rule: oneOf(...limitRules),
      /** Of the firm's own rule. */
      limit: ref('measured'),
      /** Anyone small, old or frail lives there. */
      isFrail: flag,
      wanted: ref('measured'),
      /** Eighths of a turn from as found; open is more. */
      eighths: { type: 'integer', minimum: -40, maximum: 40 },
      hot: ref('measured'),
      mixed: ref('measured'),
      cold: ref('measured'),
      tap: ref('measured'),
      /** Why it was opened past its limit, or left. */
      reason: text(400),
      ended: oneOf(...mixingEnds),
      isLocked: flag,
      isTold: flag,
      /** The farthest tap, at the end. */
      farthest: ref('measured'),
    },
  ),
  photo: entry('photo', { attachment: { type: 'string', pattern: '^[0-9a-f]{64}$' } }),
  wire: entry(
    'wire',
    { wire: name },
    {
      colour: text(60),
      number: text(20),
      label: text(60),
      from: name,
      to: name,
      /** As it was found, where it will go on a part with other terminals, or where it sits again. */
      stands: oneOf('noted', 'mapped', 'back'),
    },
  ),
  part: entry(
    'part',
    { part: name, action: oneOf('needed', 'ordered', 'fitted', 'removed', 'returned') },
    {
      repair: name,
      make: text(),
      number: text(),
      quantity: { type: 'integer', minimum: 1 },
      /** What stands on the new part, by what has to match. */
      says: {
        type: 'object',
        additionalProperties: { oneOf: [ref('value'), name, flag] },
        maxProperties: 20,
      },
    },
  ),
  /** A step of a procedure: `run` is one id for each time that it is gone through. */
  step: entry(
    'step',
    {
      run: uuid,
      procedure: name,
      step: name,
      phase: oneOf('started', 'done', 'skipped', 'lapsed', 'stopped'),
    },
    {
      reason: text(1000),
      result: name,
      /** The step that comes next, where it is not the one below. */
      to: name,
      duration: ref('measured'),
      /** The repair that it is done for, and the run that it is a part of. */
      repair: name,
      within: uuid,
      /** How the run ended with this step. */
      ends: name,
    },
  ),
  service: entry('service', { service: name }),
  verdict: entry(
    'verdict',
    { engine: name, parameters: name, suspects: listOf(ref('suspect'), 100) },
    { repair: name, decided: flag },
  ),
  status: entry(
    'status',
    {
      status: oneOf(
        'new',
        'diagnosing',
        'decided',
        'repairing',
        'waiting-for-part',
        'closed-repaired',
        'closed-not-repaired',
      ),
    },
    { reason: text(1000), next: text(1000), recheckBy: time },
  ),
  countersign: entry('countersign', { of: uuid }),
  correction: entry('correction', {
    replaces: uuid,
    entry: { oneOf: [ref('entry'), { type: 'null' }] },
    reason: { type: 'string', minLength: 1, maxLength: 1000 },
  }),
};

export const jobSchema: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'ohmmeter-job-1',
  title: 'JobFile',
  description:
    'One job of Ohmmeter: who, which unit, the complaint, and every entry of its logbook.',
  ...object(
    {
      format: { type: 'string', const: 'ohmmeter-job' },
      version: { type: 'integer', const: 1 },
      job: object(
        { id: uuid },
        {
          number: text(40),
          openedAt: time,
          timeZone: text(60),
          technician: text(),
          origin: object({ organisation: uuid, job: uuid }),
        },
      ),
      unit: object(
        { family: name, plate: ref('plate') },
        {
          id: uuid,
          make: text(),
          model: text(),
          serial: text(),
          manufactured: text(20),
          installed: text(20),
          /** When each service was last done before this job, as far as the firm knows. */
          served: { type: 'object', additionalProperties: time, maxProperties: 40 },
          /** What makes a service due sooner, as earlier jobs saw it. */
          circumstances: listOf(name, 20),
        },
      ),
      entries: listOf(ref('entry'), 20_000),
    },
    {
      minor: { type: 'integer', minimum: 0 },
      site: object(
        {},
        {
          id: uuid,
          customer: text(),
          address: text(1000),
          ...services,
        },
      ),
      complaint: object(
        {},
        {
          kind: oneOf(
            'no-hot-water',
            'runs-out',
            'slow',
            'lukewarm',
            'too-hot',
            'swings',
            'late',
            'noise',
            'leak',
            'trips-breaker',
            'trips-rcd',
            'code',
            'dead-display',
            'heating-only',
            'hot-water-only',
            'other',
          ),
          words,
          answers: {
            type: 'object',
            additionalProperties: { type: ['string', 'boolean', 'number'] },
            maxProperties: 60,
          },
        },
      ),
      people: listOf(
        object({ id: name, name }, { liveWork: flag, gasWork: flag, licence: text() }),
      ),
      visits: listOf(object({ id: name }, { by: name, arrivedAt: time, leftAt: time })),
      instruments: listOf(
        object({ id: name, kind: name }, { leads: ref('measured'), serial: text() }),
      ),
      constraints: ref('constraints'),
      attachments: listOf(
        object(
          {
            sha256: { type: 'string', pattern: '^[0-9a-f]{64}$' },
            mediaType: name,
            bytes: { type: 'integer', minimum: 0 },
          },
          { takenAt: time, of: uuid },
        ),
      ),
      extensions: { type: 'object' },
    },
  ),
  definitions: {
    constraints: {
      title: 'constraints',
      ...object(
        {},
        {
          liveWork: flag,
          gasWork: flag,
          instruments: listOf(name, 40),
          order: oneOf('computed', 'usual'),
          wrongVerdict: ref('measured'),
          schools: { type: 'object', additionalProperties: name, maxProperties: 40 },
        },
      ),
    },
    measured: { title: 'measured', ...measured },
    value: { title: 'value', ...value },
    liftedEnd: { title: 'lifted-end', ...liftedEnd },
    probePoint: { title: 'probe-point', ...probePoint },
    probedDead: object({ between: listOf(name, 2), value: ref('value') }),
    state: { title: 'entry-state', ...state },
    suspect: { title: 'stored-suspect', ...suspect },
    plate: {
      title: 'plate',
      ...object(
        {},
        {
          rated: object({ volt: { type: 'number', exclusiveMinimum: 0, maximum: 600 } }),
          elements: object(
            {},
            { upper: ref('elementPlate'), lower: ref('elementPlate'), only: ref('elementPlate') },
          ),
          volume: object({ litre: { type: 'number', exclusiveMinimum: 0, maximum: 5000 } }),
          wiring: oneOf('non-simultaneous', 'simultaneous'),
        },
      ),
      // What else a plate says is its family's: which keys there are, and which must be there, is asked of the family.
      additionalProperties: ref('plateValue'),
      maxProperties: 40,
    },
    services: { title: 'services', ...object({}, services) },
    plateValue: {
      title: 'plate-value',
      oneOf: [name, flag, { type: 'number' }, ref('value')],
    },
    elementPlate: {
      title: 'element-plate',
      ...object({ watt: { type: 'number', exclusiveMinimum: 0, maximum: 20_000 } }),
    },
    entry: {
      title: 'entry',
      type: 'object',
      required: ['kind'],
      discriminator: { propertyName: 'kind' },
      oneOf: Object.keys(entries).map((kind) => ref(`${kind}Entry`)),
    },
    ...Object.fromEntries(Object.entries(entries).map(([kind, each]) => [`${kind}Entry`, each])),
  },
};

import { flag, listOf, name, object, oneOf, text, type Schema } from './schema-parts';

/**
 * The one source of a procedure: `npm run generate:schemas` makes from it the JSON Schema, the type and the compiled
 * validator. What each part means is in docs/procedures.md.
 */

const id: Schema = { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', maxLength: 60 };
const seconds: Schema = { type: 'integer', minimum: 1, maximum: 86_400 };

export const cautionKinds = [
  'gas',
  'flame',
  'hot-metal',
  'hot-water',
  'live',
  'carbon-monoxide',
  'sharp-edges',
  'scald',
  'full-before-power',
  'press-once',
  'never-plug',
  'licensed',
] as const;

/** What a step writes beside itself when it is done. */
const record: Schema = {
  type: 'object',
  required: ['entry'],
  discriminator: { propertyName: 'entry' },
  oneOf: [
    object(
      {
        entry: { type: 'string', const: 'action' },
        action: oneOf('power-on', 'power-off', 'drain', 'fill', 'set-control', 'make-so', 'end-so'),
      },
      { control: name, position: name, fact: name },
    ),
    object({ entry: { type: 'string', const: 'covers-closed' } }),
    object({ entry: { type: 'string', const: 'service' }, service: name }),
  ],
};

/** Where a step leads to: the first that matches. */
const branch: Schema = object(
  { goto: { type: 'string', minLength: 1, maxLength: 120 } },
  {
    /** The step's result. */
    is: name,
    /** So many seconds of its timer have passed. */
    after: seconds,
    /** The last reading of its check, or of the named one, lies above this, by what the plate says. */
    above: object(
      { key: name },
      {
        value: { type: 'number' },
        by: object({
          field: name,
          values: { type: 'object', additionalProperties: { type: 'number' } },
        }),
      },
    ),
    check: name,
    /** At most so often in one run. */
    tries: { type: 'integer', minimum: 1, maximum: 9 },
  },
);

const step: Schema = {
  title: 'procedure-step',
  ...object(
    {
      id,
      kind: oneOf('do', 'wait', 'look', 'measure', 'confirm'),
      /** One act, verb first. */
      text: { type: 'string', minLength: 1, maxLength: 240 },
    },
    {
      note: text(400),
      seconds: object({ least: seconds, most: seconds }),
      timer: object(
        {},
        {
          start: oneOf('enter', 'tap', 'done'),
          end: oneOf('time', 'tap'),
          id,
          background: flag,
          overdue: text(120),
        },
      ),
      caution: listOf(oneOf(...cautionKinds), 4),
      records: listOf(record, 6),
      /** Checks whose result it ends with: of several, the one that belongs to the repair at hand. */
      checks: { ...listOf(name, 6), minItems: 1 },
      setting: object({
        settings: { ...listOf(name, 6), minItems: 1 },
        as: oneOf('found', 'left'),
      }),
      /** Results that it may end with where it is no check: `stops-early`. */
      results: listOf(object({ is: name, words: text(60) }), 6),
      part: name,
      wires: oneOf('lift', 'put-back'),
      /** False: not to be skipped. A word: the one reason that is allowed. */
      skip: { oneOf: [{ type: 'boolean', const: false }, id] },
      /** What must hold now: `proved-dead`, or a fact of access. */
      needs: name,
      /** Another procedure that is run here. */
      runs: id,
      repeat: object({
        from: id,
        times: {
          type: 'array',
          items: { type: 'integer', minimum: 1, maximum: 9 },
          minItems: 2,
          maxItems: 2,
        },
        until: text(60),
      }),
      branch: listOf(branch, 6),
      /** Only where this way of a school is gone. */
      way: object({ school: name, is: name }),
      /** Only on units on mains volts, or that burn gas. */
      only: oneOf('mains', 'gas'),
    },
  ),
};

export const procedureSchema: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'ohmmeter-procedure-1',
  title: 'Procedure',
  ...object(
    {
      format: { type: 'string', const: 'ohmmeter-procedure' },
      version: { type: 'integer', const: 1 },
      id,
      title: { type: 'string', minLength: 1, maxLength: 80 },
      steps: { ...listOf({ $ref: '#/definitions/step' }, 40), minItems: 1 },
    },
    {
      note: text(400),
      /** What it is offered at. */
      repairs: listOf(name, 20),
      checks: listOf(name, 20),
      /** Takes a permission of its own. */
      work: oneOf('gasWork'),
      /** It makes a unit safe to be left: nothing that stops a job holds it up. */
      makesSafe: flag,
      /** Without this one it does not count as done for what comes due. */
      keyStep: id,
      /** Practitioners disagree on whether to do it. */
      school: name,
    },
  ),
  definitions: { step },
};

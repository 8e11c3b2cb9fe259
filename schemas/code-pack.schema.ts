import { flag, listOf, name, object, oneOf, text, type Schema } from './schema-parts';

/**
 * The one source of a pack of codes: `npm run generate:schemas` makes from it the JSON Schema, the type and the compiled
 * validator. What each part means to a user is in docs/code-pack.md.
 */

const id: Schema = { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', maxLength: 60 };

export const codePackSchema: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'ohmmeter-code-pack-1',
  title: 'Code pack',
  ...object(
    {
      format: { type: 'string', const: 'ohmmeter-code-pack' },
      version: { type: 'integer', const: 1 },
      id,
      title: { type: 'string', minLength: 1, maxLength: 100 },
      family: name,
      shownBy: oneOf('light', 'display'),
      codes: {
        ...listOf(
          object(
            { code: { type: 'string', minLength: 1, maxLength: 40 } },
            {
              shows: text(200),
              saw: name,
              pattern: text(200),
              lockout: flag,
              note: text(400),
            },
          ),
          200,
        ),
        minItems: 1,
      },
    },
    { makes: listOf({ type: 'string', minLength: 1, maxLength: 100 }, 50) },
  ),
};

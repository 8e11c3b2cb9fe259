/** Parts that every schema of the project is put together from. */

export type Schema = Record<string, unknown>;

export const text = (maxLength = 400): Schema => ({ type: 'string', maxLength });
export const name: Schema = { type: 'string', minLength: 1, maxLength: 200 };
export const flag: Schema = { type: 'boolean' };
export const oneOf = (...values: string[]): Schema => ({ type: 'string', enum: values });
export const listOf = (items: Schema, maxItems = 1000): Schema => ({
  type: 'array',
  items,
  maxItems,
});

export function object(
  required: Record<string, Schema>,
  optional: Record<string, Schema> = {},
): Schema {
  return {
    type: 'object',
    properties: { ...required, ...optional },
    required: Object.keys(required),
    additionalProperties: false,
  };
}

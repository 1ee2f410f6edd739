import { Validator, type OutputUnit } from '@cfworker/json-schema';

/** What a schema finds wrong at the places where it is wrong, rather than at all that lie around them. */
const around = new Set(['properties', 'items', 'additionalItems', 'if', '$ref', 'false', 'oneOf']);

const place = ({ instanceLocation }: OutputUnit): string => instanceLocation.replace(/^#/, '') || '/';

/**
 * Whether a value is as a JSON Schema (draft 7) says, without evaluating code, so that pages may ask it too.
 * @returns all that is wrong, each with its place; nothing where it is right
 */
export function checkerOf(schema: object): (value: unknown) => readonly string[] {
  const validator = new Validator(schema, '7', false);
  return (value) => {
    const { valid, errors } = validator.validate(value);
    if (valid) return [];
    const told = errors.filter(({ keyword }) => !around.has(keyword));
    return [...new Set((told.length > 0 ? told : errors).map((error) => `${place(error)} ${error.error}`))];
  };
}

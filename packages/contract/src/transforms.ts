import { Transform } from 'class-transformer';

/** Takes spaces off both ends of a text. */
export const Trimmed = (): PropertyDecorator =>
  Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value));

/** As `Trimmed`; a text that is then empty counts as not given. */
export const BlankIsAbsent = (): PropertyDecorator =>
  Transform(({ value }: { value: unknown }) => {
    if (value === null) return undefined;
    return typeof value === 'string' ? value.trim() || undefined : value;
  });

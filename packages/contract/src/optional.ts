import { ValidateIf } from 'class-validator';

/** The field may be missing; `null` is not missing, but a value like any other, and mostly a wrong one. */
export const MayBeMissing = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

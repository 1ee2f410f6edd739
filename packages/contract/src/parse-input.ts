import { t } from '@jasperwren/words/fields';
import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';

/** One thing wrong with an input: which field, and what, in a sentence for the person who typed it. */
export interface FieldProblem {
  readonly field: string;
  readonly message: string;
}

export type Checked<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** A class of the contract; what decorators cannot say it says itself, once they are satisfied. */
export type InputClass<T> = ClassConstructor<T> & { readonly problemsIn?: (value: T) => readonly FieldProblem[] };

/** Checks an input against a class of the contract. Fields the class does not know are an error, not ignored. */
export function parseInput<T extends object>(type: InputClass<T>, input: unknown): Checked<T> {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    return { ok: false, problems: [{ field: '', message: t('anObjectIsExpected') }] };
  }
  const value = plainToInstance(type, input);
  const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, stopAtFirstError: true });
  const problems = errors.length > 0 ? errors.flatMap((error) => flatten(error, '')) : (type.problemsIn?.(value) ?? []);
  return problems.length === 0 ? { ok: true, value } : { ok: false, problems };
}

function flatten(error: ValidationError, prefix: string): readonly FieldProblem[] {
  const field = prefix ? `${prefix}.${error.property}` : error.property;
  const own = Object.values(error.constraints ?? {}).map((message) => ({ field, message }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, field))];
}

import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { ClassConstructor } from 'class-transformer';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import { apiError, type ApiError } from '../base/client';

/** A form checked by a class of the contract, the same that the server checks by. */
export function useCheckedForm<T extends FieldValues>(
  type: ClassConstructor<T>,
  defaultValues: DefaultValues<T>,
): UseFormReturn<T, unknown, T> {
  const resolver = classValidatorResolver(
    type,
    { validator: { whitelist: true, stopAtFirstError: true } },
    { raw: true },
  ) as unknown as Resolver<T, unknown, T>;
  return useForm<T, unknown, T>({ resolver, defaultValues, mode: 'onTouched' });
}

/** Shows at the fields what the server says of them. Returns what belongs to no field. */
export function showProblems<T extends FieldValues>(
  form: UseFormReturn<T, unknown, T>,
  error: unknown,
): ApiError | undefined {
  const shown = apiError(error);
  for (const problem of shown?.problems ?? []) form.setError(problem.field as Path<T>, { message: problem.message });
  return shown?.problems ? undefined : shown;
}

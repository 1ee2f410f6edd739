import { lazy, Suspense } from 'react';
import Skeleton from '@mui/material/Skeleton';
import { useController, type Control, type FieldValues, type Path } from 'react-hook-form';
import type { BoxProps } from './DateBox';

// The calendar is a third of a form's weight: the form shows without it.
const Box = lazy(() => import('./DateBox'));

/** A date of the calendar, typed or picked; its place is kept until it has arrived. */
export function DateBox(props: BoxProps) {
  return (
    <Suspense fallback={<Skeleton variant="rounded" height={props.small ? 40 : 56} />}>
      <Box {...props} />
    </Suspense>
  );
}

interface Props<T extends FieldValues> {
  readonly control: Control<T, unknown, T>;
  readonly name: Path<T>;
  readonly label: string;
}

/** A date of the calendar in a form, kept as `YYYY-MM-DD`. */
export function DateField<T extends FieldValues>({ control, name, label }: Props<T>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <DateBox
      label={label}
      value={field.value ?? ''}
      onChange={field.onChange}
      onBlur={field.onBlur}
      problem={fieldState.invalid ? (fieldState.error?.message ?? '') : undefined}
    />
  );
}

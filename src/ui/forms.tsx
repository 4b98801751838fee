'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import type { ComponentProps, SubmitEvent } from 'react';
import {
  useController,
  useForm,
  type Control,
  type DefaultValues,
  type FieldPath,
  type FieldPathByValue,
  type FieldValues,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import * as z from 'zod/mini';
import { Choices } from './Choices';
import { ReadingField } from './ReadingField';
import { TextInput } from './TextInput';

/** A text that may not stay empty, with what is said where it does. */
export const saidText = (missing: string, most: number) =>
  z
    .string()
    .check(z.trim(), z.minLength(1, { error: missing }), z.maxLength(most, { error: `Use at most ${most} letters.` }));

/** A text that may stay empty. */
export const freeText = (most: number) =>
  z.string().check(z.trim(), z.maxLength(most, { error: `Use at most ${most} letters.` }));

export interface SentForm<Values extends FieldValues> {
  form: UseFormReturn<Values, unknown, Values>;
  control: Control<Values, unknown, Values>;
  /** For the form's own event and for a key of its own. */
  submit(event?: SubmitEvent<HTMLFormElement>): void;
}

/**
 * A form that is filled in and then sent off: checked by its schema when it is sent, and beside each field from then on. What
 * was typed stays until `onSend` has taken it. A field whose value is kept at once is none of these.
 */
export function useSentForm<Values extends FieldValues>(
  schema: z.ZodMiniType<Values, Values>,
  start: DefaultValues<Values>,
  onSend: (values: Values, form: UseFormReturn<Values, unknown, Values>) => unknown,
): SentForm<Values> {
  const form = useForm<Values, unknown, Values>({
    resolver: zodResolver(schema as never) as unknown as Resolver<Values, unknown, Values>,
    defaultValues: start,
  });
  const send = form.handleSubmit(async (values) => void (await onSend(values, form)));
  return {
    form,
    control: form.control,
    submit(event) {
      event?.preventDefault();
      // A form within a dialog lies, in the page's eyes, within whatever opened it.
      event?.stopPropagation();
      void send();
    },
  };
}

interface Bound<Values extends FieldValues, Name extends FieldPath<Values>> {
  control: Control<Values, unknown, Values>;
  name: Name;
}

/** A line of text of a form. */
export function FormText<Values extends FieldValues, Name extends FieldPathByValue<Values, string>>({
  control,
  name,
  helperText,
  ...input
}: Bound<Values, Name> & Omit<ComponentProps<typeof TextInput>, 'value' | 'onChange' | 'onBlur' | 'error' | 'name'>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <TextInput
      {...input}
      name={name}
      value={field.value}
      onChange={(event) => field.onChange(event.target.value)}
      onBlur={field.onBlur}
      inputRef={field.ref}
      error={fieldState.invalid}
      helperText={fieldState.error?.message ?? helperText}
    />
  );
}

/** A choice of a form. */
export function FormChoices<Values extends FieldValues, Name extends FieldPathByValue<Values, string>>({
  control,
  name,
  ...input
}: Bound<Values, Name> & Pick<ComponentProps<typeof Choices>, 'label' | 'options' | 'hideLabel'>) {
  const { field } = useController({ control, name });
  return <Choices {...input} value={field.value} onChoose={(id) => field.onChange(id)} />;
}

/** A reading of a form: typed as every reading is, and kept in the form until it is sent. */
export function FormReading<Values extends FieldValues, Name extends FieldPathByValue<Values, number | null>>({
  control,
  name,
  mayBeEmpty = false,
  ...input
}: Bound<Values, Name> &
  Omit<ComponentProps<typeof ReadingField>, 'value' | 'onCommit' | 'onClear' | 'error'> & { mayBeEmpty?: boolean }) {
  const { field, fieldState } = useController({ control, name });
  return (
    <ReadingField
      {...input}
      value={field.value}
      error={fieldState.error?.message ?? null}
      onCommit={(value) => field.onChange(value)}
      {...(mayBeEmpty && { onClear: () => field.onChange(null) })}
    />
  );
}

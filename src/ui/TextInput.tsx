'use client';
import FormControl, { type FormControlProps } from '@mui/material/FormControl';
import FormHelperText, { type FormHelperTextProps } from '@mui/material/FormHelperText';
import InputLabel from '@mui/material/InputLabel';
import Input, { type InputProps } from '@mui/material/Input';
import { useId, type ReactNode, type Ref } from 'react';

type Passed = Pick<
  InputProps,
  | 'value'
  | 'defaultValue'
  | 'onChange'
  | 'onBlur'
  | 'onFocus'
  | 'onKeyDown'
  | 'placeholder'
  | 'autoComplete'
  | 'autoFocus'
  | 'multiline'
  | 'minRows'
  | 'maxRows'
  | 'name'
  | 'type'
>;

/**
 * A field that text is typed into. The library's own field brings a list to choose from along, with its menu and its window,
 * which is half of a page's forms: where a choice is offered, its `TextField` with `select` is used.
 */
export function TextInput({
  id: given,
  label,
  error = false,
  helperText,
  fullWidth,
  inputRef,
  slotProps = {},
  sx,
  ...input
}: Passed & {
  id?: string;
  label: string;
  error?: boolean;
  helperText?: ReactNode;
  fullWidth?: boolean;
  inputRef?: Ref<HTMLInputElement>;
  slotProps?: {
    htmlInput?: InputProps['inputProps'] & { 'data-reading'?: boolean; 'data-drafting'?: boolean };
    input?: Partial<InputProps>;
    formHelperText?: Partial<FormHelperTextProps>;
  };
  sx?: FormControlProps['sx'];
}) {
  const own = useId();
  const id = given ?? own;
  const help = helperText ? `${id}-help` : undefined;
  return (
    <FormControl error={error} fullWidth={fullWidth} sx={sx}>
      <InputLabel htmlFor={id}>{label}</InputLabel>
      <Input
        id={id}
        inputRef={inputRef}
        aria-describedby={help}
        inputProps={slotProps.htmlInput}
        {...input}
        {...slotProps.input}
      />
      {helperText && (
        <FormHelperText id={help} {...slotProps.formHelperText}>
          {helperText}
        </FormHelperText>
      )}
    </FormControl>
  );
}

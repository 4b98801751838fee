'use client';
import FormControl, { type FormControlProps } from '@mui/material/FormControl';
import FormHelperText, { type FormHelperTextProps } from '@mui/material/FormHelperText';
import InputLabel, { type InputLabelProps } from '@mui/material/InputLabel';
import OutlinedInput, { type OutlinedInputProps } from '@mui/material/OutlinedInput';
import { useId, type ReactNode, type Ref } from 'react';

type Passed = Pick<
  OutlinedInputProps,
  | 'value'
  | 'defaultValue'
  | 'onChange'
  | 'onBlur'
  | 'onFocus'
  | 'onKeyDown'
  | 'placeholder'
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
    htmlInput?: OutlinedInputProps['inputProps'] & { 'data-reading'?: boolean; 'data-drafting'?: boolean };
    input?: Partial<OutlinedInputProps>;
    inputLabel?: Partial<InputLabelProps>;
    formHelperText?: Partial<FormHelperTextProps>;
  };
  sx?: FormControlProps['sx'];
}) {
  const own = useId();
  const id = given ?? own;
  const help = helperText ? `${id}-help` : undefined;
  return (
    <FormControl size="small" variant="outlined" error={error} fullWidth={fullWidth} sx={sx}>
      <InputLabel htmlFor={id} {...slotProps.inputLabel}>
        {label}
      </InputLabel>
      <OutlinedInput
        id={id}
        label={label}
        notched={slotProps.inputLabel?.shrink}
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

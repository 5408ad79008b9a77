import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { Controller, type Control, type FieldValues, type Path } from 'react-hook-form';

/** A text of a form: what is wrong with it stands below it, in place of the help. */
export function FormText<V extends FieldValues>({
  control,
  name,
  helperText,
  ...rest
}: { control: Control<V>; name: Path<V> } & Omit<TextFieldProps, 'name' | 'value' | 'error' | 'ref'>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref, onChange, ...field }, fieldState: { error } }) => (
        <TextField
          {...rest}
          {...field}
          onChange={(e) => {
            onChange(e);
            rest.onChange?.(e);
          }}
          inputRef={ref}
          error={error !== undefined}
          helperText={error?.message ?? helperText}
        />
      )}
    />
  );
}

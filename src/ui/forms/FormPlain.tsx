import type { ComponentProps } from 'react';
import { Controller, type Control, type FieldValues, type Path } from 'react-hook-form';
import { PlainField } from '../parts/PlainField';

/** A text of a form in a plain field: what is wrong with it stands below it, in place of the help. */
export function FormPlain<V extends FieldValues>({
  control,
  name,
  ...rest
}: { control: Control<V>; name: Path<V> } & Pick<
  ComponentProps<typeof PlainField>,
  'label' | 'help' | 'lines' | 'inputMode' | 'className' | 'autoFocus'
>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState: { error } }) => <PlainField {...rest} {...field} wrong={error?.message ?? null} />}
    />
  );
}

import { PlainField } from '../parts/PlainField';
import type { TakeInForm, TakeInValues } from './useTakeIn';

type TextName = {
  [K in keyof TakeInValues]: TakeInValues[K] extends string ? K : never;
}[keyof TakeInValues];

interface Props {
  form: TakeInForm;
  name: TextName;
  label: string;
  /** Name under which the server knows the field. */
  field?: string;
  help?: string;
  type?: 'text' | 'tel' | 'email';
  mode?: 'numeric' | 'decimal';
  multiline?: boolean;
}

/** One typed field of the take-in form, with what is wrong with it. */
export function TypedField({ form, name, label, field = name, help, type = 'text', mode, multiline }: Props) {
  const problem = form.fieldProblem(field);
  return (
    <PlainField
      label={label}
      type={type}
      inputMode={mode}
      value={form.values[name]}
      onChange={(e) => form.set({ [name]: e.target.value })}
      wrong={problem ?? null}
      help={help}
      {...(multiline ? { lines: 2 } : {})}
    />
  );
}

import Autocomplete from '@mui/material/Autocomplete';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Ref } from 'react';
import { DayField } from '../parts/DayField';
import type { EditField } from './sheet';
import { longText } from '../parts/longText';

interface Props {
  field: EditField;
  value: unknown;
  problem: string | undefined;
  first: boolean;
  onChange: (value: unknown) => void;
  /** Where the focus goes when this field is the first that is wrong. */
  inputRef: Ref<HTMLInputElement>;
}

/** One field of a sheet, by its sort. */
export function SheetField({ field, value, problem, first, onChange, inputRef }: Props) {
  const { sort = 'text', label, choices, help } = field;
  if (sort === 'tick')
    return (
      <FormControlLabel
        control={
          <Checkbox
            checked={value === true}
            onChange={(e) => onChange(e.target.checked)}
            slotProps={{ input: { ref: inputRef } }}
          />
        }
        label={problem ? `${label} (${problem})` : label}
      />
    );
  if (sort === 'several') {
    const wordsOf = (id: string) => choices?.find((c) => c.value === id)?.label ?? id;
    return (
      <Autocomplete
        multiple
        options={(choices ?? []).map((c) => c.value)}
        value={value as string[]}
        onChange={(_, chosen) => onChange(chosen)}
        getOptionLabel={wordsOf}
        renderInput={(params) => (
          <TextField
            {...params}
            inputRef={inputRef}
            label={label}
            error={Boolean(problem)}
            helperText={problem ?? help}
          />
        )}
      />
    );
  }
  if (sort === 'date')
    return (
      <DayField
        label={label}
        day={String(value ?? '')}
        onDay={onChange}
        problem={problem}
        help={help}
        autoFocus={first}
      />
    );
  const lines = sort === 'lines';
  return (
    <TextField
      select={sort === 'choice'}
      inputRef={inputRef}
      label={label}
      type={sort === 'secret' ? 'password' : 'text'}
      autoFocus={first}
      autoComplete={sort === 'secret' ? 'new-password' : 'off'}
      value={lines ? (value as string[]).join('\n') : String(value ?? '')}
      onChange={(e) => onChange(lines ? e.target.value.split('\n') : e.target.value)}
      error={Boolean(problem)}
      helperText={problem ?? help}
      {...(sort === 'long' || lines
        ? longText(2)
        : { slotProps: { htmlInput: sort === 'number' ? { inputMode: 'decimal' } : {} } })}
    >
      {choices?.map((c) => (
        <MenuItem key={c.value} value={c.value}>
          {c.label}
        </MenuItem>
      ))}
    </TextField>
  );
}

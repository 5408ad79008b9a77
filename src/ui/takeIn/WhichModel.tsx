'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import type { CounterNames } from '@/knowledge/atTheCounter';
import { useLater } from '../asking/useLater';
import { NotFetched } from '../parts/NotFetched';
import { KindPicture } from './KindPicture';
import type { ModelChoice, TakeInForm } from './useTakeIn';

interface Props {
  form: TakeInForm;
  models: ModelChoice[];
  kinds: CounterNames['kinds'];
}

/** The model of a new machine: searched in the list, or made here and now from its plate. */
export function WhichModel({ form, models, kinds }: Props) {
  const { values: v, set, fieldProblem: problem } = form;
  if (v.isNewModel) return <FromItsPlate form={form} models={models} />;
  return (
    <>
      <Autocomplete
        options={models}
        value={models.find((m) => String(m.id) === v.modelId) ?? null}
        onChange={(_, m) => set({ modelId: m ? String(m.id) : '', complaints: [], marks: [] })}
        getOptionLabel={(m) => `${m.maker} ${m.name}`}
        getOptionKey={(m) => m.id}
        autoHighlight
        noOptionsText="No such model: add it here."
        renderOption={({ key, ...props }, m) => (
          <Box component="li" key={key} {...props} sx={{ gap: 1 }}>
            <KindPicture kind={m.kind} size={30} />
            {m.maker} {m.name}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {kinds.find((k) => k.id === m.kind)?.label ?? m.kind}
            </Box>
          </Box>
        )}
        renderInput={(params) => (
          <TextField
            {...params}
            label="Model"
            error={Boolean(problem('newMachine.modelId'))}
            helperText={problem('newMachine.modelId') ?? 'Type a part of its maker or name.'}
          />
        )}
      />
      <Link
        component="button"
        type="button"
        onClick={() => set({ isNewModel: true, modelId: '', complaints: [], marks: [] })}
        sx={{ justifySelf: 'start', minHeight: 32 }}
      >
        It is in no list: add it from its plate
      </Link>
    </>
  );
}

/** Every kind is drawn there: fetched when a model is in no list. */
function FromItsPlate({ form, models }: Omit<Props, 'kinds'>) {
  const { piece: NewModel, failed, again } = useLater('new-model', async () => (await import('./NewModel')).NewModel);
  if (NewModel) return <NewModel form={form} models={models} />;
  return <NotFetched failed={failed} what="The kinds of machines" again={again} />;
}

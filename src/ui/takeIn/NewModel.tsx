'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { knowledge } from '@/knowledge';
import { Notice } from '../parts/Notice';
import { MachineDrawing } from '../drawing/MachineDrawing';
import { similarModels } from './similarModels';
import { TypedField } from './TypedField';
import type { ModelChoice, TakeInForm } from './useTakeIn';

const kindLabel = (id: string) => knowledge.kinds.find((k) => k.id === id)?.label ?? id;

/** A model that is in no list, made here and now from its plate. */
export function NewModel({ form, models }: { form: TakeInForm; models: ModelChoice[] }) {
  const { values: v, set, fieldProblem: problem } = form;
  const alike = similarModels(models, v.newMaker, v.newName).slice(0, 4);
  const chosen = knowledge.kinds.find((k) => k.id === v.newKind);
  return (
    <Box role="group" aria-label="A model that is in no list" sx={{ display: 'grid', gap: 1.25 }}>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 110px' } }}>
        <TypedField
          form={form}
          name="newMaker"
          field="newMachine.newModel.maker"
          label="Maker"
          help="as the plate says"
        />
        <TypedField form={form} name="newName" field="newMachine.newModel.name" label="Model name" />
        <TypedField form={form} name="newVolts" field="newMachine.newModel.mainsV" label="Volts" mode="numeric" />
      </Box>
      {alike.length > 0 && (
        <Notice title="Is it one of these?">
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
            {alike.map((m) => (
              <Link
                key={m.id}
                component="button"
                type="button"
                onClick={() => set({ isNewModel: false, modelId: String(m.id), complaints: [], marks: [] })}
                sx={{ minHeight: 32 }}
              >
                {m.maker} {m.name}, {kindLabel(m.kind).toLowerCase()}
              </Link>
            ))}
          </Box>
        </Notice>
      )}
      <Typography component="h3" variant="h3">
        What is it like?
      </Typography>
      {problem('newMachine.newModel.kind') && (
        <Typography variant="caption" role="alert" sx={{ color: 'error.main' }}>
          {problem('newMachine.newModel.kind')}
        </Typography>
      )}
      <Box
        role="radiogroup"
        aria-label="Kind of machine"
        sx={{ display: 'grid', gap: 0.5, gridTemplateColumns: 'repeat(auto-fill, minmax(148px, 1fr))' }}
      >
        {knowledge.kinds.map((k) => (
          <ButtonBase
            key={k.id}
            role="radio"
            aria-checked={k.id === v.newKind}
            title={k.blurb}
            onClick={() => set({ newKind: k.id, complaints: [], marks: [] })}
            sx={{
              display: 'grid',
              justifyItems: 'center',
              alignContent: 'start',
              gap: 0.25,
              p: 0.5,
              minHeight: 128,
              fontFamily: 'inherit',
              fontSize: '0.82rem',
              lineHeight: 1.2,
              textAlign: 'center',
              border: '2px solid',
              borderColor: k.id === v.newKind ? 'bench.action' : 'divider',
              bgcolor: 'background.paper',
              '&:focus-visible': { outline: '3px solid', outlineColor: 'bench.brass' },
            }}
          >
            <MachineDrawing kind={k.id} tall={104} title="" />
            {k.label}
          </ButtonBase>
        ))}
      </Box>
      {chosen && <Typography variant="body2">{chosen.blurb}</Typography>}
      <Link component="button" type="button" onClick={() => set({ isNewModel: false })} sx={{ justifySelf: 'start' }}>
        Back to the list
      </Link>
    </Box>
  );
}

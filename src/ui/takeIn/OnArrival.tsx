'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { cautions } from '@/knowledge/cautions';
import { accessoryNames, arrivalSigns } from '@/knowledge/counter';
import { CautionPlate } from '../parts/CautionPlate';
import { PhotographPicker } from '../parts/PhotographPicker';
import { TypedField } from './TypedField';
import type { TakeInForm } from './useTakeIn';

const cautionOf = (id: string) => cautions.find((c) => c.id === id)!;

/** What is seen when the machine is set on the counter, what came with it, and how it looked: written down before anybody touches it. */
export function OnArrival({ form }: { form: TakeInForm }) {
  const { values: v, set, toggle } = form;
  const raised = arrivalSigns.filter((s) => v.signs.includes(s.id));
  return (
    <>
      <Typography component="h2" variant="h2">
        On arrival
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {arrivalSigns.map((s) => (
          <ToggleButton
            key={s.id}
            value={s.id}
            size="small"
            selected={v.signs.includes(s.id)}
            onChange={() => toggle('signs', s.id)}
          >
            {s.label}
          </ToggleButton>
        ))}
      </Box>
      {raised.map((s) => (
        <CautionPlate key={s.id} label={cautionOf(s.raises).label} text={`${cautionOf(s.raises).text} ${s.note}`} />
      ))}
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography variant="body2" id="ever-wet">
          Was it ever wet?
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-labelledby="ever-wet"
          value={v.everWet}
          onChange={(_, value: typeof v.everWet | null) => set({ everWet: value ?? 'not-asked' })}
        >
          <ToggleButton value="no">no</ToggleButton>
          <ToggleButton value="yes">yes</ToggleButton>
          <ToggleButton value="unknown">they do not know</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      {v.everWet === 'yes' && !v.signs.includes('wet') && (
        <CautionPlate label={cautionOf('wet-signs').label} text={cautionOf('wet-signs').text} />
      )}
      <Box
        sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: 'auto 1fr 9rem' }, alignItems: 'start' }}
      >
        <FormControlLabel
          control={<Checkbox checked={v.openedBefore} onChange={(e) => set({ openedBefore: e.target.checked })} />}
          label="Opened lately by somebody else"
        />
        {v.openedBefore ? <TypedField form={form} name="openedBy" label="By whom" /> : <span />}
        <TypedField form={form} name="meterHours" label="Hour meter" help="if it has one" mode="decimal" />
      </Box>
      <Box
        role="group"
        aria-label="Came with it"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center' }}
      >
        <Typography variant="body2">Came with it:</Typography>
        {accessoryNames.map((name) => (
          <ToggleButton
            key={name}
            value={name}
            size="small"
            selected={v.accessories.includes(name)}
            onChange={() => toggle('accessories', name)}
          >
            {name}
          </ToggleButton>
        ))}
      </Box>
      <PhotographPicker
        photographs={v.photographs}
        onAdd={(id) => set((now) => ({ photographs: [...now.photographs, id] }))}
        onDrop={(id) => set((now) => ({ photographs: now.photographs.filter((p) => p !== id) }))}
      />
    </>
  );
}

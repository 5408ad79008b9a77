'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { knowledge } from '@/knowledge';
import { arrivalSigns } from '@/knowledge/bench';
import type { MachineListView } from '@/shop/machines/dto';
import { LineBoard } from '../board/LineBoard';
import { cautionOf, faultLabel } from '../job/labels';
import { CautionPlate } from '../parts/CautionPlate';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { Chooser } from './Chooser';
import { EMPTY, useTakeIn, type ModelChoice } from './useTakeIn';
import { usePointing } from './usePointing';

interface Props {
  models: ModelChoice[];
  promisedOn: string;
  today: string;
  /** Already chosen, when one comes from the machine's card. */
  machine: MachineListView | null;
}

/** The counter: who, which machine, the customer's own words, what is seen on arrival. One page, all by keyboard. */
export function TakeInScreen({ models, promisedOn, today, machine }: Props) {
  const router = useRouter();
  const form = useTakeIn({ ...EMPTY, promisedOn, machine }, (job) => router.push(`/jobs/${job}/find`));
  const { values: v, set, toggle, fieldProblem: problem } = form;
  const kindId = v.machine?.kind ?? models.find((m) => String(m.id) === v.modelId)?.kind ?? null;
  const kind = knowledge.kinds.find((k) => k.id === kindId) ?? null;
  const complaints = useMemo(() => knowledge.complaints.filter((c) => !kindId || c.kinds.includes(kindId)), [kindId]);
  const states = usePointing(kindId, v.complaints);
  const faults = useMemo(() => (kindId ? knowledge.faults.filter((f) => kindId in f.kinds) : []), [kindId]);
  const raised = arrivalSigns.filter((s) => v.signs.includes(s.id));

  return (
    <Box
      component="form"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void form.send();
      }}
      sx={{ display: 'grid', gap: 2 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          Take in
        </Typography>
        {form.restored && (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            What you had typed is back.{' '}
            <Link component="button" type="button" onClick={form.clear}>
              Start afresh
            </Link>
          </Typography>
        )}
      </Box>
      {form.refusal && (
        <Notice live title={form.refusal.title}>
          {form.refusal.openJob && (
            <Link component={NextLink} href={`/jobs/${form.refusal.openJob}`}>
              Go to job {form.refusal.openJob}
            </Link>
          )}
        </Notice>
      )}
      {kind && <LineBoard kind={kind} states={states} title="Where the complaints point" />}
      <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, alignItems: 'start' }}>
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Typography component="h2" variant="h2">
            Which machine
          </Typography>
          {v.machine ? (
            <Chosen
              title={`${v.machine.tag} ${v.machine.maker} ${v.machine.model}`}
              text={`${v.machine.owner}${v.machine.lastJobAt ? `, last here ${v.machine.lastJobAt.slice(0, 10)}` : ', first time here'}`}
              onDrop={() => set({ machine: null })}
            >
              {v.machine.openJob && (
                <Link component={NextLink} href={`/jobs/${v.machine.openJob}`}>
                  It is here already: job {v.machine.openJob}
                </Link>
              )}
            </Chosen>
          ) : (
            <>
              {!v.isNew && (
                <Chooser<MachineListView>
                  label="Tag, serial, owner, phone or model"
                  autoFocus
                  url={(q) => `/api/v1/machines?q=${encodeURIComponent(q)}`}
                  problem={problem('machineId')}
                  onChoose={(m) => set({ machine: m })}
                  nothing="No such machine: add it as new."
                  row={(m) => (
                    <>
                      <Reading strong>{m.tag}</Reading> {m.maker} {m.model}, {m.owner} <Reading>{m.serial}</Reading>
                    </>
                  )}
                />
              )}
              <FormControlLabel
                control={<Checkbox checked={v.isNew} onChange={(e) => set({ isNew: e.target.checked })} />}
                label="New machine"
              />
              {v.isNew && (
                <>
                  <TextField
                    select
                    label="Model"
                    value={v.modelId}
                    onChange={(e) => set({ modelId: e.target.value, complaints: [] })}
                    error={Boolean(problem('newMachine.modelId'))}
                    helperText={problem('newMachine.modelId')}
                  >
                    {models.map((m) => (
                      <MenuItem key={m.id} value={String(m.id)}>
                        {m.maker} {m.name}
                        <Box component="span" sx={{ color: 'text.secondary', ml: 1 }}>
                          {knowledge.kinds.find((k) => k.id === m.kind)?.label}
                        </Box>
                      </MenuItem>
                    ))}
                  </TextField>
                  <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: '2fr 1fr 1fr' }}>
                    <TextField
                      label="Serial"
                      value={v.serial}
                      onChange={(e) => set({ serial: e.target.value })}
                      error={Boolean(problem('newMachine.serial'))}
                      helperText={problem('newMachine.serial')}
                    />
                    <TextField
                      label="Made in"
                      value={v.madeYear}
                      onChange={(e) => set({ madeYear: e.target.value })}
                      error={Boolean(problem('newMachine.madeYear'))}
                      helperText={problem('newMachine.madeYear') ?? 'year'}
                      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    />
                    <TextField
                      label="Use"
                      value={v.hoursPerWeek}
                      onChange={(e) => set({ hoursPerWeek: e.target.value })}
                      error={Boolean(problem('newMachine.hoursPerWeek'))}
                      helperText={problem('newMachine.hoursPerWeek') ?? 'hours a week'}
                      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
                    />
                  </Box>
                  <FormControlLabel
                    control={<Checkbox checked={v.pets} onChange={(e) => set({ pets: e.target.checked })} />}
                    label="Pets at home"
                  />
                </>
              )}
              {v.isNew && (
                <>
                  <Typography component="h2" variant="h2">
                    Whose is it
                  </Typography>
                  {v.customer ? (
                    <Chosen title={v.customer.name} text={v.customer.phone} onDrop={() => set({ customer: null })} />
                  ) : (
                    <>
                      {!v.isNewCustomer && (
                        <Chooser<{ id: number; name: string; phone: string; machines: number }>
                          label="Name or phone"
                          url={(q) => `/api/v1/customers?q=${encodeURIComponent(q)}`}
                          problem={problem('customerId')}
                          onChoose={(c) => set({ customer: c })}
                          nothing="No such customer: add them as new."
                          row={(c) => (
                            <>
                              {c.name} <Reading>{c.phone}</Reading>, {Number(c.machines)} machine
                              {Number(c.machines) === 1 ? '' : 's'}
                            </>
                          )}
                        />
                      )}
                      <FormControlLabel
                        control={
                          <Checkbox
                            checked={v.isNewCustomer}
                            onChange={(e) => set({ isNewCustomer: e.target.checked })}
                          />
                        }
                        label="New customer"
                      />
                      {v.isNewCustomer && (
                        <>
                          <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: '3fr 2fr' }}>
                            <TextField
                              label="Name"
                              value={v.name}
                              onChange={(e) => set({ name: e.target.value })}
                              error={Boolean(problem('newCustomer.name'))}
                              helperText={problem('newCustomer.name')}
                            />
                            <TextField
                              label="Phone"
                              type="tel"
                              value={v.phone}
                              onChange={(e) => set({ phone: e.target.value })}
                              error={Boolean(problem('newCustomer.phone'))}
                              helperText={problem('newCustomer.phone')}
                            />
                          </Box>
                          <TextField
                            label="Address or e-mail"
                            value={v.address}
                            onChange={(e) => set({ address: e.target.value })}
                            error={Boolean(problem('newCustomer.address'))}
                            helperText={problem('newCustomer.address')}
                          />
                          <FormControlLabel
                            control={
                              <Checkbox checked={v.business} onChange={(e) => set({ business: e.target.checked })} />
                            }
                            label="A business"
                          />
                        </>
                      )}
                    </>
                  )}
                </>
              )}
            </>
          )}
          <Typography component="h2" variant="h2">
            On arrival
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            {arrivalSigns.map((s) => (
              <ToggleButton
                key={s.id}
                value={s.id}
                selected={v.signs.includes(s.id)}
                onChange={() => toggle('signs', s.id)}
              >
                {s.label}
              </ToggleButton>
            ))}
          </Box>
          {raised.map((s) =>
            s.raises ? (
              <CautionPlate
                key={s.id}
                label={cautionOf(s.raises).label}
                text={`${cautionOf(s.raises).text} ${s.note}`}
              />
            ) : (
              <Notice key={s.id} title={s.note} />
            ),
          )}
          <FormControlLabel
            control={<Checkbox checked={v.openedBefore} onChange={(e) => set({ openedBefore: e.target.checked })} />}
            label="Opened lately by somebody else"
          />
        </Box>
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Typography component="h2" variant="h2">
            What the customer says
          </Typography>
          <TextField
            label="In their own words"
            value={v.words}
            onChange={(e) => set({ words: e.target.value })}
            multiline
            minRows={3}
            error={Boolean(problem('words'))}
            helperText={problem('words') ?? 'Kept as spoken.'}
          />
          <Box role="group" aria-label="Complaints">
            <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
              Complaints
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
              {complaints.map((c) => (
                <ToggleButton
                  key={c.id}
                  value={c.id}
                  selected={v.complaints.includes(c.id)}
                  onChange={() => toggle('complaints', c.id)}
                >
                  {c.label}
                </ToggleButton>
              ))}
            </Box>
            {problem('complaints') && (
              <Typography variant="caption" role="alert" sx={{ color: 'error.main' }}>
                {problem('complaints')}
              </Typography>
            )}
          </Box>
          <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
            <TextField
              select
              label="They think it is"
              value={v.guess}
              onChange={(e) => set({ guess: e.target.value })}
              helperText="A hint of small weight."
              disabled={!kindId}
            >
              <MenuItem value="">nothing said</MenuItem>
              {faults.map((f) => (
                <MenuItem key={f.id} value={f.id}>
                  {faultLabel(f.id)}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              label="Promised for"
              type="date"
              value={v.promisedOn}
              onChange={(e) => set({ promisedOn: e.target.value })}
              error={Boolean(problem('promisedOn'))}
              helperText={problem('promisedOn')}
              slotProps={{ htmlInput: { min: today }, inputLabel: { shrink: true } }}
            />
          </Box>
          <Box>
            <Button type="submit" variant="contained" disabled={form.busy} sx={{ minWidth: 200 }}>
              {form.busy ? 'Taking in …' : 'Take it in'}
            </Button>
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

function Chosen({
  title,
  text,
  onDrop,
  children,
}: {
  title: string;
  text: string;
  onDrop: () => void;
  children?: React.ReactNode;
}) {
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        p: 1.25,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        borderLeft: '5px solid',
        borderLeftColor: 'bench.action',
      }}
    >
      <Box sx={{ flex: 1 }}>
        <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
        <Typography variant="body2">{text}</Typography>
        {children}
      </Box>
      <Button size="small" onClick={onDrop}>
        Another
      </Button>
    </Box>
  );
}

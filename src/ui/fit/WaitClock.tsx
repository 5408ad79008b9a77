'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { waitKinds } from '@/knowledge/counter';
import { FormText } from '../forms/FormText';
import { cautionOf } from '../job/labels';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { CautionPlate } from '../parts/CautionPlate';
import { Reading } from '../parts/Reading';
import { instantAt } from '../parts/instants';
import { readNumber } from '../parts/readNumber';
import { leftWords, useNow } from '../parts/useNow';

/** A clock for what needs no hands: drying, soaking, glue, parts, answers. It runs on the server. */
export function WaitClock({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const running = job.waits.find((w) => !w.endedAt);
  const now = useNow(running?.startedAt ?? job.takenInAt);
  const { control, submit, setValue } = useDeedForm({
    desk,
    deed: 'start-wait',
    dto: async () => (await import('@/shop/startWait/dto')).StartWaitDto,
    start: { kind: 'drying', what: '', hours: '24' },
    body: (typed) => ({ ...typed, hours: readNumber(typed.hours) ?? NaN }),
    unread: ({ hours }) =>
      Number.isFinite(readNumber(hours) ?? NaN) ? [] : [{ field: 'hours', message: 'Hours, such as 24 or 0.5.' }],
    kept: { what: 'wait' },
  });
  const label = (id: string) => waitKinds.find((w) => w.id === id)?.label ?? id;
  return (
    <Box component="section" aria-label="Waits">
      <Typography component="h2" variant="h3">
        Wait clock
      </Typography>
      {job.waits
        .filter((w) => w.endedAt)
        .map((w) => (
          <Typography key={w.id} variant="body2" sx={{ color: 'text.secondary' }}>
            {label(w.kind)}
            {w.what && ` (${w.what})`}: ended {instantAt(w.endedAt!, job.zone)}
          </Typography>
        ))}
      {running ? (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="body2">
            <strong>{label(running.kind)}</strong>
            {running.what && `: ${running.what}`}, <Reading strong>{leftWords(running.endsAt, now)}</Reading>
            {leftWords(running.endsAt, now) === 'ready' ? '' : ' left'}
          </Typography>
          {running.kind === 'drying' && (
            <CautionPlate label={cautionOf('dry-before-run').label} text={cautionOf('dry-before-run').text} />
          )}
          {job.stage !== 'closed' && (
            <Box>
              <Button disabled={busy} onClick={() => void desk.act('end-wait')}>
                {running.kind === 'drying' ? 'Weighed or felt dry: end it' : 'End the wait'}
              </Button>
            </Box>
          )}
        </Box>
      ) : (
        job.stage !== 'closed' && (
          <Box
            component="form"
            onSubmit={(e) => {
              e.preventDefault();
              submit();
            }}
            sx={{
              display: 'grid',
              gap: 1,
              gridTemplateColumns: { xs: '1fr', sm: '1.2fr 1.4fr 90px auto' },
              mt: 0.5,
              alignItems: 'start',
            }}
          >
            <FormText
              control={control}
              name="kind"
              select
              label="For"
              onChange={(e) => setValue('hours', String(waitKinds.find((w) => w.id === e.target.value)?.hours ?? 24))}
            >
              {waitKinds.map((w) => (
                <MenuItem key={w.id} value={w.id}>
                  {w.label}
                </MenuItem>
              ))}
            </FormText>
            <FormText control={control} name="what" label="What" />
            <FormText
              control={control}
              name="hours"
              label="Hours"
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <Button type="submit" disabled={busy} sx={{ minHeight: 48 }}>
              Start
            </Button>
          </Box>
        )
      )}
    </Box>
  );
}

'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Controller } from 'react-hook-form';
import { stepsApart } from '@/core/strip/wayBack';
import { arrivalSigns, endings } from '@/knowledge/counter';
import type { Ending, JobFacts } from '@/shop/jobView/dto';
import { Papers, Payment } from '../agree/Papers';
import { FormText } from '../forms/FormText';
import { faultLabel, ideaAnswered } from '../job/labels';
import { bookOf } from '../job/trade';
import { useDeedForm } from '../job/useDeedForm';
import { BesidesLeft } from '../job/StillOpen';
import type { JobDesk } from '../job/useJob';
import { dayAt } from '../parts/instants';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { longText } from '../parts/longText';

/** Handing back: how it ends, what it was, what stays open, what to watch, and the sheet that goes home with it. */
export function HandBackWork({ desk }: { desk: JobDesk }) {
  const { job } = desk;
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 820 }}>
      <Typography component="h2" variant="h2">
        Hand back
      </Typography>
      {job.stage === 'closed' ? <Ended desk={desk} /> : <Ends desk={desk} />}
      <Payment desk={desk} />
      <Papers desk={desk} kinds={['invoice', 'unrepaired']} />
    </Box>
  );
}

function Ended({ desk: { job } }: { desk: JobDesk }) {
  const ending = endings.find((e) => e.id === job.ending) ?? endings[0];
  return (
    <>
      <Notice title={`${ending.says} ${dayAt(job.closedAt!, job.zone)}.`}>
        <Typography variant="body2">
          {job.foundWords && `${job.foundWords} `}
          {job.leftOpen.length > 0 && `Left open: ${job.leftOpen.map(faultLabel).join(', ')}. `}
          {job.ownersWord && `The owner: “${job.ownersWord}” `}
          Next due: <Reading strong>{job.machine.nextDueOn ?? 'nothing planned'}</Reading>.{' '}
          <Link component={NextLink} href={`/machines/${job.machine.tag}`}>
            See the machine’s card
          </Link>
        </Typography>
      </Notice>
      <Box>
        <Button component={NextLink} href={`/jobs/${job.id}/care-sheet`}>
          Care sheet
        </Button>
      </Box>
    </>
  );
}

const IDEAS = {
  right: ', and was right.',
  other: '. It was not that; say what it was.',
  open: '. Nothing found so far says whether it was.',
};

/** What the owner did not want ends so, unless somebody says otherwise. */
const ENDS_AS: Partial<Record<JobFacts['agree']['standing'], Ending>> = { 'as-is': 'unrepaired', scrap: 'scrapped' };

/** What they said when they were asked. */
function ownersWordOf({ agree }: JobFacts): string {
  return agree.standing === 'as-is' || agree.standing === 'scrap' ? (agree.answers.at(-1)?.words ?? '') : '';
}

function Ends({ desk }: { desk: JobDesk }) {
  const { job, odds, busy } = desk;
  const { control, submit, watch } = useDeedForm({
    desk,
    deed: 'hand-back',
    dto: async () => (await import('@/shop/handBack/dto')).HandBackDto,
    start: {
      ending: (ENDS_AS[job.agree.standing] ?? 'repaired') as Ending,
      faults: job.proved,
      foundWords: '',
      ownersWord: ownersWordOf(job),
      advice: job.advice,
    },
    kept: { foundWords: 'found words', ownersWord: 'owners word', advice: 'advice' },
  });
  const [ending, faults] = watch(['ending', 'faults']);
  const choice = endings.find((e) => e.id === ending)!;
  const probability = useMemo(() => new Map((odds?.faults ?? []).map((f) => [f.id, f.probability])), [odds]);
  // The likely ones first: what it was is mostly among them; any other fault of the kind is found by its words.
  const offered = useMemo(
    () =>
      bookOf(job.machine.kind)
        .knowledge.faults.map((f) => f.id)
        .sort((a, b) => (probability.get(b) ?? 0) - (probability.get(a) ?? 0)),
    [job.machine.kind, probability],
  );
  const unproved = job.proofs.filter((p) => p.required && p.result !== 'pass');
  const open = [...new Set([...job.leftOpen, ...faults, ...job.openFaults.map((f) => f.fault)])].filter(
    (id) => !job.repaired.includes(id),
  );
  // What the owner, asked, did not want is answered already.
  const unanswered = open.filter((id) => !job.agree.notWanted.includes(id));
  const apart = stepsApart(job.rebuild);
  const ready = !choice.tested || job.stage === 'hand-back';
  return (
    <>
      {choice.tested && unproved.length > 0 && (
        <Notice title="Not all is proved yet.">
          <Typography variant="body2">{unproved.map((p) => p.label).join(', ')}.</Typography>
        </Notice>
      )}
      {choice.tested && <BesidesLeft job={job} />}
      {!choice.tested && choice.returned && apart > 0 && (
        <Notice title={`It is not together: ${apart} step${apart === 1 ? '' : 's'} of the way back still open.`}>
          <Typography variant="body2">
            Put it back under Fit, its earth and cord looked at as for any other; what goes home in pieces says so in
            words.
          </Typography>
        </Notice>
      )}
      {job.arrivalSigns.length > 0 && (
        <Notice title="On arrival">
          {job.arrivalSigns.map((id) => {
            const sign = arrivalSigns.find((s) => s.id === id);
            return (
              <Typography key={id} variant="body2">
                {sign?.label}: {sign?.note}
              </Typography>
            );
          })}
        </Notice>
      )}
      <FormText
        control={control}
        name="ending"
        select
        label="How it ends"
        helperText={choice.tested ? 'Everything is proved before it leaves.' : 'Not tested: the sheet says so.'}
      >
        {endings.map((e) => (
          <MenuItem key={e.id} value={e.id}>
            {e.label}
          </MenuItem>
        ))}
      </FormText>
      <Controller
        control={control}
        name="faults"
        render={({ field, fieldState: { error } }) => (
          <Autocomplete
            multiple
            options={offered}
            value={field.value}
            onChange={(_, value) => field.onChange(value)}
            getOptionLabel={faultLabel}
            renderInput={(params) => (
              <TextField
                {...params}
                inputRef={field.ref}
                label="What it was"
                error={error !== undefined}
                helperText={error?.message ?? 'Counted: the odds of the next machine lean on it.'}
              />
            )}
          />
        )}
      />
      <FormText
        control={control}
        name="foundWords"
        label={choice.asks ? 'Why it ends so' : 'What it was, in words'}
        helperText={choice.asks ? 'It stands in the book.' : 'What has no name in the list.'}
      />
      {open.length > 0 && ending !== 'cancelled' && (
        <Notice title={`Stays open on the machine: ${open.map(faultLabel).join(', ')}.`}>
          {choice.returned && unanswered.length === 0 && (
            <Typography variant="body2">The owner did not want it mended.</Typography>
          )}
          {choice.returned && unanswered.length > 0 && (
            <FormText
              control={control}
              name="ownersWord"
              label="What the owner says of it"
              helperText="Mended after all? Tick it under Fit."
              fullWidth
              sx={{ mt: 1 }}
            />
          )}
        </Notice>
      )}
      <FormText
        control={control}
        name="advice"
        label="What to watch, for the owner"
        {...longText(2)}
        helperText="Printed on the care sheet."
      />
      {job.customerDiagnosis && (
        <Typography variant="body2">
          The customer thought of: {faultLabel(job.customerDiagnosis).toLowerCase()}
          {IDEAS[ideaAnswered(job.customerDiagnosis, faults, job.complaints)]}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={busy || !ready} onClick={submit}>
          {choice.returned ? 'Hand back and close' : 'Close'}
        </Button>
        <Button component={NextLink} href={`/jobs/${job.id}/care-sheet`}>
          Care sheet
        </Button>
      </Box>
    </>
  );
}

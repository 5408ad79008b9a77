'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { fastenerWords } from '@/core/strip/tray';
import type { StepTime } from '@/shop/procedures/dto';
import type { StepView } from '@/shop/jobView/dto';
import { cautionOf } from '../job/labels';
import { CautionPlate } from '../parts/CautionPlate';
import { fonts } from '../theme/palette';
import { StepPictures } from './StepPictures';
import type { StepPicture } from './stepPictures';
import { lieWords, toolWords } from './stepWords';

/** One step, to be read at arm’s length. */
export function StepCard({
  step,
  cup,
  time,
  pictures,
  children,
}: {
  step: StepView;
  cup: number | null;
  /** How long it takes the shop. */
  time: StepTime | undefined;
  /** Of this step, on this machine and on others of its model. */
  pictures: readonly StepPicture[];
  children: ReactNode;
}) {
  return (
    <Box
      component="section"
      aria-label="Step on the bench"
      aria-live="polite"
      sx={{
        border: '1px solid',
        borderColor: 'divider',
        borderTop: '5px solid',
        borderTopColor: 'bench.action',
        bgcolor: 'background.paper',
        p: { xs: 1.5, md: 2 },
        display: 'grid',
        gap: 1.25,
      }}
    >
      <Typography
        component="h2"
        sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: { xs: '1.55rem', md: '2rem' }, lineHeight: 1.15 }}
      >
        {step.label}
      </Typography>
      <Box
        component="dl"
        sx={{ m: 0, display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 0.5, fontSize: '1.15rem' }}
      >
        <Fact term="Machine">{lieWords(step.lie)}</Fact>
        <Fact term="Tool">{toolWords(step.tool)}</Fact>
        {time && (
          <Fact term="Takes here">
            {time.minutes} min{' '}
            <Box component="span" sx={{ fontWeight: 400, fontSize: '0.8em' }}>
              of {time.presses}
            </Box>
          </Fact>
        )}
        {step.fasteners.length > 0 && (
          <Fact term={`Into cup ${cup}`}>{step.fasteners.map(fastenerWords).join('; ')}</Fact>
        )}
      </Box>
      {step.note && <Line mark="This model">{step.note}</Line>}
      {step.stays && <Line mark="Leave">{step.stays}</Line>}
      {step.carried && <Line mark="Carry over">{step.carried}</Line>}
      {step.photograph && <Line mark="Photograph">{step.photograph}</Line>}
      <StepPictures pictures={pictures} label={step.label} />
      {step.cautions.map((id) => (
        <CautionPlate key={id} {...cautionOf(id)} />
      ))}
      {children}
    </Box>
  );
}

function Fact({ term, children }: { term: string; children: ReactNode }) {
  return (
    <Box sx={{ minWidth: 0 }}>
      <Box component="dt" sx={{ fontSize: '0.8rem', color: 'text.secondary', lineHeight: 1.2 }}>
        {term}
      </Box>
      <Box component="dd" sx={{ m: 0, fontWeight: 600, lineHeight: 1.3 }}>
        {children}
      </Box>
    </Box>
  );
}

function Line({ mark, children }: { mark: string; children: ReactNode }) {
  return (
    <Typography
      sx={{ fontSize: '1.02rem', lineHeight: 1.35, borderLeft: '3px solid', borderColor: 'bench.brass', pl: 1.25 }}
    >
      <strong>{mark}:</strong> {children}
    </Typography>
  );
}

/** A key of the bench with its letter: big enough for a greasy finger. */
export function HandKey({
  label,
  letter,
  main = false,
  disabled,
  onPress,
}: {
  label: string;
  letter: string;
  main?: boolean;
  disabled: boolean;
  onPress: () => void;
}) {
  return (
    <Button
      variant={main ? 'contained' : 'outlined'}
      disabled={disabled}
      onClick={onPress}
      sx={{ minHeight: 52, fontSize: main ? '1.15rem' : '1rem', flexGrow: { xs: 1, sm: 0 } }}
    >
      {label}
      <Box
        component="span"
        aria-hidden
        sx={{ ml: 1, opacity: 0.75, fontSize: '0.8em', display: { xs: 'none', md: 'inline' } }}
      >
        {letter}
      </Box>
    </Button>
  );
}

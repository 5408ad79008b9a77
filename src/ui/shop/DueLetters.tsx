'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { LettersView } from '@/shop/rounds/dto';
import { EditSheet } from '../sheet/EditSheet';

const values = ({ subject, words }: LettersView) => ({ subject, words });

/** What owners are written when something falls due, in the shop's own words. */
export function DueLetters({ letters, mayAmend }: { letters: LettersView; mayAmend: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  return (
    <Box component="section" aria-label="Letters about what falls due" sx={{ display: 'grid', gap: 0.75 }}>
      <Typography component="h2" variant="h2">
        When something falls due
      </Typography>
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {letters.subject}
      </Typography>
      <Typography variant="body2" sx={{ whiteSpace: 'pre-wrap' }}>
        {letters.words}
      </Typography>
      {mayAmend && (
        <Box>
          <Button size="small" onClick={() => setOpen(true)}>
            Change the words
          </Button>
        </Box>
      )}
      {open && (
        <EditSheet<LettersView>
          title="When something falls due"
          fields={[
            { name: 'subject', label: 'Subject' },
            {
              name: 'words',
              label: 'Words',
              sort: 'long',
              help: `filled in: ${letters.fields.map((f) => `{${f}}`).join(', ')}`,
            },
          ]}
          values={values(letters)}
          version={letters.version}
          dto={async () => (await import('@/shop/rounds/dto')).AmendLettersDto}
          url="/api/v1/shop/letters"
          draft="letters"
          current={(s) => ({ values: values(s as LettersView), version: (s as LettersView).version })}
          onDone={() => {
            setOpen(false);
            router.refresh();
          }}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}

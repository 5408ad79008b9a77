'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { OWNERS_PHRASES } from '@/knowledge/ownersPhrases';
import type { TermsView } from '@/shop/terms/dto';
import { EditSheet } from '../sheet/EditSheet';

const IDS = Object.keys(OWNERS_PHRASES) as (keyof typeof OWNERS_PHRASES)[];

/** What owners read on their page, in the languages that the shop has written. */
export function OwnersLanguages({ terms, mayAmend }: { terms: TermsView; mayAmend: boolean }) {
  const router = useRouter();
  /** The language that is written; an empty one is new. */
  const [open, setOpen] = useState<string | null>(null);
  const valuesOf = (view: TermsView, language: string) => ({
    language,
    ...Object.fromEntries(IDS.map((id) => [id, view.phrases[language]?.[id] ?? ''])),
  });
  return (
    <Box component="section" aria-label="Languages of the owners’ page">
      <Typography component="h2" variant="h2">
        The owners’ page in other languages
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        A customer’s card says which one is theirs. Names of faults and parts stay as the shop has them.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
        {Object.entries(terms.phrases).map(([language, phrases]) => (
          <Button key={language} size="small" disabled={!mayAmend} onClick={() => setOpen(language)}>
            {language}: {Object.keys(phrases).length} of {IDS.length}
          </Button>
        ))}
        {mayAmend && (
          <Button size="small" onClick={() => setOpen('')}>
            Add a language
          </Button>
        )}
      </Box>
      {open !== null && (
        <EditSheet<TermsView>
          title={open === '' ? 'Another language' : `In ${open}`}
          fields={[
            { name: 'language', label: 'Language', help: 'such as nb or de', span: 2 },
            ...IDS.map((id) => ({ name: id, label: OWNERS_PHRASES[id], sort: 'text' as const })),
          ]}
          values={valuesOf(terms, open)}
          version={terms.version}
          dto={async () => (await import('@/shop/terms/dto')).AmendPhrasesDto}
          url="/api/v1/shop/phrases"
          draft={`phrases-${open || 'new'}`}
          body={({ language, ...phrases }) => ({
            language,
            phrases: Object.entries(phrases).map(([id, text]) => ({ id, text })),
          })}
          current={(view) => ({
            values: valuesOf(view as TermsView, open),
            version: (view as TermsView).version,
          })}
          onDone={() => {
            setOpen(null);
            router.refresh();
          }}
          onClose={() => setOpen(null)}
        />
      )}
    </Box>
  );
}

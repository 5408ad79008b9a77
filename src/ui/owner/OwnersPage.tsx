'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { moneyText } from '@/core/money/currency';
import type { OwnersPhrase } from '@/knowledge/ownersPhrases';
import type { LinkView } from '@/shop/links/dto';
import { Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { fonts } from '../theme/palette';
import { longText } from '../parts/longText';

/** Titles of what was said and of the groups, in the owner’s language. */
const TITLES: Record<string, OwnersPhrase> = {
  'You told us': 'told',
  'We found': 'found',
  'Your own idea': 'idea',
  'Before you decide': 'before',
  'To say': 'say',
  'Not worth it': 'notWorth',
  'Must be done': 'must',
  'Worth it while it is open': 'now',
  'Can wait': 'wait',
};
const YES = { minimum: 'yesMinimum', recommended: 'yesRecommended', all: 'yesAll' } as const;
const HOW_FAR = { minimum: 'howMinimum', recommended: 'howRecommended', all: 'howAll' } as const;

/** What the owner of one machine sees and answers, on a phone, without an account. */
export function OwnersPage({ initial, token }: { initial: LinkView; token: string }) {
  const [view, setView] = useState(initial);
  const [who, setWho] = useState(initial.customer);
  const [words, setWords] = useState('');
  const [signed, setSigned] = useState('');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const [key] = useState(() => new Map<string, string>());
  const { estimate, shop, words: w } = view;
  const title = (text: string) => (TITLES[text] ? w[TITLES[text]] : text);
  const money = (minor: number) => moneyText(minor, view.currency, view.locale);
  const problem = (field: string) => refusal?.fields.find((f) => f.field === field)?.message;
  const answer = async (says: 'yes' | 'as-is', offer: string | null) => {
    if (busy || !estimate) return;
    setBusy(true);
    setRefusal(null);
    const body = { estimate: estimate.id, says, offer, who, words, ...(signed.trim() ? { signed } : {}) };
    // The same press is the same deed, however often it is sent.
    const content = JSON.stringify(body);
    if (!key.has(content)) key.set(content, crypto.randomUUID());
    const sent = await send<LinkView>('POST', `/api/o/${token}`, { ...body, key: key.get(content) });
    setBusy(false);
    if (sent.ok) setView(sent.value);
    else setRefusal(sent.refusal);
  };
  return (
    <Box
      component="main"
      id="work"
      lang={view.language}
      sx={{ maxWidth: 640, mx: 'auto', p: 2, display: 'grid', gap: 2 }}
    >
      <Box sx={{ borderBottom: '3px solid', borderColor: 'text.primary', pb: 1 }}>
        <Typography variant="body2" sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: '1.1rem' }}>
          {shop.name}
        </Typography>
        <Typography component="h1" variant="h1">
          {w.yourMachine} {view.machine}
        </Typography>
      </Box>
      {view.answered && (
        <Notice live title={`${view.answered.says === 'yes' ? w.thanks : w.noted} (${view.answered.who})`}>
          <Typography variant="body2">
            {w.change} {shop.phone}
          </Typography>
        </Notice>
      )}
      {view.said.map((s) => (
        <Box key={s.title} component="section">
          <Typography component="h2" variant="h3">
            {title(s.title)}
          </Typography>
          {s.texts.map((t) => (
            <Typography key={t}>{t}</Typography>
          ))}
        </Box>
      ))}
      {view.photographs.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, overflowX: 'auto' }}>
          {view.photographs.map((p) => (
            <Box component="figure" key={p.id} sx={{ m: 0, flexShrink: 0 }}>
              {/* eslint-disable-next-line @next/next/no-img-element -- a photograph of the shop's own, behind the same token */}
              <img
                src={`/api/o/${token}/photographs/${p.id}`}
                alt={p.found || p.caption || 'Photograph of the machine'}
                style={{ height: 150, borderRadius: 3, display: 'block' }}
              />
              {(p.found || p.caption) && (
                <Typography component="figcaption" variant="body2" sx={{ maxWidth: 220 }}>
                  {p.found || p.caption}
                </Typography>
              )}
            </Box>
          ))}
        </Box>
      )}
      {!estimate && <Typography>{w.nothing}</Typography>}
      {estimate?.groups.map((g) => (
        <Box key={g.title} component="section">
          <Typography component="h2" variant="h3">
            {title(g.title)}
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {g.rows.map((r, i) => (
              <li key={`${r.label} ${i}`}>
                {r.label} <span style={{ opacity: 0.75 }}>{r.detail}</span>
              </li>
            ))}
          </Box>
        </Box>
      ))}
      {estimate && (
        <Typography variant="body2" component="div">
          {estimate.terms.map((t) => (
            <div key={t}>{t}</div>
          ))}
        </Typography>
      )}
      {estimate && !view.answered && !view.isClosed && (
        <Box component="section" aria-label="Your answer" sx={{ display: 'grid', gap: 1.25 }}>
          <Typography component="h2" variant="h2">
            {w.question}
          </Typography>
          <TextField
            label={w.name}
            value={who}
            onChange={(e) => setWho(e.target.value)}
            error={Boolean(problem('who'))}
            helperText={problem('who')}
          />
          <TextField
            label={w.words}
            value={words}
            {...longText()}
            onChange={(e) => setWords(e.target.value)}
            error={Boolean(problem('words'))}
            helperText={problem('words')}
          />
          {estimate.columns.some((c) => c.unsafe.length > 0) && (
            <Box sx={{ border: '2px solid', borderColor: 'bench.hazard', p: 1.5, display: 'grid', gap: 1 }}>
              <Typography sx={{ fontWeight: 600 }}>
                {w.danger} {[...new Set(estimate.columns.flatMap((c) => c.unsafe))].join(', ')}.
              </Typography>
              <TextField
                label={w.signed}
                value={signed}
                onChange={(e) => setSigned(e.target.value)}
                error={Boolean(problem('signed'))}
                helperText={problem('signed')}
              />
            </Box>
          )}
          {refusal && refusal.fields.length === 0 && <Notice live title={refusal.title} />}
          {(problem('offer') ?? problem('says')) && <Notice live title={(problem('offer') ?? problem('says'))!} />}
          {estimate.columns.map((c) => (
            <Button
              key={c.id}
              variant="contained"
              disabled={busy}
              onClick={() => void answer('yes', c.id)}
              sx={{ minHeight: 56, justifyContent: 'space-between' }}
            >
              <span style={{ textAlign: 'left' }}>
                {w[YES[c.id]]}
                <span style={{ display: 'block', fontWeight: 400, fontSize: '0.85em' }}>{w[HOW_FAR[c.id]]}</span>
              </span>
              <span style={{ fontFamily: fonts.reading }}>{money(c.minor)}</span>
            </Button>
          ))}
          <Button disabled={busy} onClick={() => void answer('as-is', null)} sx={{ minHeight: 56 }}>
            {w.no}
          </Button>
        </Box>
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {[shop.name, shop.address, shop.phone].filter(Boolean).join(', ')}. {w.private}
      </Typography>
    </Box>
  );
}

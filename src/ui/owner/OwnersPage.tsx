'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { moneyText } from '@/core/money/currency';
import type { LinkView } from '@/shop/links/dto';
import { Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { fonts } from '../theme/palette';

const HOW_FAR = {
  minimum: 'what must be done',
  recommended: 'with what is worth it while it is open',
  all: 'with what can wait as well',
};

/** What the owner of one machine sees and answers, on a phone, without an account. */
export function OwnersPage({ initial, token }: { initial: LinkView; token: string }) {
  const [view, setView] = useState(initial);
  const [who, setWho] = useState(initial.customer);
  const [words, setWords] = useState('');
  const [signed, setSigned] = useState('');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const [key] = useState(() => new Map<string, string>());
  const { estimate, shop } = view;
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
    <Box component="main" id="work" sx={{ maxWidth: 640, mx: 'auto', p: 2, display: 'grid', gap: 2 }}>
      <Box sx={{ borderBottom: '3px solid', borderColor: 'text.primary', pb: 1 }}>
        <Typography variant="body2" sx={{ fontFamily: fonts.label, fontWeight: 700, fontSize: '1.1rem' }}>
          {shop.name}
        </Typography>
        <Typography component="h1" variant="h1">
          Your {view.machine}
        </Typography>
      </Box>
      {view.answered && (
        <Notice
          live
          title={
            view.answered.says === 'yes'
              ? `Thank you. We go ahead, as ${view.answered.who} said.`
              : `Noted, as ${view.answered.who} said: we leave it as it is.`
          }
        >
          <Typography variant="body2">To change it, call us{shop.phone && `: ${shop.phone}`}.</Typography>
        </Notice>
      )}
      {view.said.map((s) => (
        <Box key={s.title} component="section">
          <Typography component="h2" variant="h3">
            {s.title}
          </Typography>
          {s.texts.map((t) => (
            <Typography key={t}>{t}</Typography>
          ))}
        </Box>
      ))}
      {view.photographs.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, overflowX: 'auto' }}>
          {view.photographs.map((p) => (
            // eslint-disable-next-line @next/next/no-img-element -- a photograph of the shop's own, behind the same token
            <img
              key={p.id}
              src={`/api/o/${token}/photographs/${p.id}`}
              alt={p.caption || 'Photograph of the machine'}
              style={{ height: 150, borderRadius: 3 }}
            />
          ))}
        </Box>
      )}
      {!estimate && <Typography>There is nothing to answer yet.</Typography>}
      {estimate?.groups.map((g) => (
        <Box key={g.title} component="section">
          <Typography component="h2" variant="h3">
            {g.title}
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
            What shall we do?
          </Typography>
          <TextField
            label="Your name"
            value={who}
            onChange={(e) => setWho(e.target.value)}
            error={Boolean(problem('who'))}
            helperText={problem('who')}
          />
          <TextField
            label="Anything to say"
            value={words}
            multiline
            onChange={(e) => setWords(e.target.value)}
            error={Boolean(problem('words'))}
            helperText={problem('words')}
          />
          {estimate.columns.some((c) => c.unsafe.length > 0) && (
            <Box sx={{ border: '2px solid', borderColor: 'bench.hazard', p: 1.5, display: 'grid', gap: 1 }}>
              <Typography sx={{ fontWeight: 600 }}>
                Some offers leave something that can hurt somebody:{' '}
                {[...new Set(estimate.columns.flatMap((c) => c.unsafe))].join(', ').toLowerCase()}. To take one of them,
                write your name here: you were told, and leave it as it is.
              </Typography>
              <TextField
                label="Name under this warning"
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
                Yes: {c.title.charAt(0).toLowerCase() + c.title.slice(1)}
                <span style={{ display: 'block', fontWeight: 400, fontSize: '0.85em' }}>{HOW_FAR[c.id]}</span>
              </span>
              <span style={{ fontFamily: fonts.reading }}>{money(c.minor)}</span>
            </Button>
          ))}
          <Button disabled={busy} onClick={() => void answer('as-is', null)} sx={{ minHeight: 56 }}>
            No: give it back as it is
          </Button>
        </Box>
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {[shop.name, shop.address, shop.phone].filter(Boolean).join(', ')}. This page is only for you: whoever has its
        address can answer.
      </Typography>
    </Box>
  );
}

'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { moneyText } from '@/core/money/currency';
import type { PaperContent, PaperView } from '@/shop/papers/dto';
import { photographUrl } from '../parts/photographUrl';
import { fonts } from '../theme/palette';
import { Code, PrintFrame } from './PrintFrame';

/** A paper as it was given, on the shop’s size of paper. */
export function DocumentPaper({ view }: { view: PaperView }) {
  const { content: c, name } = view;
  const isLabel = c.kind === 'label';
  return (
    <PrintFrame
      size={isLabel ? '100mm 62mm' : view.paper}
      margin={isLabel ? '3mm' : '14mm'}
      back={{ href: `/jobs/${c.job}/agree`, label: 'Back to the job' }}
      choices={
        <>
          <Button href={`/api/v1/documents/${view.id}/paper.pdf`}>PDF</Button>
          {c.bill && (c.kind === 'invoice' || c.kind === 'credit') && (
            <Button href={`/api/v1/documents/${view.id}/invoice.xml`} download>
              UBL file
            </Button>
          )}
        </>
      }
    >
      <Box
        component="article"
        aria-label={`${c.title} ${name}`}
        sx={{
          width: isLabel ? '94mm' : view.paper === 'A4' ? '182mm' : '188mm',
          maxWidth: '100%',
          bgcolor: '#fff',
          color: '#000',
          p: isLabel ? '2mm' : '8mm',
          border: '1px solid #999',
          fontSize: '10.5pt',
          lineHeight: 1.35,
          '@media print': { border: 0, p: 0, width: 'auto' },
        }}
      >
        {isLabel ? <LabelBody c={c} /> : <Body view={view} />}
      </Box>
    </PrintFrame>
  );
}

function LabelBody({ c }: { c: PaperContent }) {
  return (
    <>
      <Framed box={c.box!} heading="h1" />
      <Box sx={{ fontSize: '8.5pt', mt: '1mm' }}>
        {c.shop.name} {c.shop.phone}
      </Box>
    </>
  );
}

function Framed({ box, heading }: { box: NonNullable<PaperContent['box']>; heading: 'h1' | 'h2' }) {
  return (
    <Box sx={{ border: '3px solid #000', p: '3mm', my: '3mm' }}>
      <Box component={heading} sx={{ m: 0, fontFamily: fonts.label, fontSize: '15pt', fontWeight: 600 }}>
        {box.title}
      </Box>
      {box.texts.map((t) => (
        <Box key={t}>{t}</Box>
      ))}
    </Box>
  );
}

function Body({ view: { content: c, name, corrects, correctedBy, qr, pictures } }: { view: PaperView }) {
  const money = (minor: number | null) => (minor === null ? '' : moneyText(minor, c.currency, c.locale));
  const several = c.columns.length > 1;
  return (
    <>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 3, borderBottom: '2px solid #000', pb: '3mm' }}>
        <Box sx={{ whiteSpace: 'pre-line' }}>
          <Box sx={{ fontFamily: fonts.label, fontSize: '15pt', fontWeight: 600 }}>{c.shop.name}</Box>
          {[c.shop.address, c.shop.phone].filter(Boolean).join('\n')}
        </Box>
        <Box sx={{ textAlign: 'right' }}>
          <Box component="h1" sx={{ m: 0, fontFamily: fonts.label, fontSize: '19pt', lineHeight: 1.1 }}>
            {c.title}
          </Box>
          <Box sx={{ fontFamily: fonts.reading }}>
            {name} {c.date}
          </Box>
        </Box>
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 3, my: '4mm', whiteSpace: 'pre-line' }}>
        <Box>{[c.customer.name, c.customer.address].filter(Boolean).join('\n')}</Box>
        <Box sx={{ textAlign: 'right' }}>
          <Box sx={{ fontFamily: fonts.reading }}>{c.machine.tag}</Box>
          {c.machine.maker} {c.machine.model}
          {c.machine.serial && `\nSerial ${c.machine.serial}`}
        </Box>
      </Box>
      {corrects && <strong>Takes back {corrects}.</strong>}
      {correctedBy && <strong>Taken back by {correctedBy}.</strong>}
      {c.said.map((s) => (
        <Box key={s.title} component="section" sx={{ mb: '2mm' }}>
          <Box component="h2" sx={{ m: 0, fontFamily: fonts.label, fontSize: '11.5pt' }}>
            {s.title}
          </Box>
          {s.texts.map((t) => (
            <Box key={t}>{t}</Box>
          ))}
        </Box>
      ))}
      {pictures.length > 0 && (
        <Box sx={{ display: 'flex', gap: '4mm', my: '2mm' }}>
          {pictures.map((p) => (
            <Box component="figure" key={p.id} sx={{ m: 0, breakInside: 'avoid' }}>
              {/* eslint-disable-next-line @next/next/no-img-element -- behind the sign-in */}
              <img src={photographUrl(p.id)} alt={p.caption} style={{ height: '36mm', display: 'block' }} />
              <Box component="figcaption" sx={{ fontSize: '8.5pt' }}>
                {p.caption}
              </Box>
            </Box>
          ))}
        </Box>
      )}
      {c.box && <Framed box={c.box} heading="h2" />}
      {c.columns.length > 0 && (
        <Box
          component="table"
          sx={{
            width: '100%',
            borderCollapse: 'collapse',
            my: '4mm',
            '& td, & th': { py: '0.8mm', verticalAlign: 'top', textAlign: 'left' },
            '& td.n, & th.n': { textAlign: 'right', whiteSpace: 'nowrap', pl: '4mm', fontFamily: fonts.reading },
            '& tbody tr': { borderBottom: '0.3px solid #999', breakInside: 'avoid' },
            '& tfoot tr:first-of-type': { borderTop: '1.5px solid #000' },
          }}
        >
          <thead>
            <tr>
              <td />
              {c.columns.map((t) => (
                <Box
                  key={t}
                  component="th"
                  className="n"
                  sx={{ whiteSpace: 'normal !important', fontFamily: `${fonts.label} !important`, width: '30mm' }}
                >
                  {several ? t : 'Amount'}
                </Box>
              ))}
            </tr>
          </thead>
          {c.groups.map((g) => (
            <tbody key={g.title}>
              <tr>
                <Box
                  component="th"
                  colSpan={c.columns.length + 1}
                  sx={{ fontFamily: fonts.label, pt: '2.5mm !important' }}
                >
                  {g.title}
                </Box>
              </tr>
              {g.rows.map((r, i) => (
                <tr key={`${r.label} ${i}`}>
                  <td>
                    {r.label}{' '}
                    <Box component="span" sx={{ color: '#444', fontSize: '0.88em' }}>
                      {r.detail}
                    </Box>
                  </td>
                  {r.minor.map((m, k) => (
                    <td key={c.columns[k]} className="n">
                      {money(m)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          ))}
          <tfoot>
            {c.totals.map((t) => (
              <Box component="tr" key={t.label} sx={t.strong ? { fontWeight: 700, fontSize: '1.12em' } : {}}>
                <td>{t.label}</td>
                {t.minor.map((m, k) => (
                  <td key={c.columns[k]} className="n">
                    {money(m)}
                  </td>
                ))}
              </Box>
            ))}
          </tfoot>
        </Box>
      )}
      {c.terms.map((t) => (
        <Box key={t}>{t}</Box>
      ))}
      {qr && (
        <Box sx={{ mt: '4mm' }}>
          <Code svg={qr} label="Code for a bank transfer" width="28mm" height="28mm" />
          <Box sx={{ fontSize: '8.5pt' }}>For your bank’s camera.</Box>
        </Box>
      )}
      {c.signs.map((s) => (
        <Box
          key={s.text}
          sx={{ mt: '6mm', breakInside: 'avoid', ...(s.danger ? { border: '2px solid #000', p: '3mm' } : {}) }}
        >
          <Box sx={{ fontWeight: s.danger ? 700 : 400 }}>{s.text}</Box>
          <Box
            sx={{
              display: 'flex',
              gap: '6mm',
              mt: '9mm',
              '& span': { borderTop: '1px solid #000', flex: 1, fontSize: '8.5pt' },
            }}
          >
            <span>Date</span>
            <span>Name</span>
            <span>Signed</span>
          </Box>
        </Box>
      ))}
      <Box sx={{ mt: '6mm', fontSize: '8.5pt', color: '#444' }}>
        {[c.shop.footer || c.shop.name, c.shop.taxNumber, c.shop.iban].filter(Boolean).join(' · ')}
      </Box>
    </>
  );
}

'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { OperatorPicture as Picture } from '@/knowledge/operatorCare';
import type { OperatorLine, OperatorSheetView } from '@/shop/operatorSheet/dto';
import { PrintFrame } from '../print/PrintFrame';
import { fonts } from '../theme/palette';
import { OperatorPicture } from './OperatorPicture';

const EVERY = { use: 'each time', day: 'each day', week: 'each week', month: 'each month' };
const DAYS = Array.from({ length: 31 }, (_, i) => i + 1);

/** What its people do on a machine: a sheet for the wall with a month to tick, or a card to be sealed and hung on the machine. */
export function OperatorSheet({ sheet }: { sheet: OperatorSheetView }) {
  const [form, setForm] = useState<'sheet' | 'card'>('sheet');
  const { machine } = sheet;
  return (
    <PrintFrame
      size={form === 'sheet' ? sheet.paper : 'A5 landscape'}
      margin={form === 'sheet' ? '12mm' : '7mm'}
      back={{ href: `/machines/${machine.tag}`, label: `Back to ${machine.tag}` }}
      choices={
        <ToggleButtonGroup
          exclusive
          size="small"
          value={form}
          aria-label="Form"
          onChange={(_, f: 'sheet' | 'card' | null) => f && setForm(f)}
        >
          <ToggleButton value="sheet">Sheet with a month</ToggleButton>
          <ToggleButton value="card">Card for the machine</ToggleButton>
        </ToggleButtonGroup>
      }
    >
      <Box
        component="article"
        aria-label="Operator’s sheet"
        sx={{
          width: form === 'sheet' ? '186mm' : '196mm',
          maxWidth: '100%',
          bgcolor: '#fff',
          color: '#000',
          p: '5mm',
          border: '1px solid #999',
          fontFamily: fonts.text,
          '@media print': { border: 0, p: 0, width: 'auto' },
        }}
      >
        <Box
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, borderBottom: '2.4pt solid #000', pb: '2mm' }}
        >
          <Box>
            <Box component="h1" sx={{ m: 0, fontFamily: fonts.label, fontSize: '17pt', lineHeight: 1.1 }}>
              {machine.maker} {machine.model}
            </Box>
            <Box sx={{ fontSize: '9pt' }}>{[machine.tag, machine.owner, machine.site].filter(Boolean).join(', ')}</Box>
          </Box>
          <Box sx={{ fontSize: '9pt', textAlign: 'right' }}>
            <strong>{sheet.shop}</strong>
            {sheet.phone && <Box>{sheet.phone}</Box>}
            {sheet.nextOn && <Box>{sheet.isDue ? 'service is due now' : `next service by ${sheet.nextOn}`}</Box>}
          </Box>
        </Box>
        {sheet.leftOpen.length > 0 && (
          <Box sx={{ border: '1.6pt solid #000', p: '2mm', mt: '3mm', fontSize: '10pt' }}>
            Still to be mended: {sheet.leftOpen.join(', ').toLowerCase()}. Stop, key or plug out, and call us when it
            gets worse.
          </Box>
        )}
        {form === 'sheet' ? <Sheet items={sheet.items} /> : <Card items={sheet.items} />}
        <Box sx={{ fontSize: '8.5pt', mt: '3mm', borderTop: '0.6pt solid #000', pt: '1.5mm' }}>
          Key out or plug out before a hand goes under it. House rules and the maker’s own book go before this sheet.
        </Box>
      </Box>
    </PrintFrame>
  );
}

function Sheet({ items }: { items: OperatorLine[] }) {
  const daily = items.filter((i) => i.every === 'day');
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: '6mm', rowGap: '2.5mm', mt: '4mm' }}>
        {items.map((i) => (
          <Box key={i.id} sx={{ display: 'flex', gap: '3mm', breakInside: 'avoid', alignItems: 'flex-start' }}>
            <OperatorPicture name={i.picture as Picture} size="17mm" />
            <Box>
              <Box sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: '11pt', lineHeight: 1.15 }}>{i.label}</Box>
              <Box sx={{ fontSize: '8.8pt', lineHeight: 1.25 }}>
                <em>{EVERY[i.every]}.</em> {i.how}
                {i.because && (
                  <Box component="strong" sx={{ display: 'block' }}>
                    Found at the last visit: {i.because.toLowerCase()}.
                  </Box>
                )}
                {i.kept && i.kept.doneDays < i.kept.ofDays && (
                  <Box sx={{ display: 'block' }}>
                    Last time: {i.kept.doneDays} of {i.kept.ofDays} days.
                  </Box>
                )}
              </Box>
            </Box>
          </Box>
        ))}
      </Box>
      {daily.length > 0 && (
        <Box
          component="table"
          sx={{
            mt: '5mm',
            width: '100%',
            borderCollapse: 'collapse',
            tableLayout: 'fixed',
            fontSize: '6.6pt',
            '& td, & th': { border: '0.5pt solid #000', height: '5.4mm', p: 0, textAlign: 'center' },
            '& th:first-of-type': { width: '43mm', textAlign: 'left', pl: '1mm', fontSize: '7.6pt', fontWeight: 600 },
          }}
        >
          <thead>
            <tr>
              <th>Tick what was done on the day</th>
              {DAYS.map((d) => (
                <th key={d}>{d}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {daily.map((i) => (
              <tr key={i.id}>
                <th scope="row">{i.label}</th>
                {DAYS.map((d) => (
                  <td key={d} />
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      )}
    </>
  );
}

/** Pictures with as few words as can be: it hangs on the machine. */
function Card({ items }: { items: OperatorLine[] }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: '3mm', mt: '4mm' }}>
      {items.slice(0, 10).map((i) => (
        <Box
          key={i.id}
          sx={{
            textAlign: 'center',
            breakInside: 'avoid',
            border: i.because ? '1.6pt solid #000' : '0.5pt solid #999',
            p: '1.5mm',
          }}
        >
          <OperatorPicture name={i.picture as Picture} size="22mm" />
          <Box sx={{ fontFamily: fonts.label, fontWeight: 600, fontSize: '9.5pt', lineHeight: 1.1 }}>{i.label}</Box>
          <Box sx={{ fontSize: '8pt' }}>{EVERY[i.every]}</Box>
        </Box>
      ))}
    </Box>
  );
}

'use client';

import Box from '@mui/material/Box';
import { fastenerWords, trayOf } from '@/core/strip/tray';
import type { JobSheetView } from '@/shop/jobSheet/dto';
import { fonts } from '../theme/palette';
import { Code, PrintFrame } from './PrintFrame';

/** A card for the bench with a ring for every step, to lay the real screws on: what is out, and what is going to be. */
export function TrayCard({ sheet }: { sheet: JobSheetView }) {
  const { job } = sheet;
  const { cups } = trayOf([...job.strip.done, ...job.strip.ahead], new Set(), []);
  return (
    <PrintFrame size="A5 landscape" margin="7mm" back={{ href: `/jobs/${job.id}/strip`, label: 'Back to Strip' }}>
      <Box
        component="article"
        aria-label="Tray card"
        sx={{
          width: '196mm',
          maxWidth: '100%',
          bgcolor: '#fff',
          color: '#000',
          p: '3mm',
          border: '1px solid #999',
          fontFamily: fonts.label,
          '@media print': { border: 0, p: 0, width: 'auto' },
        }}
      >
        <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 2, mb: '2mm' }}>
          <Box>
            <Box component="h1" sx={{ m: 0, fontFamily: fonts.reading, fontSize: '15pt', lineHeight: 1.1 }}>
              {job.machine.tag}
            </Box>
            <Box sx={{ fontSize: '9pt' }}>
              {job.machine.maker} {job.machine.model}, job {job.id}
            </Box>
          </Box>
          <Code svg={sheet.bar} label={`Bar code of ${job.machine.tag}`} width="48mm" height="9mm" />
        </Box>
        {cups.length === 0 && <Box sx={{ py: '4mm' }}>Nothing loose comes out for what is proved.</Box>}
        <Box
          component="ol"
          sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: '2mm', gridTemplateColumns: 'repeat(5, 1fr)' }}
        >
          {cups.map((cup) => (
            <Box component="li" key={cup.number} sx={{ breakInside: 'avoid', minWidth: 0 }}>
              <Box
                sx={{
                  position: 'relative',
                  width: '31mm',
                  height: '31mm',
                  border: cup.mixedUpWith.length > 0 ? '2.4pt double #000' : '1pt solid #000',
                  borderRadius: '50%',
                }}
              >
                <Box
                  component="span"
                  sx={{ position: 'absolute', left: 0, top: '-1mm', fontSize: '15pt', fontWeight: 700 }}
                >
                  {cup.number}
                </Box>
                {cup.mixedUpWith.length > 0 && (
                  <Box component="span" sx={{ position: 'absolute', right: '-2mm', bottom: 0, fontSize: '9pt' }}>
                    ≠ {cup.mixedUpWith.slice(0, 4).join(' ')}
                  </Box>
                )}
              </Box>
              <Box sx={{ fontSize: '7.6pt', lineHeight: 1.15, fontWeight: 600 }}>{cup.label}</Box>
              <Box sx={{ fontSize: '7.2pt', lineHeight: 1.15 }}>{cup.fasteners.map(fastenerWords).join('; ')}</Box>
            </Box>
          ))}
        </Box>
      </Box>
    </PrintFrame>
  );
}

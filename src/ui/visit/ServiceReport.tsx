'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ServiceReportView } from '@/shop/papers/dto';
import { photographUrl } from '../parts/photographUrl';
import { PrintFrame } from '../print/PrintFrame';
import { fonts } from '../theme/palette';

/** What was done at a visit, on paper: line by line with what was read, what was found, what is left and why, what comes next. */
export function ServiceReport({ report }: { report: ServiceReportView }) {
  return (
    <PrintFrame
      size={report.paper}
      margin="13mm"
      back={{ href: `/jobs/${report.job}`, label: 'Back to the job' }}
      choices={
        <Button component="a" href={`/api/v1/jobs/${report.job}/service-report.pdf`}>
          As PDF
        </Button>
      }
    >
      <Box
        component="article"
        aria-label="Service report"
        sx={{
          width: '184mm',
          maxWidth: '100%',
          bgcolor: '#fff',
          color: '#000',
          p: '6mm',
          border: '1px solid #999',
          fontFamily: fonts.text,
          fontSize: '9.5pt',
          lineHeight: 1.3,
          '@media print': { border: 0, p: 0, width: 'auto' },
          '& h2': { fontFamily: fonts.label, fontSize: '11.5pt', m: 0, mt: '4mm', mb: '1mm' },
          '& table': { width: '100%', borderCollapse: 'collapse' },
          '& td': { verticalAlign: 'top', py: '0.7mm', pr: '3mm', borderBottom: '0.4pt solid #777' },
          '& td:nth-of-type(1):not(:last-of-type)': { width: '34%' },
        }}
      >
        <Box
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, borderBottom: '2pt solid #000', pb: '2mm' }}
        >
          <Box>
            <Box component="h1" sx={{ m: 0, fontFamily: fonts.label, fontSize: '17pt', lineHeight: 1.1 }}>
              Service report
            </Box>
            {report.of.map((t) => (
              <Box key={t}>{t}</Box>
            ))}
          </Box>
          <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
            <strong>{report.shop}</strong>
            {report.facts.map((t) => (
              <Box key={t}>{t}</Box>
            ))}
          </Box>
        </Box>
        {report.warning && (
          <Box sx={{ border: '2pt solid #000', p: '2mm', mt: '3mm', fontWeight: 700 }}>{report.warning}</Box>
        )}
        {report.sections.map((s) => (
          <section key={s.title}>
            <h2>{s.title}</h2>
            <table>
              <tbody>
                {s.rows.map((row) => (
                  <tr key={row.join()}>
                    {row.map((cell, i) => (
                      <td key={i} colSpan={row.length === 1 ? 3 : 1}>
                        {cell}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
        {report.photographs.length > 0 && (
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '3mm', mt: '4mm' }}>
            {report.photographs.map((p) => (
              <Box component="figure" key={p.id} sx={{ m: 0, breakInside: 'avoid' }}>
                {/* eslint-disable-next-line @next/next/no-img-element -- behind the sign-in */}
                <img src={photographUrl(p.id)} alt={p.caption} style={{ height: '38mm' }} />
                <figcaption style={{ fontSize: '8pt' }}>{p.caption}</figcaption>
              </Box>
            ))}
          </Box>
        )}
      </Box>
    </PrintFrame>
  );
}

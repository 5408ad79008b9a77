import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { moneyText } from '@/core/money/currency';
import type { MachineCardView } from '@/shop/machines/dto';
import type { PlanView } from '@/shop/plans/dto';
import { byWords, habitWords, spanWords } from '@/core/service/dueWords';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';

/** What falls due on a machine: within which days, by what, what its plate and the bench say, and what it costs to wait. */
export function Due({ card }: { card: MachineCardView }) {
  return (
    <Box component="section" aria-label="Plans" sx={{ minWidth: 0, overflowX: 'auto' }}>
      <Typography component="h2" variant="h2">
        Due
      </Typography>
      {card.plans.length === 0 ? (
        <Empty>Nothing of this kind is planned.</Empty>
      ) : (
        <Table size="small" sx={{ '& td, & th': { verticalAlign: 'top' } }}>
          <TableHead>
            <TableRow>
              <TableCell sx={{ width: '44%' }}>What</TableCell>
              <TableCell>Done last</TableCell>
              <TableCell>Due</TableCell>
              <TableCell align="right">+ 1 week</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {card.plans.map((p) => (
              <TableRow key={p.item}>
                <TableCell>
                  {p.label}
                  <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.86em' }}>
                    {habits(p)}
                  </Box>
                </TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>
                  {p.lastDoneOn ? <Reading>{p.lastDoneOn}</Reading> : 'not known'}
                </TableCell>
                <TableCell sx={{ color: p.overdue && !p.byItsPeople ? 'bench.brass' : undefined }}>
                  {p.dueOn ? (
                    <Reading strong={p.overdue}>{p.overdue ? p.dueOn : spanWords({ ...p, on: p.dueOn })}</Reading>
                  ) : (
                    'look at it next time'
                  )}
                  {p.overdue && !p.byItsPeople && ' past'}
                  {p.by && byWords(p.by) && (
                    <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.86em' }}>
                      {byWords(p.by)}
                    </Box>
                  )}
                </TableCell>
                <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                  {p.weekMinor !== null && p.weekMinor > 0 && moneyText(p.weekMinor, card.currency, card.locale)}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Box>
  );
}

/** The plate beside the bench: the plate’s limit holds, use shortens the rest. */
function habits({ maker, bench, own, byItsPeople }: PlanView): string {
  const plate = habitWords(maker);
  const ours = habitWords(bench);
  return [
    ours && `${own ? 'this shop' : 'the bench'}: ${ours}`,
    plate && plate !== ours && `the plate: ${plate}`,
    byItsPeople && 'by its people, between visits',
  ]
    .filter(Boolean)
    .join('; ');
}

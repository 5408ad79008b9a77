'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { DoorLine } from '@/shop/doorBook/dto';
import { instantAt } from '../parts/instants';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { ShopHead } from './ShopHead';

/** Who came in, who was refused, what was taken out: the book of the door. Nothing here can be changed. */
export function DoorBookScreen({ rows, more, zone }: { rows: DoorLine[]; more: boolean; zone: string }) {
  const last = rows.at(-1);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <ShopHead title="Door" about="who came in, who was refused, what was taken out; newest first" />
      {rows.length === 0 && <Empty>Nobody was at the door yet.</Empty>}
      {rows.length > 0 && (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="At the door">
          <Table size="small">
            <TableHead>
              <TableRow>
                {['When', 'Who', 'What', 'From', 'More'].map((h) => (
                  <TableCell key={h}>{h}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {rows.map((r) => (
                <TableRow key={r.id}>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>
                    <Reading>{instantAt(r.at, zone)}</Reading>
                  </TableCell>
                  <TableCell>{r.isKnown ? r.who : r.who ? `nobody known as “${r.who}”` : 'nobody known'}</TableCell>
                  <TableCell>{r.what}</TableCell>
                  <TableCell>
                    <Reading>{r.address}</Reading>
                  </TableCell>
                  <TableCell>{r.detail}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      {more && last && (
        <Link component={NextLink} href={`/shop/doors?before=${last.id}`}>
          Older
        </Link>
      )}
    </Box>
  );
}

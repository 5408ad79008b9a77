'use client';

import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PartsWanted } from '@/shop/rounds/dto';
import { ask } from '../asking/ask';
import { Empty, Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';

/** Parts that what falls due will take, with odds; read only when somebody looks. */
export function PartsToHave({ ahead }: { ahead: number }) {
  const [open, setOpen] = useState(false);
  const { data: wanted, isError } = useQuery({
    queryKey: ['parts-to-have', ahead],
    queryFn: ({ signal }) => ask<PartsWanted>(`/api/v1/rounds/parts?ahead=${ahead}`, signal),
    enabled: open,
  });
  return (
    <Box
      component="details"
      onToggle={(e) => setOpen((e.target as HTMLDetailsElement).open)}
      sx={{ '& summary': { cursor: 'pointer', minHeight: 32, py: 0.5 } }}
    >
      <Typography component="summary" sx={{ fontWeight: 600 }}>
        Parts to have ready
      </Typography>
      {isError ? (
        <Notice live title="The parts could not be reckoned." />
      ) : wanted ? (
        <Wanted wanted={wanted} />
      ) : (
        <Empty>Reckoning …</Empty>
      )}
    </Box>
  );
}

function Wanted({ wanted: { parts, doneShare, until } }: { wanted: PartsWanted }) {
  if (parts.length === 0) return <Empty>Nothing that falls due by {until} takes a part as a rule.</Empty>;
  return (
    <>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        By {until}, if as many come as came lately: of what fell due {Math.round(100 * doneShare)} % was done.
      </Typography>
      <Table size="small" sx={{ maxWidth: 760 }}>
        <TableHead>
          <TableRow>
            <TableCell>Part</TableCell>
            <TableCell align="right">For services</TableCell>
            <TableCell align="right">About</TableCell>
            <TableCell align="right">Likely</TableCell>
            <TableCell align="right">In stock</TableCell>
            <TableCell>To order</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {parts.map((p) => (
            <TableRow key={p.code}>
              <TableCell>{p.label}</TableCell>
              <TableCell align="right">
                <Reading>{p.services}</Reading>
              </TableCell>
              <TableCell align="right">
                <Reading>{p.expected.toFixed(1)}</Reading>
              </TableCell>
              <TableCell align="right">
                <Reading>
                  {p.low} to {p.high}
                </Reading>
              </TableCell>
              <TableCell align="right">
                <Reading>{p.stock}</Reading>
              </TableCell>
              <TableCell>{p.high > p.stock ? <Reading strong>{p.high - p.stock}</Reading> : 'enough'}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </>
  );
}

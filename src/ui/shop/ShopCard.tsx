'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { MAINS_VOLTS } from '@/core/units/supplyVolts';
import type { ShopView } from '@/shop/shopBook/dto';
import { EditSheet } from '../sheet/EditSheet';
import { TermList } from '../parts/TermList';
import { MeterSwitch } from './MeterSwitch';

const values = (s: ShopView) => ({
  name: s.name,
  zone: s.zone,
  mainsV: String(s.mainsV),
  paper: s.paper,
  benches: String(s.benches),
  units: s.units,
  comebackMinutes: String(s.comebackMinutes),
  lockMinutes: s.lockMinutes === null ? '' : String(s.lockMinutes),
  frostMonth: s.frostMonth === null ? '' : String(s.frostMonth),
});

const monthName = (month: number) =>
  new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }).format(Date.UTC(2001, month - 1, 1));

/** What holds for the whole shop, and for this browser. */
export function ShopCard({ shop, mayAmend }: { shop: ShopView; mayAmend: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const rows: [string, string][] = [
    ['Name', shop.name],
    ['Time zone', shop.zone],
    ['Mains', `${shop.mainsV} V`],
    ['Paper', shop.paper],
    ['Benches', String(shop.benches)],
    ['Units', shop.units === 'inch' ? 'Inch' : 'Metric'],
    ['A comeback costs', `${shop.comebackMinutes} minutes`],
    ['First frost', shop.frostMonth === null ? 'none here' : monthName(shop.frostMonth)],
    ['A screen locks itself', shop.lockMinutes === null ? 'never' : `after ${shop.lockMinutes} quiet minutes`],
  ];
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }}>
      <Typography component="h1" variant="h2">
        Settings
      </Typography>
      <TermList rows={rows} />
      {mayAmend ? (
        <Box>
          <Button size="small" onClick={() => setOpen(true)}>
            Change
          </Button>
        </Box>
      ) : (
        <Typography variant="body2">The owner changes this.</Typography>
      )}
      <MeterSwitch />
      {open && (
        <EditSheet<ShopView>
          title="The shop"
          fields={[
            { name: 'name', label: 'Name' },
            { name: 'zone', label: 'Time zone', help: 'such as Europe/Oslo', span: 4 },
            { name: 'benches', label: 'Benches', sort: 'number', help: '1 to 9', span: 2 },
            {
              name: 'mainsV',
              label: 'Mains',
              sort: 'choice',
              choices: MAINS_VOLTS.map((v) => ({ value: String(v), label: `${v} V` })),
              span: 3,
            },
            {
              name: 'paper',
              label: 'Paper',
              sort: 'choice',
              choices: ['A4', 'Letter'].map((p) => ({ value: p, label: p })),
              span: 3,
            },
            {
              name: 'units',
              label: 'Units',
              sort: 'choice',
              choices: [
                { value: 'metric', label: 'Metric' },
                { value: 'inch', label: 'Inch' },
              ],
              help: 'what a number without a unit is taken for',
              span: 3,
            },
            {
              name: 'comebackMinutes',
              label: 'A comeback costs, minutes',
              sort: 'number',
              help: 'weighed against another look; 90 is usual',
              span: 3,
            },
            {
              name: 'lockMinutes',
              label: 'A screen locks itself after, minutes',
              sort: 'number',
              help: 'of quiet; empty for never. What is typed stays.',
              span: 3,
            },
            {
              name: 'frostMonth',
              label: 'First frost',
              sort: 'choice',
              choices: [
                { value: '', label: 'none here' },
                ...Array.from({ length: 12 }, (_, i) => ({ value: String(i + 1), label: monthName(i + 1) })),
              ],
              help: 'tanks and hoses are drained before it',
              span: 3,
            },
          ]}
          values={values(shop)}
          version={shop.version}
          dto={async () => (await import('@/shop/shopBook/dto')).AmendShopDto}
          url="/api/v1/shop"
          draft="shop"
          body={({ lockMinutes, frostMonth, ...v }) => ({
            ...v,
            mainsV: Number(v.mainsV),
            benches: Number(v.benches),
            comebackMinutes: Number(v.comebackMinutes),
            frostMonth: frostMonth === '' || frostMonth === null ? null : Number(frostMonth),
            lockMinutes: lockMinutes === '' || lockMinutes === null ? null : Number(lockMinutes),
          })}
          current={(s) => ({ values: values(s as ShopView), version: (s as ShopView).version })}
          onDone={() => {
            setOpen(false);
            router.refresh();
          }}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}

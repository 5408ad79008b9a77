'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { AnyGauge } from '@/core/gauges/reckon';
import type { Field, RawValues } from '@/core/gauges/fields';
import { readField } from '@/core/gauges/readFields';
import { withUnit, type UnitSystem } from '@/core/units/unitSystem';
import { GaugeForm } from '../gauges/GaugeForm';
import { Notice } from '../parts/Notice';
import { sendOnce } from '../parts/sendOnce';
import NextLink from '../theme/NextLink';

/** What the shop usually types into one gauge, and its table of limits where it has one; kept for everybody. */
export function UsualOf({
  gauge,
  kept,
  units,
  mayKeep,
  instruments,
}: {
  gauge: AnyGauge;
  kept: RawValues;
  units: UnitSystem;
  mayKeep: boolean;
  instruments: readonly string[];
}) {
  const shipped = Object.fromEntries(gauge.usual.map((name) => [name, gauge.example[name]]));
  const [saved, setSaved] = useState<RawValues>({ ...shipped, ...kept });
  const [typed, setTyped] = useState(saved);
  const [trouble, setTrouble] = useState('');
  const fields = Object.fromEntries(gauge.usual.map((name) => [name, openly(gauge.fields[name]!)]));
  const problems = new Map(
    Object.entries(fields).flatMap(([name, field]) => {
      const problem = problemOf(field, typed[name], units);
      return problem === null ? [] : [[name, problem] as const];
    }),
  );
  const isChanged = gauge.usual.some((name) => typed[name] !== saved[name]);
  const keep = async (inputs: RawValues) => {
    const sent = await sendOnce('/api/v1/gauges/usual', { key: crypto.randomUUID(), gauge: gauge.id, inputs });
    setTrouble(sent.ok ? '' : (sent.refusal.fields[0]?.message ?? sent.refusal.title));
    if (!sent.ok) return;
    setSaved(inputs);
    setTyped(inputs);
  };
  const isShipped = gauge.usual.every((name) => typed[name] === shipped[name]);
  return (
    <Box
      component="section"
      aria-label={gauge.label}
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '150px minmax(0, 1fr)' },
        borderTop: '1px solid',
        borderColor: 'divider',
        pt: 1.25,
      }}
    >
      <Typography component="h3" variant="h3">
        <Link component={NextLink} href={`/gauges/${gauge.id}`}>
          {gauge.label}
        </Link>
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, minWidth: 0 }}>
        <GaugeForm
          fields={fields}
          typed={typed}
          units={units}
          problems={problems}
          offers={{ instrument: instruments }}
          onType={(name, value) => setTyped({ ...typed, [name]: value })}
        />
        {trouble && <Notice live title={trouble} />}
        {mayKeep && (
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              size="small"
              variant={isChanged ? 'contained' : 'outlined'}
              disabled={!isChanged || problems.size > 0}
              onClick={() => void keep(typed)}
            >
              Keep for everybody
            </Button>
            {!isShipped && (
              <Button size="small" variant="text" color="inherit" onClick={() => setTyped(shipped)}>
                As shipped
              </Button>
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** Here nothing is folded away, and nothing need be said; which other field asks for it is no matter. */
function openly(field: Field): Field {
  const { when: _, ...rest } = field;
  return { ...rest, ...('rare' in rest ? { rare: false } : {}), optional: true } as Field;
}

/** As the gauge itself will read it: bare numbers in the shop’s unit. */
function problemOf(field: Field, value: unknown, units: UnitSystem): string | null {
  if (String(value ?? '').trim() === '') return null;
  const raw =
    field.sort === 'quantity' && !field.unit && typeof value === 'string'
      ? withUnit(field.quantity, value, units)
      : value;
  const read = readField(field, raw);
  return read && 'problem' in read ? read.problem : null;
}

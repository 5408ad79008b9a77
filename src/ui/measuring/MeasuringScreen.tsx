'use client';

import Box from '@mui/material/Box';
import { gauges } from '@/core/gauges/catalogue';
import type { RawValues } from '@/core/gauges/fields';
import type { UnitSystem } from '@/core/units/unitSystem';
import type { InstrumentView } from '@/shop/instruments/dto';
import { Instruments } from './Instruments';
import { UsualOf } from './UsualOf';
import Typography from '@mui/material/Typography';

/** All that the shop measures with and by: its instruments, its limits, and what it usually types into a gauge. */
export function MeasuringScreen({
  instruments,
  units,
  usual,
  mayInstruments,
  mayUsual,
}: {
  instruments: readonly InstrumentView[];
  units: UnitSystem;
  usual: Record<string, RawValues>;
  mayInstruments: boolean;
  mayUsual: boolean;
}) {
  const withUsual = gauges.filter((g) => g.usual.length > 0);
  // The limits are the one table that somebody must answer for: they stand first.
  const inOrder = [...withUsual].sort((a, b) => Number(b.id === 'safety-test') - Number(a.id === 'safety-test'));
  return (
    <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Instruments instruments={instruments} mayPut={mayInstruments} />
      <Box component="section" aria-label="Limits and usual values" sx={{ display: 'grid', gap: 2 }}>
        <Typography component="h2" variant="h2">
          Limits and usual values
        </Typography>
        {inOrder.map((g) => (
          <UsualOf
            key={g.id}
            gauge={g}
            kept={usual[g.id] ?? {}}
            units={units}
            mayKeep={mayUsual}
            instruments={instruments.map((i) => i.name)}
          />
        ))}
      </Box>
    </Box>
  );
}

'use client';

import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { canReadMeters, switchMeter, useMeterSwitch } from '../find/meterPort';

const never = () => () => {};

/** For this browser only: readings in Find from a meter on a serial line. */
export function MeterSwitch() {
  const able = useSyncExternalStore(never, canReadMeters, () => false);
  const on = useMeterSwitch();
  if (!able)
    return (
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        This browser cannot read a meter on a serial line; readings are typed.
      </Typography>
    );
  return (
    <FormControlLabel
      control={<Switch checked={on} onChange={(e) => switchMeter(e.target.checked)} />}
      label="At this bench: take readings from a meter on a serial line"
    />
  );
}

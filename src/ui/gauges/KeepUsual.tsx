'use client';

import { useState } from 'react';
import type { AnyGauge } from '@/core/gauges/reckon';
import type { RawValues } from '@/core/gauges/fields';
import { Press } from '../parts/Press';
import { sendOnce } from '../parts/sendOnce';

/** The owner keeps what stands in the usual fields, such as the shop's own table of limits, for everybody. */
export function KeepUsual({ gauge, typed }: { gauge: AnyGauge; typed: RawValues }) {
  const [said, setSaid] = useState('');
  if (gauge.usual.length === 0) return null;
  const keep = async () => {
    const inputs = Object.fromEntries(gauge.usual.flatMap((f) => (typed[f] === undefined ? [] : [[f, typed[f]]])));
    const sent = await sendOnce('/api/v1/gauges/usual', { key: crypto.randomUUID(), gauge: gauge.id, inputs });
    setSaid(sent.ok ? 'Kept for the shop' : sent.refusal.title);
  };
  const names = gauge.usual.map((f) => gauge.fields[f]!.label.toLowerCase().split(':')[0]).join(', ');
  return (
    <Press small tone="plain" title={`For everybody: ${names}`} onClick={() => void keep()}>
      {said || 'Keep as the shop’s usual'}
    </Press>
  );
}

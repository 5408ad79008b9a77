'use client';

import { useEffect, useRef, useState } from 'react';
import type { Aspect } from '@/core/diagnosis/knowledge';
import { parseMeterLine, type MeterReading } from '@/core/instruments/lineProtocol';
import { nextReading } from '@/core/instruments/readMeter';
import { formatQuantity } from '@/core/units/units';
import type { JobFacts } from '@/shop/jobView/dto';
import type { MeasuredView } from '@/shop/practice/dto';
import { send } from '../parts/post';
import { Press } from '../parts/Press';
import { Reading } from '../parts/Reading';
import { Words } from '../parts/Words';
import { openMeterPort, useMeterSwitch } from './meterPort';
import styles from './find.module.css';

interface Props {
  job: JobFacts;
  check: string;
  aspect: Aspect;
  disabled: boolean;
  onBegin: () => void;
  /** What the instrument shows, as it would be typed. */
  onReading: (typed: string) => void;
}

/** Takes the reading from an instrument: a simulated one on a practice job, a real one on a serial line where that is switched on. */
export function FromInstrument({ job, check, aspect, disabled, onBegin, onReading }: Props) {
  const [shown, setShown] = useState<{ instrument: string; value: string } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const serial = useMeterSwitch();
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const show = (instrument: string, reading: MeterReading) => {
    const value = formatQuantity(reading.quantity, reading.value);
    setShown({ instrument, value });
    onReading(value);
  };
  const simulated = async () => {
    onBegin();
    setBusy(true);
    const sent = await send<MeasuredView>('POST', `/api/v1/jobs/${job.id}/measure`, {
      check,
      ...(aspect.condition ? { condition: aspect.condition } : {}),
    });
    setBusy(false);
    setTrouble(sent.ok ? null : (sent.refusal.fields[0]?.message ?? sent.refusal.title));
    if (sent.ok) show(sent.value.instrument, parseMeterLine(sent.value.line.trimEnd()));
  };
  const real = async () => {
    onBegin();
    setBusy(true);
    setTrouble(null);
    stop.current = new AbortController();
    try {
      const port = await openMeterPort();
      try {
        show('meter', await nextReading(port, aspect.reading!.quantity, stop.current.signal));
      } finally {
        await port.close();
      }
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The instrument cannot be read.');
    }
    setBusy(false);
  };
  if (!job.practice && !serial) return null;
  return (
    <div className={styles.instrument}>
      {job.practice && (
        <Press small disabled={disabled || busy} onClick={() => void simulated()}>
          Measure
        </Press>
      )}
      {serial && !job.practice && (
        <Press small disabled={disabled || busy} onClick={() => void real()}>
          From the meter
        </Press>
      )}
      {busy && serial && !job.practice && (
        <Press small tone="plain" onClick={() => stop.current?.abort()}>
          Stop
        </Press>
      )}
      {shown && (
        <Words role="status" as="span" size="body">
          {shown.instrument}:{' '}
          <span className={styles.shown}>
            <Reading strong>{shown.value}</Reading>
          </span>
        </Words>
      )}
      {trouble && (
        <Words role="alert" className={styles.wrong}>
          {trouble}
        </Words>
      )}
    </div>
  );
}

'use client';

import dynamic from 'next/dynamic';
import type { RawValues } from '@/core/gauges/fields';
import type { GaugeAnswer } from '@/core/gauges/gauge';
import type { AnyGauge } from '@/core/gauges/reckon';
import type { UnitSystem } from '@/core/units/unitSystem';
import type { JobFacts } from '@/shop/jobView/dto';
import { GaugeResult } from './GaugeResult';
import { Onward } from './Onward';

// What a result does in a job needs all that is known of machines: fetched where there is a job.
const JobUses = dynamic(async () => (await import('./JobUses')).JobUses);

/** The answer of a gauge, and what it is good for. */
export function Answered({
  gauge,
  answer,
  raw,
  units,
  names,
  job,
}: {
  gauge: AnyGauge;
  answer: GaugeAnswer;
  raw: RawValues;
  units: UnitSystem;
  names: Readonly<Record<string, string>>;
  job: JobFacts | undefined;
}) {
  return (
    <>
      <GaugeResult answer={answer} units={units} />
      {job ? (
        <JobUses gauge={gauge} answer={answer} raw={raw} names={names} initial={job} />
      ) : (
        <Onward answer={answer} names={names} desk={null} />
      )}
    </>
  );
}

import { keepUsual } from '@/shop/gauges/gauges';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { jobQuery } from '@/app/jobQuery';
import { currentPerson } from '@/app/person';
import { gaugeById } from '@/core/gauges/catalogue';
import { may } from '@/shop/access/roles';
import { gaugeDesk, keptInputs } from '@/shop/gauges/gauges';
import { OneGauge } from '@/ui/gauges/OneGauge';

type Params = {
  params: Promise<{ name: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: gaugeById((await params).name)?.label ?? 'Gauges' };
}

export default async function GaugePage({ params, searchParams }: Params) {
  const gauge = gaugeById((await params).name);
  if (!gauge) notFound();
  const { job: number, kept, ...query } = await searchParams;
  const job = await jobQuery(number);
  // A kept result is opened again with what was typed; a link from another gauge fills some of the fields.
  const filled =
    (job && /^[1-9]\d{0,8}$/.test(String(kept)) ? await keptInputs(job.id, Number(kept), gauge.id) : undefined) ??
    Object.fromEntries(
      Object.entries(query).filter(([f, v]) => Object.hasOwn(gauge.fields, f) && typeof v === 'string'),
    );
  const person = await currentPerson();
  return (
    <OneGauge
      key={`${gauge.id} ${String(kept)} ${job?.id}`}
      name={gauge.id}
      desk={await gaugeDesk()}
      {...(job ? { job } : {})}
      filled={filled}
      mayKeepUsual={may(person.role, keepUsual.spec)}
    />
  );
}

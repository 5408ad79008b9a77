import type { GaugeAnswer } from '@/core/gauges/gauge';
import type { JobDesk } from '../job/useJob';
import { TextLink } from '../parts/TextLink';
import { PartMatches } from './PartMatches';

/** Where a result leads: another gauge, a part of the list. */
export function Onward({
  answer,
  names,
  desk,
}: {
  answer: GaugeAnswer;
  /** Of all gauges, by their ids. */
  names: Readonly<Record<string, string>>;
  desk: JobDesk | null;
}) {
  const job = desk ? `&job=${desk.job.id}` : '';
  return (
    <>
      {answer.links?.map((l) => (
        <TextLink
          key={l.gauge}
          className="no-print"
          href={`/gauges/${l.gauge}?${new URLSearchParams(l.fill as Record<string, string>)}${job}`}
        >
          {l.label} → {names[l.gauge]}
        </TextLink>
      ))}
      {answer.feeds?.part && <PartMatches part={answer.feeds.part} desk={desk} />}
    </>
  );
}

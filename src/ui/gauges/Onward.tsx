import Link from '@mui/material/Link';
import { gaugeById } from '@/core/gauges/catalogue';
import type { GaugeAnswer } from '@/core/gauges/gauge';
import type { JobDesk } from '../job/useJob';
import NextLink from '../theme/NextLink';
import { PartMatches } from './PartMatches';

/** Where a result leads: another gauge, a part of the list. */
export function Onward({ answer, desk }: { answer: GaugeAnswer; desk: JobDesk | null }) {
  const job = desk ? `&job=${desk.job.id}` : '';
  return (
    <>
      {answer.links?.map((l) => (
        <Link
          key={l.gauge}
          component={NextLink}
          className="no-print"
          href={`/gauges/${l.gauge}?${new URLSearchParams(l.fill as Record<string, string>)}${job}`}
        >
          {l.label} → {gaugeById(l.gauge)!.label}
        </Link>
      ))}
      {answer.feeds?.part && <PartMatches part={answer.feeds.part} desk={desk} />}
    </>
  );
}

'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { kindOfModel } from '@/core/diagnosis/kindOfModel';
import { knowledge } from '@/knowledge';
import type { MachineCardView } from '@/shop/machines/dto';
import { LineBoard } from '../board/LineBoard';
import type { StationState } from '../board/stationState';
import { JobPhotographs } from '../jobScreen/JobPhotographs';
import { endings } from '@/knowledge/counter';
import { foundOrVisit } from '../job/endedWords';
import { faultLabel } from '../job/labels';
import { dayAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { Due } from './Due';
import { MachineEdits } from './MachineEdits';
import { ServiceReadings } from './ServiceReadings';
import { TimeChart, type TimeSeries } from './TimeChart';
import { Timeline } from './Timeline';

const QUANTITIES: Record<string, string> = { 'roll-speed': 'Roll speed', 'sealed-vacuum': 'Sealed vacuum' };
const EVENTS = {
  'turned-back': 'Meter changed or turned back',
  'ran-ahead': 'Meter changed',
  misread: 'Meter misread',
};
const PAGE = 60;

interface Props {
  card: MachineCardView;
  models: { id: number; maker: string; name: string }[];
  mayMove: boolean;
  mayAudit: boolean;
}

/** One machine's book: the board by the age of its parts, what is due, and all that happened. */
export function MachineCard({ card, models, mayMove, mayAudit }: Props) {
  const kind = useMemo(
    () =>
      kindOfModel(
        knowledge.kinds.find((k) => k.id === card.kind)!,
        card.addedStations,
      ),
    [card.kind, card.addedStations],
  );
  const states = useMemo(() => {
    const map: Record<string, StationState> = {};
    for (const [station, ageDays] of Object.entries(card.partAgeDays)) map[station] = { ageDays };
    for (const p of card.plans) if (p.overdue && !p.byItsPeople) map[p.station] = { ...map[p.station], looked: true };
    return map;
  }, [card]);
  const measured = useMemo<TimeSeries[]>(
    () =>
      [...new Set(card.readings.map((r) => r.item))].slice(0, 2).map((item) => {
        const own = card.readings.filter((r) => r.item === item);
        return {
          name: QUANTITIES[item] ?? item,
          unit: own[0]!.unit,
          points: own.map((r) => ({ at: r.at, value: r.after })),
        };
      }),
    [card.readings],
  );
  const meter = useMemo<TimeSeries[]>(
    () => [{ name: 'Hour meter', unit: 'h', points: card.meter.map((m) => ({ at: m.at, value: m.hours })) }],
    [card.meter],
  );
  const underWarranty = card.warrantyUntil !== null && card.warrantyUntil >= card.today;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', columnGap: 2, rowGap: 0.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          <Box component="span" sx={{ fontFamily: fonts.reading, fontSize: '0.9em' }}>
            {card.tag}
          </Box>{' '}
          {card.maker} {card.model}
        </Typography>
        <Typography variant="body2">
          <Link component={NextLink} href={`/customers/${card.customer.id}`}>
            {card.customer.name}
          </Link>
          {card.customer.phone && `, ${card.customer.phone}`}
          {card.siteId && `, ${card.sites.find((s) => s.id === card.siteId)?.label}`}
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {kind.label}
          {card.serial && `, serial ${card.serial}`}
          {card.madeYear && `, made ${card.madeYear}`}
          {card.purchasedOn && `, bought ${card.purchasedOn}`}, {card.mainsV} V{card.pets && ', pets at home'}, about{' '}
          {card.hoursPerWeek} h a week
          {card.warrantyUntil && (underWarranty ? `, warranty until ${card.warrantyUntil}` : ', out of warranty')}
        </Typography>
      </Box>
      <Box className="no-print" sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button
          component={NextLink}
          href={card.openJob ? `/jobs/${card.openJob}` : `/take-in?tag=${card.tag}`}
          variant="contained"
          size="small"
          sx={{ mr: 1 }}
        >
          {card.openJob ? `Open job ${card.openJob}` : 'Take it in'}
        </Button>
        <Button component={NextLink} href={`/machines/${card.tag}/operator-sheet`} size="small">
          Operator’s sheet
        </Button>
        <MachineEdits card={card} models={models} mayMove={mayMove} mayAudit={mayAudit} />
      </Box>
      {(card.note || card.customer.standing || underWarranty || card.openFaults.length > 0 || card.scrappedOn) && (
        <Box sx={{ display: 'grid', gap: 0.75, gridTemplateColumns: { md: 'repeat(auto-fit, minmax(300px, 1fr))' } }}>
          {card.scrappedOn && <Notice title={`Scrapped on ${card.scrappedOn}.`} />}
          {card.openFaults.length > 0 && (
            <Notice
              title={`Found and not mended: ${card.openFaults.map((f) => faultLabel(f.fault).toLowerCase()).join(', ')}.`}
            />
          )}
          {card.note && <Notice title={`For the next technician: ${card.note}`} />}
          {card.customer.standing && <Notice title={`Always, for ${card.customer.name}: ${card.customer.standing}`} />}
          {underWarranty && (
            <Notice
              title={`Under warranty until ${card.warrantyUntil}: the authorised shop repairs it at no charge.`}
            />
          )}
        </Box>
      )}
      <LineBoard
        kind={kind}
        dropped={card.droppedStations}
        states={states}
        title={`Line board of ${card.tag} by age of its parts`}
      />
      <Typography variant="caption" sx={{ color: 'text.secondary' }}>
        Below a part: how long ago it was replaced here. A green bar under a part: its plan is past due.
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 2.5, minWidth: 0 }}>
          <Due card={card} />
          <ServiceReadings card={card} />
          <Jobs card={card} />
          <Box component="section" aria-label="Readings">
            <Typography component="h2" variant="h2">
              Measured
            </Typography>
            {measured.length === 0 ? (
              <Empty>Nothing measured in Prove yet.</Empty>
            ) : (
              <TimeChart series={measured} label="Measured after repairs" />
            )}
          </Box>
          {card.meter.length > 0 && (
            <Box component="section" aria-label="Hour meter">
              <Typography component="h2" variant="h2">
                Hour meter
              </Typography>
              <Typography variant="body2">
                Last read <Reading strong>{card.meter.at(-1)!.hours} h</Reading> on{' '}
                <Reading>{dayAt(card.meter.at(-1)!.at, card.zone)}</Reading>
                {card.running.from === 'meter' && (
                  <>
                    ; it runs about <Reading strong>{card.running.hoursPerWeek} h a week</Reading> ({card.running.low}{' '}
                    to {card.running.high})
                  </>
                )}
              </Typography>
              {card.running.events.map((e) => (
                <Typography key={e.on} variant="body2" sx={{ color: 'text.secondary' }}>
                  {EVENTS[e.sort]} on <Reading>{e.on}</Reading>: {e.from} h, then {e.to} h
                </Typography>
              ))}
              {card.meter.length > 1 && <TimeChart series={meter} label="Hour meter" />}
            </Box>
          )}
          {(card.belts.length > 0 || card.bearings.length > 0 || card.filters.length > 0) && (
            <Box component="section" aria-label="What goes in">
              <Typography component="h2" variant="h2">
                What goes in
              </Typography>
              {(
                [
                  ['Belts', card.belts],
                  ['Bearings', card.bearings],
                  ['Filters', card.filters],
                ] as const
              ).map(
                ([label, list]) =>
                  list.length > 0 && (
                    <Typography key={label} variant="body2">
                      {label}: {list.join(', ')}
                    </Typography>
                  ),
              )}
            </Box>
          )}
          {card.photographs.length > 0 && (
            <Box component="section" aria-label="Photographs">
              <Typography component="h2" variant="h2" sx={{ mb: 0.5 }}>
                Photographs
              </Typography>
              <JobPhotographs job={card} />
            </Box>
          )}
        </Box>
        <Timeline
          key={card.version + (card.timeline[0]?.id ?? 0)}
          tag={card.tag}
          zone={card.zone}
          first={card.timeline}
          mayHaveMore={card.timeline.length >= PAGE}
        />
      </Box>
    </Box>
  );
}

function Jobs({ card }: { card: MachineCardView }) {
  return (
    <Box component="section" aria-label="Jobs">
      <Typography component="h2" variant="h2">
        Jobs
      </Typography>
      {card.jobs.length === 0 && <Empty>It has not been here yet.</Empty>}
      {card.jobs.map((j) => (
        <Typography key={j.id} variant="body2" sx={{ borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}>
          <Link component={NextLink} href={j.closedAt ? `/jobs/${j.id}/hand-back` : `/jobs/${j.id}`}>
            <Reading>{dayAt(j.takenInAt, card.zone)}</Reading>
          </Link>{' '}
          {j.closedAt ? foundOrVisit(j) : 'open'}
          {j.ending && j.ending !== 'repaired' && `; ${endings.find((e) => e.id === j.ending)!.label.toLowerCase()}`}
          {j.comebackOf && (
            <Box component="strong" sx={{ color: 'bench.brass' }}>
              {' '}
              came back within 90 days
            </Box>
          )}
        </Typography>
      ))}
    </Box>
  );
}

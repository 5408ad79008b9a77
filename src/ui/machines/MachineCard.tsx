'use client';

import { useMemo } from 'react';
import { kindOfModel } from '@/core/diagnosis/kindOfModel';
import type { MachineCardView } from '@/shop/machines/dto';
import { LineBoard } from '../board/LineBoard';
import type { StationState } from '../board/stationState';
import { JobPhotographs } from '../jobScreen/JobPhotographs';
import { endings } from '@/knowledge/counter';
import { foundOrVisit } from '../job/endedWords';
import { faultLabel } from '../job/labels';
import { toldKind } from '../job/trade';
import { useBook } from '../job/useBook';
import { NotFetched } from '../parts/NotFetched';
import { dayAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { Due } from './Due';
import { MachineEdits } from './MachineEdits';
import { ServiceReadings } from './ServiceReadings';
import { TimeChart, type TimeSeries } from './TimeChart';
import { Timeline } from './Timeline';
import { classes, Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import styles from './card.module.css';
import { PressLink } from '../parts/Press';

const QUANTITIES: Record<string, string> = { 'roll-speed': 'Roll speed', 'sealed-vacuum': 'Sealed vacuum' };
const EVENTS = {
  'turned-back': 'Meter changed or turned back',
  'ran-ahead': 'Meter changed',
  misread: 'Meter misread',
};
const PAGE = 60;

interface Props {
  card: MachineCardView;
  /** Where what is known of its kind is. */
  book: string;
  mayMove: boolean;
  mayAudit: boolean;
}

/** One machine's book: the board by the age of its parts, what is due, and all that happened. */
export function MachineCard({ book, ...card }: Props) {
  const { failed, again } = useBook(card.card.kind, book);
  if (failed) return <NotFetched failed what="What is known of this machine" again={again} />;
  return <ToldCard {...card} />;
}

function ToldCard({ card, mayMove, mayAudit }: Omit<Props, 'book'>) {
  const kind = useMemo(() => kindOfModel(toldKind(card.kind), card.addedStations), [card.kind, card.addedStations]);
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
    <div className={styles.card}>
      <div className={styles.title}>
        <Words size="h1">
          <span className={styles.tag}>{card.tag}</span> {card.maker} {card.model}
        </Words>
        <Words>
          <TextLink href={`/customers/${card.customer.id}`}>{card.customer.name}</TextLink>
          {card.customer.phone && `, ${card.customer.phone}`}
          {card.siteId && `, ${card.sites.find((s) => s.id === card.siteId)?.label}`}
        </Words>
        <Words tone="soft">
          {kind.label}
          {card.serial && `, serial ${card.serial}`}
          {card.madeYear && `, made ${card.madeYear}`}
          {card.purchasedOn && `, bought ${card.purchasedOn}`}, {card.mainsV} V{card.pets && ', pets at home'}, about{' '}
          {card.hoursPerWeek} h a week
          {card.warrantyUntil && (underWarranty ? `, warranty until ${card.warrantyUntil}` : ', out of warranty')}
        </Words>
      </div>
      <div className={classes('no-print', styles.ways)}>
        <PressLink
          small
          tone="strong"
          href={card.openJob ? `/jobs/${card.openJob}` : `/take-in?tag=${card.tag}`}
          className={styles.first}
        >
          {card.openJob ? `Open job ${card.openJob}` : 'Take it in'}
        </PressLink>
        <PressLink small href={`/machines/${card.tag}/operator-sheet`}>
          Operator’s sheet
        </PressLink>
        <MachineEdits card={card} mayMove={mayMove} mayAudit={mayAudit} />
      </div>
      {(card.note || card.customer.standing || underWarranty || card.openFaults.length > 0 || card.scrappedOn) && (
        <div className={styles.notices}>
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
        </div>
      )}
      <LineBoard
        kind={kind}
        dropped={card.droppedStations}
        states={states}
        title={`Line board of ${card.tag} by age of its parts`}
      />
      <Words size="caption" as="span" tone="soft">
        Below a part: how long ago it was replaced here. A green bar under a part: its plan is past due.
      </Words>
      <div className={styles.halves}>
        <div className={styles.half}>
          <Due card={card} />
          <ServiceReadings card={card} />
          <Jobs card={card} />
          <section aria-label="Readings">
            <Words size="h2">Measured</Words>
            {measured.length === 0 ? (
              <Empty>Nothing measured in Prove yet.</Empty>
            ) : (
              <TimeChart series={measured} label="Measured after repairs" />
            )}
          </section>
          {card.meter.length > 0 && (
            <section aria-label="Hour meter">
              <Words size="h2">Hour meter</Words>
              <Words>
                Last read <Reading strong>{card.meter.at(-1)!.hours} h</Reading> on{' '}
                <Reading>{dayAt(card.meter.at(-1)!.at, card.zone)}</Reading>
                {card.running.from === 'meter' && (
                  <>
                    ; it runs about <Reading strong>{card.running.hoursPerWeek} h a week</Reading> ({card.running.low}{' '}
                    to {card.running.high})
                  </>
                )}
              </Words>
              {card.running.events.map((e) => (
                <Words tone="soft" key={e.on}>
                  {EVENTS[e.sort]} on <Reading>{e.on}</Reading>: {e.from} h, then {e.to} h
                </Words>
              ))}
              {card.meter.length > 1 && <TimeChart series={meter} label="Hour meter" />}
            </section>
          )}
          {(card.belts.length > 0 || card.bearings.length > 0 || card.filters.length > 0) && (
            <section aria-label="What goes in">
              <Words size="h2">What goes in</Words>
              {(
                [
                  ['Belts', card.belts],
                  ['Bearings', card.bearings],
                  ['Filters', card.filters],
                ] as const
              ).map(
                ([label, list]) =>
                  list.length > 0 && (
                    <Words key={label}>
                      {label}: {list.join(', ')}
                    </Words>
                  ),
              )}
            </section>
          )}
          {card.photographs.length > 0 && (
            <section aria-label="Photographs">
              <Words size="h2" className={styles.closeHeading}>
                Photographs
              </Words>
              <JobPhotographs job={card} />
            </section>
          )}
        </div>
        <Timeline
          key={card.version + (card.timeline[0]?.id ?? 0)}
          tag={card.tag}
          zone={card.zone}
          first={card.timeline}
          mayHaveMore={card.timeline.length >= PAGE}
        />
      </div>
    </div>
  );
}

function Jobs({ card }: { card: MachineCardView }) {
  return (
    <section aria-label="Jobs">
      <Words size="h2">Jobs</Words>
      {card.jobs.length === 0 && <Empty>It has not been here yet.</Empty>}
      {card.jobs.map((j) => (
        <Words key={j.id} className={styles.ruled}>
          <TextLink href={j.closedAt ? `/jobs/${j.id}/hand-back` : `/jobs/${j.id}`}>
            <Reading>{dayAt(j.takenInAt, card.zone)}</Reading>
          </TextLink>{' '}
          {j.closedAt ? foundOrVisit(j) : 'open'}
          {j.ending && j.ending !== 'repaired' && `; ${endings.find((e) => e.id === j.ending)!.label.toLowerCase()}`}
          {j.comebackOf && <strong className={styles.brass}> came back within 90 days</strong>}
        </Words>
      ))}
    </section>
  );
}

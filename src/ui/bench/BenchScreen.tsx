'use client';

import { DndContext, PointerSensor, useDroppable, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { Empty, Notice } from '../parts/Notice';
import { Key, ShownKey } from '../parts/Key';
import { weekdayOf } from '../parts/dayWords';
import { Press, PressLink } from '../parts/Press';
import { useNow } from '../parts/useNow';
import { classes, Words } from '../parts/Words';
import styles from './bench.module.css';
import { BenchStripRow } from './BenchStripRow';
import { benchGroups, type BenchGroup } from './benchGroups';
import { dayScale } from './dayScale';
import { MoveMenuLater } from './MoveMenuLater';
import { Hatching, timesOf, type Times } from './TimeStrip';
import { useBench, type Move } from './useBench';

const MINE_KEY = 'bench-mine';

/** The day: one strip per machine on the premises, grouped by the place where it lies. Alive. */
export function BenchScreen({ view: told, me }: { view: BenchView; me: number }) {
  const { view, move, live, refusal } = useBench(told);
  const now = useNow(view.now);
  const [mine, setMine] = useState(false);
  useEffect(() => {
    // Kept per browser, read after the first picture so that server and browser draw the same.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setMine(window.localStorage.getItem(MINE_KEY) === 'yes');
  }, []);
  const [menu, setMenu] = useState<{ strip: BenchStrip; anchor: HTMLElement } | null>(null);
  const [dragged, setDragged] = useState<BenchStrip | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const groups = benchGroups(view, mine ? me : null);
  const order = groups.flatMap((g) => g.strips);
  const times = useMemo(
    () =>
      timesOf(
        view.days,
        dayScale(
          view.days.map((d) => Date.parse(d.startsAt)),
          now,
        ),
        now,
      ),
    [view.days, now],
  );
  const choose = (only: boolean) => {
    window.localStorage.setItem(MINE_KEY, only ? 'yes' : 'no');
    setMine(only);
  };
  useKeys(
    order,
    () => choose(!mine),
    (strip, anchor) => setMenu({ strip, anchor }),
    // What is pressed in the menu, or while it is fetched, is meant for the menu.
    menu === null,
  );

  const drop = ({ active, over }: DragEndEvent) => {
    const strip = dragged;
    setDragged(null);
    const to = over?.data.current as Move | undefined;
    if (!strip || !to || active.id !== strip.job) return;
    const stays =
      to.personId === undefined
        ? to.place === strip.place && (to.benchNo ?? strip.benchNo) === strip.benchNo
        : to.personId === (strip.person?.id ?? null);
    if (!stays) void move(strip, to);
  };

  return (
    <DndContext
      id="bench"
      sensors={sensors}
      onDragStart={({ active }) => setDragged(order.find((s) => s.job === active.id) ?? null)}
      onDragCancel={() => setDragged(null)}
      onDragEnd={drop}
    >
      <div className={styles.screen}>
        <div className={styles.head}>
          <Words size="h1">Bench</Words>
          <Words tone="soft">
            {view.strips.length + view.more} machine{view.strips.length + view.more === 1 ? '' : 's'} on the premises
            {view.more > 0 && `; the ${view.more} promised last are not drawn here`}
          </Words>
          <Press small aria-pressed={mine} onClick={() => choose(!mine)} className={styles.mine}>
            Mine only<ShownKey>n</ShownKey>
          </Press>
          <Words role="status" tone="brass" weight="strong">
            {live ? '' : 'The line to the shop is lost: what stands here may be old.'}
          </Words>
          <div className={styles.ways}>
            <PressLink small href="/wall">
              For the wall
            </PressLink>
            <PressLink small tone="strong" href="/take-in">
              Take a machine in
            </PressLink>
          </div>
        </div>
        {refusal && (
          <Notice live title={refusal.title}>
            {refusal.fields.map((f) => (
              <Words key={f.field}>{f.message}</Words>
            ))}
          </Notice>
        )}
        {view.strips.length === 0 && <Empty>No machine is here. Take one in: g, then t.</Empty>}
        {view.strips.length > 0 && order.length === 0 && (
          <Empty>Nothing here is given to you. Take one: focus its strip, then m.</Empty>
        )}
        {dragged && <People view={view} />}
        {view.strips.length > 0 && <DayHeads view={view} times={times} />}
        <Hatching />
        {groups.map((g) => (
          <Place key={g.id} group={g} dragging={dragged !== null}>
            {g.strips.map((s) => {
              const at = order.indexOf(s);
              return (
                <BenchStripRow
                  key={s.job}
                  strip={s}
                  view={view}
                  times={times}
                  digit={at < 9 ? String(at + 1) : null}
                  onMenu={(strip, anchor) => setMenu({ strip, anchor })}
                />
              );
            })}
          </Place>
        ))}
        <Words size="caption" as="span" tone="soft" className={styles.keys}>
          <Key>1</Key> to <Key>9</Key> start the action of that strip; <Key>↓</Key> <Key>↑</Key> walk the strips,{' '}
          <Key>m</Key> moves the one in focus; or drag it by its grip.
        </Words>
      </div>
      {menu && (
        <MoveMenuLater
          strip={menu.strip}
          view={view}
          anchor={menu.anchor}
          onClose={() => setMenu(null)}
          onMove={(to) => void move(menu.strip, to)}
        />
      )}
    </DndContext>
  );
}

/** Digits start, arrows walk, m moves, n shows only mine. */
function useKeys(
  order: BenchStrip[],
  onMine: () => void,
  onMove: (strip: BenchStrip, anchor: HTMLElement) => void,
  enabled: boolean,
): void {
  const start = (job: number) => document.querySelector<HTMLElement>(`[data-start="${job}"]`);
  const focused = () => {
    const row = document.activeElement?.closest<HTMLElement>('[data-strip]');
    return order.findIndex((s) => String(s.job) === row?.dataset.strip);
  };
  useHotkeys(
    '1,2,3,4,5,6,7,8,9',
    (event) => {
      const strip = order[Number(event.key) - 1];
      if (strip) start(strip.job)?.click();
    },
    { enabled },
  );
  useHotkeys(
    'down,up',
    (event) => {
      const at = focused();
      const next = order[event.key === 'ArrowDown' ? Math.min(at + 1, order.length - 1) : Math.max(at - 1, 0)];
      if (!next) return;
      event.preventDefault();
      start(next.job)?.focus();
    },
    { enabled },
  );
  useHotkeys(
    'm',
    (event) => {
      const strip = order[focused()];
      const anchor = strip && document.querySelector<HTMLElement>(`[data-move="${strip.job}"]`);
      if (!strip || !anchor) return;
      event.preventDefault();
      onMove(strip, anchor);
    },
    { enabled },
  );
  useHotkeys('n', onMine, { enabled });
}

function Place({ group, dragging, children }: { group: BenchGroup; dragging: boolean; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({
    id: group.id,
    data: { place: group.place, ...(group.benchNo ? { benchNo: group.benchNo } : {}) },
  });
  const isEmpty = group.strips.length === 0;
  return (
    <section
      ref={setNodeRef}
      aria-label={group.label}
      className={styles.place}
      data-over={isOver ? '' : undefined}
      data-dragging={dragging ? '' : undefined}
    >
      <Words size="h3" as="h2" tone={isEmpty ? 'soft' : undefined} className={styles.heading}>
        {group.label}
        {isEmpty && <span>empty</span>}
      </Words>
      {children}
    </section>
  );
}

function People({ view }: { view: BenchView }) {
  return (
    <div className={styles.people}>
      {view.people.map((p) => (
        <Person key={p.id} id={p.id} label={`Give to ${p.name}`} />
      ))}
      <Person id={null} label="Give to nobody" />
    </div>
  );
}

function Person({ id, label }: { id: number | null; label: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: `person-${id}`, data: { personId: id } });
  return (
    <div ref={setNodeRef} className={styles.person} data-over={isOver ? '' : undefined}>
      {label}
    </div>
  );
}

function DayHeads({ view, times: { scale } }: { view: BenchView; times: Times }) {
  const marks = [
    ...scale.hours.map(({ at, hour }) => ({ at: scale.x(at), label: String(hour), isHour: true })),
    ...scale.days.map((i) => ({
      at: scale.x(Date.parse(view.days[i]!.startsAt)),
      // Within so few days the weekday says which.
      label: weekdayOf(view.days[i]!.date),
      isHour: false,
    })),
  ];
  return (
    <div aria-hidden className={styles.days}>
      <span />
      <span />
      <div>
        {marks.map((m) => (
          <span
            key={m.label}
            className={classes(m.isHour && styles.onHour)}
            style={{ left: `${Math.round(m.at * 1e4) / 100}%` }}
          >
            {m.label}
          </span>
        ))}
      </div>
    </div>
  );
}

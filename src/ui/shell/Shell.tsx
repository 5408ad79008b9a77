'use client';

import { Ellipsis, Search as Glass } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { useRef, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { ZoneOffsets } from '@/core/units/zoneOffsets';
import { ScreenLock } from '../lock/ScreenLock';
import { Key } from '../parts/Key';
import { Mark } from '../parts/Mark';
import { Press } from '../parts/Press';
import { Scanner } from '../parts/Scanner';
import { signOut } from '../parts/signOut';
import { knowClock } from '../parts/instants';
import { classes } from '../parts/Words';
import { turnLamp } from '../theme/lamp';
import NextLink from '../theme/NextLink';
import { useIsUnderway } from '../theme/underway';
import { useGo } from '../theme/useGo';
import { useAllTypedEarly } from '../theme/useTypedEarly';
import styles from './shell.module.css';

const PLACES = [
  { href: '/', label: 'Bench', key: 'g>b' },
  { href: '/take-in', label: 'Take in', key: 'g>t' },
  { href: '/machines', label: 'Machines', key: 'g>m' },
  { href: '/customers', label: 'Customers', key: 'g>c' },
  { href: '/rounds', label: 'Rounds', key: 'g>r' },
  { href: '/gauges', label: 'Gauges', key: 'g>g' },
  { href: '/shop', label: 'Shop', key: 'g>s' },
] as const;

/**
 * The frame of every screen: name plate, places, one search, who is here. On a phone one slim bar: the places lie at the
 * thumb below, search and the rest one touch away.
 */
export function Shell({
  person,
  lockMinutes,
  clock,
  children,
}: {
  person: { id: number; name: string };
  /** After how many quiet minutes the screen locks itself; null for never. */
  lockMinutes: number | null;
  /** The shop's, known before anything below tells an instant. */
  clock: ZoneOffsets;
  children: ReactNode;
}) {
  knowClock(clock);
  useAllTypedEarly();
  const [unfolded, setUnfolded] = useState<'search' | 'more' | null>(null);
  const search = useRef<HTMLInputElement>(null);
  const fold = (what: 'search' | 'more') => {
    setUnfolded(unfolded === what ? null : what);
    if (what === 'search' && unfolded !== what) setTimeout(() => search.current?.focus());
  };
  return (
    <>
      <Scanner />
      {lockMinutes !== null && <ScreenLock minutes={lockMinutes} name={person.name} />}
      <a href="#work" className={styles.skip}>
        To the work
      </a>
      <header className={`no-print ${styles.head}`}>
        <NextLink href="/" className={styles.name} aria-label="Grit Keeper, to the bench">
          <Mark />
        </NextLink>
        <div className={styles.touches}>
          <button
            type="button"
            className={styles.touch}
            aria-label="Search"
            aria-expanded={unfolded === 'search'}
            onClick={() => fold('search')}
          >
            <Glass aria-hidden />
          </button>
          <button
            type="button"
            className={styles.touch}
            aria-label="Lamp and signing out"
            aria-expanded={unfolded === 'more'}
            onClick={() => fold('more')}
          >
            <Ellipsis aria-hidden />
          </button>
        </div>
        <Places />
        <Search field={search} unfolded={unfolded === 'search'} onDone={() => setUnfolded(null)} />
        <div className={classes(styles.who, unfolded === 'more' && styles.unfolded)}>
          <LampSwitch />
          <NextLink href="/me" title="Your passphrase, sessions and tokens" className={styles.person}>
            {person.name}
          </NextLink>
          <Press small tone="plain" onClick={() => void signOut()}>
            Sign out
          </Press>
        </div>
      </header>
      <Underway />
      <main id="work" data-person={person.id} tabIndex={-1} className={styles.work}>
        {children}
      </main>
    </>
  );
}

/** A page that was asked for takes its time: said where it is waited for, once it is worth saying. */
function Underway() {
  const isUnderway = useIsUnderway();
  return (
    <div aria-live="polite" className={classes('no-print', styles.underway)}>
      {isUnderway && <span className={styles.fetching}>Fetching …</span>}
    </div>
  );
}

/** Where one can go: in the bar, or on a phone at the thumb. */
function Places() {
  const router = useGo();
  const path = usePathname();
  useHotkeys(PLACES[0].key, () => router.push(PLACES[0].href));
  useHotkeys(PLACES[1].key, () => router.push(PLACES[1].href));
  useHotkeys(PLACES[2].key, () => router.push(PLACES[2].href));
  useHotkeys(PLACES[3].key, () => router.push(PLACES[3].href));
  useHotkeys(PLACES[4].key, () => router.push(PLACES[4].href));
  useHotkeys(PLACES[5].key, () => router.push(PLACES[5].href));
  useHotkeys(PLACES[6].key, () => router.push(PLACES[6].href));
  const here = (href: string) => (href === '/' ? path === '/' || path.startsWith('/jobs') : path.startsWith(href));
  return (
    <nav aria-label="Places" className={styles.places}>
      {PLACES.map((p) => (
        <NextLink
          key={p.href}
          href={p.href}
          aria-current={here(p.href) ? 'page' : undefined}
          title={`Keys: ${p.key.replace('>', ' then ')}`}
          className={styles.place}
        >
          {p.label}
        </NextLink>
      ))}
    </nav>
  );
}

function Search({
  field,
  unfolded,
  onDone,
}: {
  field: React.RefObject<HTMLInputElement | null>;
  /** On a phone; there is always room for it elsewhere. */
  unfolded: boolean;
  onDone: () => void;
}) {
  const router = useGo();
  const [words, setWords] = useState('');
  useHotkeys('slash', () => field.current?.focus(), { preventDefault: true });
  return (
    <form
      role="search"
      onSubmit={(e) => {
        e.preventDefault();
        router.push(`/machines?q=${encodeURIComponent(words)}`);
        onDone();
      }}
      className={classes(styles.search, unfolded && styles.unfolded)}
    >
      <label className={styles.field}>
        <input
          ref={field}
          value={words}
          onChange={(e) => setWords(e.target.value)}
          placeholder="Tag, serial, owner, phone, words"
          aria-label="Find a machine or customer"
        />
        <span aria-hidden className={styles.key}>
          <Key>/</Key>
        </span>
      </label>
    </form>
  );
}

function LampSwitch() {
  return (
    <Press small tone="plain" onClick={turnLamp}>
      {/* Which lamp is on is known to the style sheet before the page is awake. */}
      <span className={styles.byDay}>Night bench</span>
      <span className={styles.byNight}>Day bench</span>
    </Press>
  );
}

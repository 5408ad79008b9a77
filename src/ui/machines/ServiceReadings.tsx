import { useMemo } from 'react';
import { planItem } from '@/knowledge/plans';
import type { MachineCardView } from '@/shop/machines/dto';
import { Reading } from '../parts/Reading';
import { SmallLine } from './SmallLine';
import { Words } from '../parts/Words';
import styles from './card.module.css';

type Read = MachineCardView['serviceReadings'][number];

/** What was read at its services, each place with its own small line; where it is by its limit stands in the plan. */
export function ServiceReadings({ card }: { card: MachineCardView }) {
  const items = useMemo(
    () =>
      [...new Set(card.serviceReadings.map((r) => r.item))].map((item) => ({
        item,
        places: placesRead(card.serviceReadings.filter((r) => r.item === item)),
      })),
    [card.serviceReadings],
  );
  if (items.length === 0) return null;
  return (
    <section aria-label="Read at services">
      <Words size="h2">Read at services</Words>
      {items.map(({ item, places }) => {
        const { reading } = planItem(item) ?? {};
        return (
          <div key={item} className={styles.item}>
            <Words weight="strong">
              {reading?.label ?? item}
              {reading?.wear && (
                <span className={styles.soft}>
                  , replaced at {reading.wear.limit} {reading.unit}
                </span>
              )}
            </Words>
            <div className={styles.charts}>
              {places.map(({ place, read }) => (
                <Place key={place} place={place} unit={reading?.unit ?? ''} read={read} limit={reading?.wear?.limit} />
              ))}
            </div>
          </div>
        );
      })}
    </section>
  );
}

/** Place by place, each steady from one drawing to the next. */
function placesRead(own: Read[]): { place: string; read: Read[] }[] {
  return [...new Set(own.map((r) => r.place))].map((place) => ({ place, read: own.filter((r) => r.place === place) }));
}

function Place({ place, unit, read, limit }: { place: string; unit: string; read: Read[]; limit: number | undefined }) {
  const last = read.at(-1)!;
  return (
    <div>
      <Words size="caption" as="span" className={styles.block}>
        {place && `${place}: `}
        <Reading strong>
          {last.value} {unit}
        </Reading>
      </Words>
      <SmallLine
        points={read}
        limit={limit}
        label={`${place} ${read.map((r) => `${r.at.slice(0, 10)} ${r.value} ${unit}`).join(', ')}`.trim()}
      />
    </div>
  );
}

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { planItem } from '@/knowledge/plans';
import type { MachineCardView } from '@/shop/machines/dto';
import { Reading } from '../parts/Reading';
import { SmallLine } from './SmallLine';

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
    <Box component="section" aria-label="Read at services">
      <Typography component="h2" variant="h2">
        Read at services
      </Typography>
      {items.map(({ item, places }) => {
        const { reading } = planItem(item) ?? {};
        return (
          <Box key={item} sx={{ mt: 0.75 }}>
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              {reading?.label ?? item}
              {reading?.wear && (
                <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
                  , replaced at {reading.wear.limit} {reading.unit}
                </Box>
              )}
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
              {places.map(({ place, read }) => (
                <Place key={place} place={place} unit={reading?.unit ?? ''} read={read} limit={reading?.wear?.limit} />
              ))}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** Place by place, each steady from one drawing to the next. */
function placesRead(own: Read[]): { place: string; read: Read[] }[] {
  return [...new Set(own.map((r) => r.place))].map((place) => ({ place, read: own.filter((r) => r.place === place) }));
}

function Place({ place, unit, read, limit }: { place: string; unit: string; read: Read[]; limit: number | undefined }) {
  const last = read.at(-1)!;
  return (
    <Box>
      <Typography variant="caption" sx={{ display: 'block' }}>
        {place && `${place}: `}
        <Reading strong>
          {last.value} {unit}
        </Reading>
      </Typography>
      <SmallLine
        points={read}
        limit={limit}
        label={`${place} ${read.map((r) => `${r.at.slice(0, 10)} ${r.value} ${unit}`).join(', ')}`.trim()}
      />
    </Box>
  );
}

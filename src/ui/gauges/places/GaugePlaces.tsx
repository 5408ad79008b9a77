import Box from '@mui/material/Box';
import { useMemo } from 'react';
import type { AnyGauge } from '@/core/gauges/catalogue';
import type { RawValues } from '@/core/gauges/fields';
import { fonts } from '../../theme/palette';
import { bearing, flatBelt, oldAgainstNew, roll, toothedBelt } from './drivePlaces';
import { DeskOfPlaces, type Place } from './marks';
import { AIR_PLACES } from './airPlaces';
import { hose, rack, scrubber, weighed } from './otherPlaces';
import { bars, brush, cells, cord, leadAcid, safety, shims, supply, twin } from './powerPlaces';

type Chosen = Record<string, Place | undefined>;

/** Where to hold what, by gauge and by what is asked of it. */
function placeOf(gauge: string, typed: RawValues): Place | undefined {
  const by = (field: string, places: Chosen) => places[String(typed[field])];
  switch (gauge) {
    case 'belt':
      return by('sort', { flat: flatBelt, compare: oldAgainstNew, toothed: toothedBelt });
    case 'bearing':
      return bearing;
    case 'roll':
      return roll;
    case 'air-path':
      return by('asks', { clog: by('machine', AIR_PLACES), filter: hose });
    case 'supply-and-cord':
      return typed['asks'] === 'reading' && typed['roll'] === 'none'
        ? undefined
        : by('asks', { reading: supply, cord });
    case 'safety-test':
      return safety;
    case 'winding':
      return by('asks', { bars, winding: twin, brush });
    case 'shims':
      return shims;
    case 'pack':
      return by('asks', { cells, 'lead-acid': leadAcid });
    case 'scrubber':
      return scrubber;
    case 'dry-and-wait':
      return by('asks', { weighed, clock: rack });
    default:
      return undefined;
  }
}

/** Goes to the field of a place, as a press on its name does. */
function goTo(field: string): void {
  document.querySelector<HTMLElement>(`[data-field="${field}"] :is(input, textarea, [role="combobox"])`)?.focus();
}

/**
 * The thing with the places at which it is measured, named as the fields are. What is typed stands at its place; the place of
 * the field that is being typed into is marked, and a press on a place leads to its field.
 */
export function GaugePlaces({ gauge, typed, at }: { gauge: AnyGauge; typed: RawValues; at: string | null }) {
  const { id, fields } = gauge;
  const place = placeOf(id, typed);
  const desk = useMemo(() => ({ fields, typed, at, onPick: goTo }), [fields, typed, at]);
  if (!place) return null;
  return (
    <DeskOfPlaces value={desk}>
      <Box
        component="svg"
        viewBox={`0 -8 440 ${place.height + 8}`}
        role="img"
        aria-label={place.says}
        sx={{
          '--paper': (theme) => theme.vars!.palette.background.default,
          width: '100%',
          maxWidth: 460,
          height: 'auto',
          color: 'text.primary',
          fill: 'none',
          stroke: 'currentColor',
          strokeWidth: 1.4,
          '& text': { font: `600 11px ${fonts.label}`, fill: 'currentColor', stroke: 'none' },
          '& text[data-part]': { fontWeight: 400, opacity: 0.85 },
          '& [data-measured]': { color: `bench.lines.${place.line}`, strokeWidth: 1.8 },
          '& [data-place]': { cursor: 'pointer' },
          '& [data-value]': {
            fontFamily: fonts.reading,
            fontWeight: 700,
            fill: (theme) => theme.vars!.palette.text.primary,
          },
          '& [data-at]': { strokeWidth: 3.2 },
          '& [data-at] text': { textDecoration: 'underline' },
          '@media print': { '& [data-at]': { strokeWidth: 1.8 }, '& [data-at] text': { textDecoration: 'none' } },
        }}
      >
        {place.draw}
      </Box>
    </DeskOfPlaces>
  );
}

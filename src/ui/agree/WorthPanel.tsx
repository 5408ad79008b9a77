'use client';

import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { OFFER_TITLES } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import { withinHalf, type WayOn } from '@/core/money/worth';
import { waysOn } from '@/knowledge/waysOn';
import type { ProposalView } from '@/shop/agree/dto';
import { faultLabel } from '../job/labels';
import { CountField } from '../parts/CountField';
import { MoneyField } from '../parts/MoneyField';
import { USUAL_DOUBT_MONTHS } from './offerDraft';
import type { OfferDesk } from './useOffer';
import { useWorth } from './useWorth';
import { WorthChart } from './WorthChart';
import { worthWords } from './worthWords';

/** What is told of three ways on, and their chart. */
const PLACE_PX = 360;

/** The ways to go on, from what is being offered. */
export function useWays({ draft, offers }: OfferDesk, proposal: ProposalView): WayOn[] {
  return useMemo(
    () =>
      !draft
        ? []
        : waysOn({
            wear: proposal.wear,
            machineAgeYears: proposal.machineAgeYears,
            offers: offers.map((o) => ({
              id: o.id,
              label: OFFER_TITLES[o.id],
              priceMinor: o.bill.grossMinor,
              mends: [...new Set(o.lines.flatMap((l) => (l.fault === null ? [] : [l.fault])))],
            })),
            newMinor: draft.newMinor,
            usedMinor: draft.usedMinor,
            doubt:
              draft.doubtFault !== null && draft.doubtMonths !== null
                ? { fault: draft.doubtFault, months: draft.doubtMonths }
                : null,
          }),
    [draft, offers, proposal],
  );
}

/** Whether the machine is worth it: what a year costs repaired, with another used one, with a new one. */
export function WorthPanel({
  offer,
  proposal,
  disabled,
}: {
  offer: OfferDesk;
  proposal: ProposalView;
  disabled: boolean;
}) {
  const { draft, change } = offer;
  const ways = useWays(offer, proposal);
  const { told, working } = useWorth(ways, draft?.doubtFault ?? null);
  if (!draft) return null;
  const { currency, locale } = proposal;
  const money = (minor: number) => moneyText(Math.round(minor), currency, locale);
  const least = ways.find((w) => w.id === 'minimum' || w.id === 'recommended');
  return (
    <Box component="section" aria-label="Repair or replace" sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h3" variant="h3">
        Is it worth it?
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr' }}>
        <MoneyField
          size="small"
          label="A comparable new one"
          minor={draft.newMinor}
          currency={currency}
          disabled={disabled}
          onMinor={(newMinor) => change({ newMinor: newMinor === 0 ? null : newMinor })}
        />
        <MoneyField
          size="small"
          label="Another used one"
          minor={draft.usedMinor}
          currency={currency}
          disabled={disabled}
          onMinor={(usedMinor) => change({ usedMinor: usedMinor === 0 ? null : usedMinor })}
        />
        <TextField
          select
          size="small"
          label="A second weakness"
          value={draft.doubtFault ?? ''}
          disabled={disabled}
          onChange={(e) =>
            change({
              doubtFault: e.target.value || null,
              doubtMonths: e.target.value ? (draft.doubtMonths ?? USUAL_DOUBT_MONTHS) : null,
            })
          }
        >
          <MenuItem value="">none seen</MenuItem>
          {proposal.wear.map((w) => (
            <MenuItem key={w.fault} value={w.fault}>
              {faultLabel(w.fault)}
            </MenuItem>
          ))}
        </TextField>
        <CountField
          size="small"
          label="It still lasts, months"
          disabled={disabled || draft.doubtFault === null}
          key={draft.doubtFault ?? 'none'}
          value={draft.doubtMonths}
          least={0.5}
          most={240}
          whole={false}
          onValue={(doubtMonths) => change({ doubtMonths: doubtMonths ?? USUAL_DOUBT_MONTHS })}
        />
      </Box>
      {/* Its place is held from the start: what stands below must not move away under the finger. */}
      <Box sx={{ display: 'grid', gap: 1, alignContent: 'start', minHeight: ways.length > 0 ? PLACE_PX : 0 }}>
        <Box sx={{ height: 4 }}>
          {working !== null && (
            <LinearProgress variant="determinate" value={100 * working} aria-label="Reckoning lives" />
          )}
        </Box>
        {told && told.worth.length > 0 && (
          <>
            <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
              {worthWords(told, draft, money).map((line) => (
                <li key={line}>
                  <Typography variant="body2">{line}</Typography>
                </li>
              ))}
              {least && draft.newMinor !== null && (
                <li>
                  <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    By the half-price rule of the other school:{' '}
                    {withinHalf(least.priceMinor, draft.newMinor)
                      ? 'repair it, it is under half of a new one.'
                      : 'do not, it is over half of a new one.'}
                  </Typography>
                </li>
              )}
            </Box>
            <WorthChart worth={told.worth} currency={currency} locale={locale} />
          </>
        )}
      </Box>
      {draft.newMinor === null && draft.usedMinor === null && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Say what another machine costs, and it is weighed against it.
        </Typography>
      )}
    </Box>
  );
}

'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { OFFER_TITLES } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import type { ProposalView } from '@/shop/agree/dto';
import type { AgreeView } from '@/shop/standing/dto';
import { faultLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { allRead } from '../parts/allRead';
import { dayAt } from '../parts/instants';
import { ShownKey } from '../parts/Key';
import { Notice } from '../parts/Notice';
import { FoundPictures } from '../job/FoundPictures';
import NextLink from '../theme/NextLink';
import { AnswerForm } from './AnswerForm';
import { estimateBody } from './offerDraft';
import { OfferCards, OfferTermsForm } from './OfferCards';
import { OfferLines } from './OfferLines';
import { Papers } from './Papers';
import { Bridging, SchoolsHere } from './Schools';
import { ToTheOwner } from './ToTheOwner';
import { useOffer } from './useOffer';
import { WorthPanel } from './WorthPanel';

const STANDINGS: Record<AgreeView['standing'], string> = {
  open: 'Nothing is offered yet.',
  offered: 'Offered. The owner has not answered.',
  agreed: 'Agreed.',
  'within-limit': 'Within the limit that the owner gave: go ahead.',
  'found-since': 'Something was found since the owner agreed: say it, and ask again.',
  'ask-again': 'To be asked again.',
  'as-is': 'Not wanted: it goes back as it is.',
  scrap: 'Not wanted: it is scrapped here.',
};

/** What is done, what it costs, whether it pays, and what the owner says. */
export function AgreeWork({ desk, onDone, onBack }: { desk: JobDesk; onDone: () => void; onBack: () => void }) {
  const { job, busy, refusal } = desk;
  const { agree } = job;
  const offer = useOffer(desk);
  const { proposal } = offer;
  const closed = job.stage === 'closed';
  const problems = refusal?.fields ?? [];
  const page = useRef<HTMLDivElement>(null);
  const put = async () => {
    if (!offer.draft || busy || closed || !allRead(page.current)) return;
    if (await desk.act('make-estimate', estimateBody(offer.draft))) offer.sent();
  };
  // Under the hand while the keyboard is: no field may swallow it.
  useHotkeys('ctrl+enter', () => void put(), { enableOnFormTags: true, preventDefault: true }, [offer.draft, busy]);
  const last = agree.answers.at(-1);
  return (
    <Box ref={page} sx={{ display: 'grid', gap: 1.5 }}>
      <Box>
        <Typography component="h2" variant="h2">
          Agree{' '}
          <Box component="span" sx={{ fontWeight: 400, fontSize: '0.8em' }}>
            {STANDINGS[agree.standing]}
            {agree.offer && agree.estimate && ` ${OFFER_TITLES[agree.offer]}.`}
          </Box>
        </Typography>
        {last && (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {dayAt(last.at, job.zone)}: {last.who}, {last.way === 'link' ? 'on their page' : last.way}
            {last.words && `: “${last.words}”`}
            {agree.limitMinor !== null && `. Limit: ${moneyText(agree.limitMinor, job.currency, agree.locale)}`}
          </Typography>
        )}
      </Box>
      {agree.foundSince.length > 0 && (
        <Notice title={`Found since: ${agree.foundSince.map((f) => faultLabel(f).toLowerCase()).join(', ')}.`} />
      )}
      {proposal && <Answers desk={desk} proposal={proposal} />}
      {offer.failed && (
        <Notice live title="What would be offered could not be fetched.">
          <Button size="small" onClick={offer.retry}>
            Try again
          </Button>
        </Notice>
      )}
      {!proposal && !offer.failed && <Typography variant="body2">Putting it together …</Typography>}
      {proposal && (
        <>
          {proposal.labourMinor === null && (
            <Notice title="What an hour costs is not said yet: work has no price. The owner of the shop says it in Shop, under Money." />
          )}
          <OfferCards offer={offer} proposal={proposal} disabled={closed} problems={problems} taken={agree.offer} />
          <Box
            sx={{
              display: 'grid',
              gap: 2.5,
              gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1.55fr) minmax(0, 1fr)' },
              alignItems: 'start',
            }}
          >
            <Box sx={{ display: 'grid', gap: 2, minWidth: 0 }}>
              <OfferLines offer={offer} proposal={proposal} disabled={closed} problems={problems} />
              <WorthPanel offer={offer} proposal={proposal} disabled={closed} />
            </Box>
            <Box sx={{ display: 'grid', gap: 2, minWidth: 0 }}>
              <OfferTermsForm offer={offer} proposal={proposal} disabled={closed} problems={problems} />
              {!closed && (
                <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
                  <Button
                    variant={offer.isChanged ? 'contained' : 'outlined'}
                    autoFocus={agree.standing === 'open'}
                    disabled={busy || offer.offers.length === 0}
                    onClick={() => void put()}
                  >
                    {agree.estimate ? 'Offer it anew' : 'Put it to the owner'}
                    <ShownKey>Ctrl Enter</ShownKey>
                  </Button>
                  {problems.some((p) => p.field === 'lines') && (
                    <Typography variant="body2" role="alert" sx={{ color: 'bench.hazard' }}>
                      {problems.find((p) => p.field === 'lines')!.message}
                    </Typography>
                  )}
                </Box>
              )}
              <ToTheOwner desk={desk} />
              {!closed && <AnswerForm desk={desk} />}
              <Papers desk={desk} kinds={['estimate', 'order', 'unrepaired', 'consent', 'label']} />
              {!closed && <SchoolsHere desk={desk} proposal={proposal} />}
              {!closed && <Bridging desk={desk} proposal={proposal} />}
            </Box>
          </Box>
        </>
      )}
      {!closed && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          {(agree.standing === 'as-is' || agree.standing === 'scrap') && (
            <Button variant="contained" component={NextLink} href={`/jobs/${job.id}/hand-back`}>
              To Hand back
            </Button>
          )}
          <Button variant={agree.mayOpen ? 'contained' : 'outlined'} disabled={busy} onClick={onDone}>
            {job.strip.ahead.length > 0 ? 'To Strip' : 'To Fit'}
          </Button>
          <Button disabled={busy} onClick={onBack}>
            Back to Find
          </Button>
          {!agree.mayOpen && (
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              It is opened no further before the owner agrees.
            </Typography>
          )}
        </Box>
      )}
    </Box>
  );
}

/** What the owner thought, and what a warranty says. */
function Answers({ desk, proposal: { ownersIdea, warrantyInForce } }: { desk: JobDesk; proposal: ProposalView }) {
  const { job } = desk;
  return (
    <>
      {warrantyInForce && (
        <Notice title="The maker’s warranty is in force: it goes to the authorised shop first, or the owner accepts the loss, on record." />
      )}
      {ownersIdea && (
        <Notice
          title={
            ownersIdea.right
              ? `The owner thought of ${ownersIdea.label.toLowerCase()}, and was right.`
              : `The owner thought of ${ownersIdea.label.toLowerCase()}: that was not found. Say what was: ${ownersIdea.found.join(', ').toLowerCase()}.`
          }
        >
          {job.stage !== 'closed' && (
            <FoundPictures desk={desk} faults={job.proved.filter((f) => ownersIdea.found.includes(faultLabel(f)))} />
          )}
        </Notice>
      )}
    </>
  );
}

import { database } from '@/data/database';
import { deedDoneAt } from '@/data/deeds';
import { insertLink, openLink, revokeLinks, sawLink } from '@/data/links';
import { jobState } from '@/data/jobState';
import { personById } from '@/data/people';
import { smallPhotographOfJob } from '@/data/photographs';
import { faultLabel } from '@/knowledge';
import type { JobFacts } from '../jobView/dto';
import { shopSettings } from '@/data/shopSettings';
import { ownersWords, type OwnersWords } from '@/knowledge/ownersPhrases';
import type { Person } from '../access/person';
import { everyone } from '../access/roles';
import { openedBy } from '../access/secretAddress';
import { tokenHash, tokenOfPress } from '../access/secrets';
import { writeAnswer } from '../agree/recordAnswer';
import { deedOn, once } from '../deed/deed';
import { paperContent } from '../documents/paperContent';
import { JobDeedDto } from '../jobDeed/dto';
import { jobDeed } from '../jobDeed/jobDeed';
import { factsOf } from '../jobView/jobFacts';
import { notFound, ProblemError, refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import { letterheadOf } from '../terms/terms';
import { AnswerFromLinkDto, MakeLinkDto, type AnswerByLinkDto, type LinkView, type MadeLink } from './dto';

export const pathOfToken = (token: string) => `/o/${token}`;

/** A page of its own for the owner of one job: a long random token, an end, and it can be taken back. */
export const makeLink = deedOn(
  { name: 'make-link', roles: everyone, summary: 'Make a page for the owner to answer on', dto: MakeLinkDto },
  async (person, jobId: number, dto): Promise<MadeLink> => {
    // The same press makes the same token again: a lost answer loses no link, and none is kept in clear.
    const token = tokenOfPress(person.id, dto.key);
    await once(person, 'make-link', dto, jobId, async (db) => {
      const state = await jobState(db, jobId);
      if (!state) throw notFound('This job');
      refuseIf(
        state.estimate ? [] : [{ field: 'days', message: 'There is nothing to answer yet: make an estimate first.' }],
      );
      await insertLink(db, { job_id: jobId, token_hash: tokenHash(token), days: dto.days, person_id: person.id });
      return {};
    });
    return { path: pathOfToken(token) };
  },
);

/** Takes back every link of a job. */
export const revokeLink = jobDeed({
  name: 'revoke-links',
  roles: everyone,
  summary: 'Take the owner’s pages of this job back',
  dto: JobDeedDto,
  async work({ db, jobId, tell }) {
    const open = await revokeLinks(db, jobId);
    refuseIf(open > 0 ? [] : [{ field: 'link', message: 'No page is open.' }]);
    tell('note', 'The owner’s page was taken back.');
  },
});

/** The link that a token opens. @throws ProblemError 404, 429 */
const linkOf = (token: string, address: string) =>
  openedBy(database(), token, address, 'This page', (hash) => openLink(database(), hash));

/** What was found first: it answers the owner’s own idea. */
const inOrder = ({ photographs }: Pick<JobFacts, 'photographs'>) =>
  [...photographs].sort(
    (a, b) => Number(b.shows.startsWith('fault:')) - Number(a.shows.startsWith('fault:')) || a.id - b.id,
  );

/** What the page of a link shows. @throws ProblemError 404, 429 */
export async function linkView(token: string, address: string): Promise<LinkView> {
  const db = database();
  const link = await linkOf(token, address);
  await sawLink(db, link.id);
  const [state, shop] = await Promise.all([jobState(db, link.job_id), shopSettings(db)]);
  const facts = factsOf(state!);
  const { estimate, standing, answers } = facts.agree;
  const head = letterheadOf(shop.letterhead);
  const written = shop.phrases as Record<string, Partial<OwnersWords>>;
  // A language that the shop has not written is no help: then all of it is in its own.
  const language = state!.customer.language in written ? state!.customer.language : '';
  const paper = estimate
    ? paperContent('estimate', {
        facts,
        state: state!,
        letterhead: shop.letterhead,
        shopName: shop.name,
        today: dayInZone(new Date(), shop.zone),
      })
    : null;
  const isAnswered = ['agreed', 'as-is', 'scrap'].includes(standing);
  const last = answers.filter((a) => a.says !== 'limit').at(-1);
  return {
    shop: { name: shop.name, phone: head.phone, address: head.address },
    customer: facts.customer.name,
    machine: `${facts.machine.maker} ${facts.machine.model}`,
    said: paper?.said ?? [],
    photographs: inOrder(facts).map(({ id, caption, shows }) => ({
      id,
      caption,
      found: shows.startsWith('fault:') ? faultLabel(shows.slice('fault:'.length)) : '',
    })),
    estimate:
      estimate && paper
        ? {
            id: estimate.id,
            number: estimate.number,
            columns: estimate.offers.map((o, i) => ({
              id: o.id,
              title: paper.columns[i]!,
              minor: o.bill.grossMinor,
              unsafe: [...new Set(o.unsafe.map((id) => estimate.lines.find((l) => l.id === id)!.label))],
            })),
            groups: paper.groups,
            totals: paper.totals,
            terms: paper.terms,
          }
        : null,
    answered: isAnswered && last ? { says: last.says, who: last.who, at: last.at } : null,
    // What was found since is in no offer yet: an old one is not agreed to.
    isClosed: facts.closedAt !== null || standing === 'found-since',
    currency: facts.currency,
    locale: language || shop.locale,
    language: language || shop.locale,
    words: ownersWords(written, language),
  };
}

/** A photograph of the job that a link opens, the small one. @throws ProblemError 404, 429 */
export async function linkPhotograph(token: string, address: string, id: number): Promise<Buffer> {
  const link = await linkOf(token, address);
  const bytes = await smallPhotographOfJob(database(), id, link.job_id);
  if (!bytes) throw notFound('This photograph');
  return bytes;
}

const answerFromLink = jobDeed({
  name: 'answer-by-link',
  roles: everyone,
  summary: 'The owner answers on the page of a link',
  dto: AnswerFromLinkDto,
  byOwner: true,
  async work(scene, { answer, link }) {
    const { estimate, standing } = scene.facts.agree;
    if (estimate?.id !== answer.estimate || standing === 'found-since')
      throw new ProblemError(409, 'The offer was changed meanwhile: look at it again.');
    refuseIf(
      standing === 'agreed' || standing === 'as-is' || standing === 'scrap'
        ? [{ field: 'says', message: 'It was answered already: call us to change it.' }]
        : [],
    );
    await writeAnswer(scene, { ...answer, way: 'link', linkId: link });
  },
});

/** The owner’s answer. @throws ProblemError 404, 429; 400 that names each field; 409 when the offer was changed meanwhile */
export async function answerByLink(token: string, address: string, dto: AnswerByLinkDto): Promise<LinkView> {
  const db = database();
  const link = await linkOf(token, address);
  const state = await jobState(db, link.job_id);
  const maker = (await personById(db, link.person_id!))!;
  // Pressed twice: nothing is done again, and the page is as it is now.
  if (await deedDoneAt(db, dto.key, maker.id)) return linkView(token, address);
  const person: Person = { id: maker.id, name: maker.name, role: maker.role };
  await answerFromLink(person, link.job_id, {
    key: dto.key,
    version: state!.job.version,
    link: link.id,
    answer: dto,
  });
  return linkView(token, address);
}

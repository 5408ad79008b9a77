import { documentById, insertDocument, type DocumentKind } from '@/data/documents';
import { shopSettings } from '@/data/shopSettings';
import { documentName, DOCUMENT_TITLES } from '../standing/documentName';
import { everyone } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import { IssueDocumentDto } from './dto';
import type { PaperContent } from '../papers/dto';
import { creditContent, paperContent, type PaperGiven } from './paperContent';

/** Gives a paper under the next number of its kind and year. It stands as it was given: a correction is a new one. */
export const issueDocument = jobDeed({
  name: 'issue-document',
  roles: everyone,
  summary: 'Give a paper: estimate, order, invoice, credit note, consent, label',
  dto: IssueDocumentDto,
  async work(scene, dto) {
    const given = await givenOf(scene);
    if (dto.kind === 'credit') return giveCredit(scene, dto, given.today);
    await giveDocument(scene, dto.kind, paperContent(dto.kind, given), given.today);
  },
});

/** What a paper is made from. */
export async function givenOf({ db, facts, state }: DeedScene): Promise<PaperGiven> {
  const shop = await shopSettings(db);
  return {
    facts,
    state,
    letterhead: shop.letterhead,
    shopName: shop.name,
    today: dayInZone(new Date(), state.shop.zone),
  };
}

/** Writes a paper and says so. @param totalMinor what it comes to, where it is of money */
export async function giveDocument(
  { db, jobId, person, state, tell }: DeedScene,
  kind: DocumentKind,
  content: PaperContent,
  today: string,
  more: { totalMinor?: number; corrects?: number } = {},
): Promise<number> {
  const year = Number(today.slice(0, 4));
  const { id, number } = await insertDocument(db, {
    kind,
    year,
    jobId,
    content,
    totalMinor: more.totalMinor ?? content.bill?.bill.grossMinor ?? 0,
    currency: state.shop.currency,
    ...(more.corrects === undefined ? {} : { corrects: more.corrects }),
    personId: person.id,
  });
  tell('paper', `${DOCUMENT_TITLES[kind]} ${documentName({ kind, year, number })} given.`);
  return id;
}

async function giveCredit(scene: DeedScene, { corrects, why }: IssueDocumentDto, today: string): Promise<void> {
  const { facts } = scene;
  const invoice = facts.agree.documents.find((d) => d.id === corrects && d.kind === 'invoice');
  refuseIf([
    ...(invoice ? [] : [{ field: 'corrects', message: 'Which invoice of this job.' }]),
    ...(invoice && facts.agree.documents.some((d) => d.corrects === invoice.id)
      ? [{ field: 'corrects', message: 'It was taken back already.' }]
      : []),
    ...((why ?? '').trim() === '' ? [{ field: 'why', message: 'Say why.' }] : []),
  ]);
  const row = (await documentById(scene.db, invoice!.id))!;
  const content = creditContent(row.content as PaperContent, documentName(row), why!.trim(), today);
  await giveDocument(scene, 'credit', content, today, { totalMinor: -row.total_minor, corrects: row.id });
}

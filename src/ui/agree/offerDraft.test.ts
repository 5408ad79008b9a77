import { draftFrom, draftOffers, estimateBody, moved, ownLine, type DraftLine, type OfferDraft } from './offerDraft';
import { proposalFixture } from './proposal.fixture';

const proposal = proposalFixture();
const draft = draftFrom(proposal, null);

test('what is proposed comes first, with its prices added up', () => {
  expect(draft.lines).toEqual(proposal.lines);
  const [minimum] = draftOffers(draft, proposal);
  expect(minimum!.id).toBe('minimum');
  expect(minimum!.bill.grossMinor).toBe(minimum!.bill.lines.reduce((sum, l) => sum + l.grossMinor, 0));
});

test('a part moves with the work that it belongs to, and nothing else does', () => {
  const lines = moved(draft.lines, 'part-belt-broken-belt', 'wait');
  const changed = lines.filter((l, i) => l.group !== draft.lines[i]!.group).map((l) => l.id);
  expect(changed).toEqual(['do-belt-broken', 'part-belt-broken-belt']);
  const own = { ...ownLine('fee'), id: 'own' };
  expect(moved([...draft.lines, own], 'own', 'not').filter((l) => l.group === 'not')).toHaveLength(1);
});

test('more off than there is leaves no offer, and does not throw', () => {
  expect(draftOffers({ ...draft, offMinor: 99_000_000 }, proposal)).toEqual([]);
});

test('what is sent carries no word on safety: the server knows', () => {
  const body = estimateBody({ ...draft, doubtMonths: 6 }) as { lines: DraftLine[]; replacement: OfferDraft };
  expect(body.lines.every((l) => !('safety' in l))).toBe(true);
  expect(body.replacement.doubtMonths).toBeNull();
});

test('a deposit is a share of the least offer', () => {
  const asked = proposalFixture({ charges: { ...proposal.charges, deposit100k: 30_000 } });
  const least = draftOffers(draftFrom(asked, null), asked)[0]!.bill.grossMinor;
  expect(draftFrom(asked, null).depositMinor).toBe(Math.round(0.3 * least));
});

test('lines of one’s own never share a name', () => {
  expect(ownLine('part').id).not.toBe(ownLine('part').id);
});

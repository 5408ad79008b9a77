import { ideaAnswered } from './ownersIdea';

test('a belt is not cleared by a mouldy roll, which never stopped one; by a broken bearing it is', () => {
  const dead = ['roll-not-turning'];
  expect(ideaAnswered('belt-broken', ['belt-broken', 'roll-mouldy'], dead)).toBe('right');
  expect(ideaAnswered('belt-broken', ['roll-mouldy'], dead)).toBe('open');
  expect(ideaAnswered('belt-broken', ['tilt-switch-failed'], dead)).toBe('other');
  expect(ideaAnswered('belt-broken', [], dead)).toBe('open');
  // What explains only the other complaint says nothing of it.
  expect(ideaAnswered('belt-broken', ['hose-clogged'], ['roll-not-turning', 'weak-suction'])).toBe('open');
});

/** What an owner is told on their own page, in the shop’s own language; a shop writes it in others. */
export const OWNERS_PHRASES = {
  yourMachine: 'Your',
  told: 'You told us',
  found: 'We found',
  idea: 'Your own idea',
  before: 'Before you decide',
  say: 'To say',
  notWorth: 'Not worth it',
  must: 'Must be done',
  now: 'Worth it while it is open',
  wait: 'Can wait',
  nothing: 'There is nothing to answer yet.',
  question: 'What shall we do?',
  name: 'Your name',
  words: 'Anything to say',
  yesMinimum: 'Yes: the least that we stand behind',
  yesRecommended: 'Yes: what we recommend',
  yesAll: 'Yes: all of it',
  howMinimum: 'what must be done',
  howRecommended: 'with what is worth it while it is open',
  howAll: 'with what can wait as well',
  no: 'No: give it back as it is',
  danger:
    'Some offers leave something that can hurt somebody. To take one of them, write your name here: you were told, and leave it as it is.',
  signed: 'Name under this warning',
  thanks: 'Thank you. We go ahead.',
  noted: 'Noted. We leave it as it is.',
  change: 'To change it, call us.',
  private: 'This page is only for you: whoever has its address can answer.',
} as const;

export type OwnersPhrase = keyof typeof OWNERS_PHRASES;
export type OwnersWords = Record<OwnersPhrase, string>;

/** The phrases in a language: what the shop has not written in it stays in its own. */
export function ownersWords(written: Record<string, Partial<OwnersWords>>, language: string): OwnersWords {
  const own = Object.entries(written[language] ?? {}).filter(([id, text]) => id in OWNERS_PHRASES && text !== '');
  return { ...OWNERS_PHRASES, ...Object.fromEntries(own) };
}

import type { EditField } from '../sheet/sheet';

/** The fields of a customer's card. */
export const customerFields: EditField[] = [
  { name: 'name', label: 'Name', span: 4 },
  {
    name: 'kind',
    label: 'What they are',
    sort: 'choice',
    choices: [
      { value: 'household', label: 'a household' },
      { value: 'business', label: 'a business' },
    ],
    span: 2,
  },
  { name: 'phone', label: 'Phone', span: 3 },
  { name: 'email', label: 'E-mail', span: 3 },
  { name: 'address', label: 'Address' },
  {
    name: 'language',
    label: 'Language',
    help: 'such as nb, where the shop has written its words; empty for its own',
    span: 3,
  },
  { name: 'taxExempt', label: 'Pays no tax', sort: 'tick', span: 3 },
  { name: 'noLetters', label: 'Wants no letters about what falls due', sort: 'tick' },
  {
    name: 'standing',
    label: 'Always, for this customer',
    sort: 'long',
    help: 'Shown at every take-in and in every job of theirs.',
  },
];

export const newCustomer = {
  name: '',
  kind: 'household',
  phone: '',
  email: '',
  address: '',
  standing: '',
  language: '',
  taxExempt: false,
  noLetters: false,
};

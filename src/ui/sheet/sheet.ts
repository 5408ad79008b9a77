import type { DtoClass, Values } from '../forms/dtoResolver';

/** One field of a sheet; its value is text, a tick, lines of text, or several of its choices. */
export interface EditField {
  name: string;
  label: string;
  sort?: 'text' | 'long' | 'lines' | 'number' | 'date' | 'tick' | 'choice' | 'several' | 'secret';
  choices?: { value: string; label: string }[];
  help?: string;
  /** Share of a row of six; the whole row when absent. */
  span?: 1 | 2 | 3 | 4;
}

export interface EditSheetProps<View> {
  title: string;
  fields: EditField[];
  /** What the server reads of it: the same class judges here before anything is sent. */
  dto: () => Promise<DtoClass>;
  /** The card as it is now, as the fields show it. */
  values: Values;
  /** Version of the card; absent for something new. */
  version?: number;
  url: string;
  /** Name of the kept draft; absent for what must not be kept, such as a passphrase. */
  draft?: string;
  saveLabel?: string;
  /** What is sent, from what is typed. */
  body?: (values: Values) => object;
  /** The fields of the card as somebody else saved it, from the refusal. */
  current?: (card: unknown) => { values: Values; version: number };
  onDone: (answer: View) => void;
  onClose: () => void;
}

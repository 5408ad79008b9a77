export interface TagView {
  shop: string;
  phone: string;
  paper: 'A4' | 'Letter';
  tag: string;
  maker: string;
  model: string;
  serial: string;
  owner: string;
  job: number | null;
  promisedOn: string | null;
  bar: string;
  square: string;
}

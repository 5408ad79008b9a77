/** One answer of the one search box. */
export type SearchRow =
  | {
      sort: 'machine';
      id: number;
      tag: string;
      serial: string;
      maker: string;
      model: string;
      owner: string;
      phone: string;
      openJob: number | null;
    }
  | { sort: 'customer'; id: number; name: string; phone: string; machines: number };

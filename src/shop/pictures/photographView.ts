import type { PhotographRow } from '@/data/photographs';
import type { PhotographView } from './dto';

export function photographView(row: PhotographRow): PhotographView {
  return {
    id: row.id,
    at: row.at.toISOString(),
    caption: row.caption,
    shows: row.shows,
    width: row.width,
    height: row.height,
    by: row.person,
  };
}

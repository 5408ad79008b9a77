import { putServiceDone } from '@/data/jobs';
import { planItems } from '@/knowledge/plans';
import { bench } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { ServeItemDto } from './dto';

/** Says that an item of the service was done at this visit, or takes that back. */
export const serveItem = jobDeed({
  name: 'serve-item',
  roles: bench,
  summary: 'Tick an item of the service as done',
  dto: ServeItemDto,
  async work({ db, jobId, kind, person, tell }, dto) {
    const item = planItems.find((i) => i.id === dto.item && kind.id in i.stations);
    if (!item)
      return refuseIf([{ field: 'item', message: `There is no service ${dto.item} for this kind of machine.` }]);
    await putServiceDone(db, jobId, item.id, person.id, dto.done);
    tell('serviced', dto.done ? item.label : `${item.label}: not done after all`);
  },
});

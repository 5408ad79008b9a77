import { workers } from '@/data/people';
import { shopSettings } from '@/data/shopSettings';
import { places } from '@/knowledge/counter';
import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { MoveJobDto } from './dto';

/**
 * Carries a machine to another place, or gives it to another person. Refused at its field for a bench that the shop does not
 * have, or a person who is not of it.
 */
export const moveJob = jobDeed({
  name: 'move-job',
  roles: everyone,
  summary: 'Carry the machine to a place, give it to a person',
  dto: MoveJobDto,
  async work({ db, facts, tell, change }, dto) {
    const { benches } = await shopSettings(db);
    if (dto.benchNo !== undefined && dto.benchNo > benches)
      refuseIf([{ field: 'benchNo', message: `The shop has ${benches} bench${benches === 1 ? '' : 'es'}.` }]);
    const worker = dto.personId ? (await workers(db)).find((w) => w.id === dto.personId) : undefined;
    if (dto.personId && !worker) refuseIf([{ field: 'personId', message: 'This person is not of the shop.' }]);
    change({
      ...(dto.place ? { place: dto.place } : {}),
      ...(dto.benchNo ? { bench_no: dto.benchNo } : {}),
      ...(dto.personId !== undefined ? { person_id: dto.personId } : {}),
    });
    const at = dto.place ?? facts.place;
    const place = places.find((p) => p.id === at)!.label.toLowerCase();
    const bench = at === 'bench' ? ` ${dto.benchNo ?? facts.benchNo}` : '';
    const told = [
      dto.place || dto.benchNo ? `To ${place}${bench}` : '',
      dto.personId !== undefined ? (worker ? `Given to ${worker.name}` : 'Given to nobody') : '',
    ].filter(Boolean);
    if (told.length > 0) tell('moved', `${told.join('. ')}.`);
  },
});

import { gaugeById, gauges } from '@/core/gauges/catalogue';
import type { AnyGauge } from '@/core/gauges/reckon';
import type { RawValues } from '@/core/gauges/fields';
import type { GaugeAnswer } from '@/core/gauges/gauge';
import { readField } from '@/core/gauges/readFields';
import { matchParts } from '@/core/stores/matchParts';
import { database, type Db } from '@/data/database';
import { gaugeInputsOf, gaugeUsual, partsNear, putGaugeUsual } from '@/data/gauges';
import { shopSettings } from '@/data/shopSettings';
import { owner } from '../access/roles';
import { once, shopDeed } from '../deed/deed';
import { inPaperThread } from '../papers/paperThreads';
import { instrumentCards } from '../instruments/instruments';
import { notFound, refuseIf } from '../problem';
import { readDto } from '../readDto';
import { dayInZone } from '../settings/day';
import { GAUGE_DTOS, KeepUsualDto, type MatchedPart, type MatchPartsDto } from './dto';

/** @throws ProblemError 404 */
export function gaugeNamed(id: string): AnyGauge {
  const gauge = gaugeById(id);
  if (!gauge) throw notFound(`A gauge named ${id.slice(0, 40)}`);
  return gauge;
}

/** Reckons one gauge; nothing is stored. @throws ProblemError 404; 400 that names each field */
export async function reckonGauge(id: string, body: unknown): Promise<GaugeAnswer> {
  return reckoned(database(), gaugeNamed(id), body);
}

/** @throws ProblemError 400 that names each field */
export async function reckoned(db: Db, gauge: AnyGauge, body: unknown): Promise<GaugeAnswer> {
  const raw = (await readDto(GAUGE_DTOS.get(gauge.id)!, body)) as RawValues;
  const shop = await shopSettings(db);
  const { answer, problems } = await inPaperThread('reckonGauge', {
    id: gauge.id,
    raw,
    room: {
      mainsV: shop.mains_v,
      today: dayInZone(new Date(), shop.zone),
      units: shop.units,
      instruments: await instrumentCards(db),
    },
  });
  refuseIf(problems ?? []);
  return answer!;
}

/** What a kept result of a job was reckoned from, to reckon it anew; undefined when it is not there. */
export async function keptInputs(jobId: number, id: number, gauge: string): Promise<RawValues | undefined> {
  const kept = await gaugeInputsOf(database(), jobId, id);
  return kept?.gauge === gauge ? kept.inputs : undefined;
}

/** What a gauge's screen starts from. */
export async function gaugeDesk() {
  const db = database();
  const shop = await shopSettings(db);
  return {
    units: shop.units,
    mainsV: shop.mains_v,
    today: dayInZone(new Date(), shop.zone),
    zone: shop.zone,
    usual: await gaugeUsual(db),
    instruments: await instrumentCards(db),
    names: Object.fromEntries(gauges.map((g) => [g.id, g.label])),
  };
}

/** Keeps what the shop usually types into a gauge, such as its own table of limits. */
export const keepUsual = shopDeed(
  {
    name: 'keep-usual',
    roles: owner,
    summary: 'Keep what the shop usually types into a gauge; for the owner',
    dto: KeepUsualDto,
  },
  async (person, dto) => {
    const gauge = gaugeNamed(dto.gauge);
    const unknown = Object.keys(dto.inputs).filter((f) => !Object.hasOwn(gauge.fields, f));
    refuseIf(unknown.map((field) => ({ field: `inputs.${field}`, message: 'The gauge has no such field.' })));
    // What cannot be read would stop everybody who opens the gauge.
    refuseIf(
      Object.entries(dto.inputs).flatMap(([name, value]) => {
        const read = String(value ?? '').trim() === '' ? null : readField(gauge.fields[name]!, value);
        return read && 'problem' in read ? [{ field: `inputs.${name}`, message: read.problem }] : [];
      }),
    );
    return once(person, 'keep-usual', dto, dto.gauge, async (db) => {
      await putGaugeUsual(db, dto.gauge, dto.inputs);
      return { gauge: dto.gauge };
    });
  },
);

/** Further off than this in the first size, in uncertainties, is not looked at. */
const FAR = 5;
const MOST_MATCHES = 12;

/** Parts of the list with the sizes that were measured, with odds. @throws ProblemError 400 */
export async function matchedParts(dto: MatchPartsDto): Promise<MatchedPart[]> {
  const bad = dto.sizes.findIndex(
    (s) => typeof s.name !== 'string' || !(s.mm > 0 && s.mm < 1e5) || !(s.sigmaMm > 0 && s.sigmaMm < 1e4),
  );
  refuseIf(
    dto.sizes.length === 0 || bad >= 0
      ? [{ field: `sizes[${Math.max(0, bad)}]`, message: 'A name, millimetres and their uncertainty.' }]
      : [],
  );
  const [first] = dto.sizes;
  const near = await partsNear(
    database(),
    dto.group,
    { name: first!.name, mm: first!.mm, withinMm: FAR * Math.hypot(first!.sigmaMm, 0.005 * first!.mm) },
    MOST_MATCHES,
  );
  return matchParts(near, dto.sizes).map(({ part, probability }) => ({
    code: part.code,
    label: part.label,
    stock: part.stock,
    priceMinor: part.price_minor,
    probability,
  }));
}

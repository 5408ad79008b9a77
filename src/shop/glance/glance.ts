import { database } from '@/data/database';
import { glance, type Glance } from '@/data/glance';
import { shopToday } from '../settings/shopToday';
import { GLANCE_DAYS, type GlanceView } from './dto';

/** The shop in figures: what is here now, how the last weeks went, what is to come. */
export async function shopAtAGlance(): Promise<GlanceView> {
  const figures: Glance = await glance(database(), await shopToday(), GLANCE_DAYS);
  return figures;
}

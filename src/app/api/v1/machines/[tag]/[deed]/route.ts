import { deedRoute } from '@/app/deedRoute';
import { machineDeeds } from '@/shop/deeds';

export const POST = deedRoute(machineDeeds, 'tag', (tag) => tag.slice(0, 20));

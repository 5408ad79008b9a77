import { deedRoute, idNumber } from '@/app/deedRoute';
import { instrumentDeeds } from '@/shop/deeds';

export const POST = deedRoute(instrumentDeeds, 'id', idNumber('This instrument'));

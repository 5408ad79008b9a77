import { deedRoute, idNumber } from '@/app/deedRoute';
import { modelDeeds } from '@/shop/deeds';

export const POST = deedRoute(modelDeeds, 'id', idNumber('This model'));

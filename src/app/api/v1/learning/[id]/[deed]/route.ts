import { deedRoute, idNumber } from '@/app/deedRoute';
import { learningDeeds } from '@/shop/deeds';

export const POST = deedRoute(learningDeeds, 'id', idNumber('This learning'));

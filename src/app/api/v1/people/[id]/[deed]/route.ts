import { deedRoute, idNumber } from '@/app/deedRoute';
import { personDeeds } from '@/shop/deeds';

export const POST = deedRoute(personDeeds, 'id', idNumber('This person'));

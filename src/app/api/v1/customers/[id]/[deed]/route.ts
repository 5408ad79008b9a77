import { deedRoute, idNumber } from '@/app/deedRoute';
import { customerDeeds } from '@/shop/deeds';

export const POST = deedRoute(customerDeeds, 'id', idNumber('This customer'));

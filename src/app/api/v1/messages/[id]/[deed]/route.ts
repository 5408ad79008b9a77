import { deedRoute, idNumber } from '@/app/deedRoute';
import { messageDeeds } from '@/shop/deeds';

export const POST = deedRoute(messageDeeds, 'id', idNumber('This message'));

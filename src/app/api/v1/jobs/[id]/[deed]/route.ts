import { deedRoute } from '@/app/deedRoute';
import { jobNumber } from '@/app/jobNumber';
import { jobDeeds } from '@/shop/deeds';

export const POST = deedRoute(jobDeeds, 'id', jobNumber);

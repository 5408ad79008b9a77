import { deed, deedRoute, idNumber } from '@/app/deedRoute';
import { WeighLentDto } from '@/shop/learning/dto';
import { weighLent } from '@/shop/learning/learning';

export const POST = deedRoute({ 'weigh-lent': deed(WeighLentDto, weighLent) }, 'id', idNumber('This learning'));

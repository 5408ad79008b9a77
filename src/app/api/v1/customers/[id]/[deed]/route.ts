import { deed, deedRoute, idNumber } from '@/app/deedRoute';
import { amendCustomer, mergeCustomers, putContact, putSite } from '@/shop/customers/customers';
import { AmendCustomerDto, MergeCustomersDto, PutContactDto, PutSiteDto } from '@/shop/customers/dto';

const deeds = {
  'amend-customer': deed(AmendCustomerDto, amendCustomer),
  'merge-customers': deed(MergeCustomersDto, mergeCustomers),
  'put-site': deed(PutSiteDto, putSite),
  'put-contact': deed(PutContactDto, putContact),
};

export const POST = deedRoute(deeds, 'id', idNumber('This customer'));

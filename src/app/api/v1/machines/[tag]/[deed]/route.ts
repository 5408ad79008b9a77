import { deed, deedRoute } from '@/app/deedRoute';
import { amendMachine, changeOwner, mergeMachines } from '@/shop/amendMachine/amendMachine';
import { AmendMachineDto, ChangeOwnerDto, MergeMachinesDto } from '@/shop/amendMachine/dto';

const deeds = {
  'amend-machine': deed(AmendMachineDto, amendMachine),
  'change-owner': deed(ChangeOwnerDto, changeOwner),
  'merge-machines': deed(MergeMachinesDto, mergeMachines),
};

export const POST = deedRoute(deeds, 'tag', (tag) => tag.slice(0, 20));

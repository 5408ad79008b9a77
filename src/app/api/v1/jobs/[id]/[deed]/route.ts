import { answer, jsonBody } from '@/app/answer';
import { jobNumber } from '@/app/jobNumber';
import { currentPerson } from '@/app/person';
import type { Person } from '@/shop/access/person';
import { clearCaution } from '@/shop/clearCaution/clearCaution';
import { ClearCautionDto } from '@/shop/clearCaution/dto';
import { endWait } from '@/shop/endWait/endWait';
import { FitPartDto } from '@/shop/fitPart/dto';
import { fitPart } from '@/shop/fitPart/fitPart';
import { HandBackDto } from '@/shop/handBack/dto';
import { handBack } from '@/shop/handBack/handBack';
import { JobDeedDto } from '@/shop/jobDeed/dto';
import type { JobView } from '@/shop/jobView/dto';
import { MoveStageDto } from '@/shop/moveStage/dto';
import { moveStage } from '@/shop/moveStage/moveStage';
import { notFound } from '@/shop/problem';
import { readDto } from '@/shop/readDto';
import { RecordFindingsDto } from '@/shop/recordFindings/dto';
import { recordFindings } from '@/shop/recordFindings/recordFindings';
import { RecordProofDto } from '@/shop/recordProof/dto';
import { recordProof } from '@/shop/recordProof/recordProof';
import { RevokeFindingDto } from '@/shop/revokeFinding/dto';
import { revokeFinding } from '@/shop/revokeFinding/revokeFinding';
import { StartWaitDto } from '@/shop/startWait/dto';
import { startWait } from '@/shop/startWait/startWait';
import { TakeBackPartDto } from '@/shop/takeBackPart/dto';
import { takeBackPart } from '@/shop/takeBackPart/takeBackPart';
import { TickRebuildDto } from '@/shop/tickRebuild/dto';
import { tickRebuild } from '@/shop/tickRebuild/tickRebuild';

type Deed = (person: Person, job: number, body: unknown) => Promise<JobView>;

function deed<T extends JobDeedDto>(
  type: new () => T,
  work: (person: Person, job: number, dto: T) => Promise<JobView>,
): Deed {
  return async (person, job, body) => work(person, job, await readDto(type, body));
}

const deeds: Record<string, Deed> = {
  'record-findings': deed(RecordFindingsDto, recordFindings),
  'revoke-finding': deed(RevokeFindingDto, revokeFinding),
  'clear-caution': deed(ClearCautionDto, clearCaution),
  'move-stage': deed(MoveStageDto, moveStage),
  'fit-part': deed(FitPartDto, fitPart),
  'take-back-part': deed(TakeBackPartDto, takeBackPart),
  'tick-rebuild': deed(TickRebuildDto, tickRebuild),
  'start-wait': deed(StartWaitDto, startWait),
  'end-wait': deed(JobDeedDto, endWait),
  'record-proof': deed(RecordProofDto, recordProof),
  'hand-back': deed(HandBackDto, handBack),
};

export const POST = answer<{ params: Promise<{ id: string; deed: string }> }>(async (request, { params }) => {
  const { id, deed: name } = await params;
  const work = Object.hasOwn(deeds, name) ? deeds[name] : undefined;
  if (!work) throw notFound(`The deed ${name}`);
  return Response.json(await work(await currentPerson(), jobNumber(id), await jsonBody(request)));
});

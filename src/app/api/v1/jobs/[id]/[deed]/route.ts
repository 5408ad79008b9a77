import { deed, deedRoute } from '@/app/deedRoute';
import { jobNumber } from '@/app/jobNumber';
import { clearCaution } from '@/shop/clearCaution/clearCaution';
import { ClearCautionDto } from '@/shop/clearCaution/dto';
import { endWait } from '@/shop/endWait/endWait';
import { FitPartDto } from '@/shop/fitPart/dto';
import { fitPart } from '@/shop/fitPart/fitPart';
import { KeepGaugeDto, TakeBackGaugeDto } from '@/shop/gauges/dto';
import { keepGauge, takeBackGauge } from '@/shop/gauges/keepGauge';
import { HandBackDto } from '@/shop/handBack/dto';
import { handBack } from '@/shop/handBack/handBack';
import { JobDeedDto } from '@/shop/jobDeed/dto';
import { AmendJobDto } from '@/shop/amendJob/dto';
import { amendJob } from '@/shop/amendJob/amendJob';
import { MoveJobDto } from '@/shop/moveJob/dto';
import { moveJob } from '@/shop/moveJob/moveJob';
import { AddPhotographsDto, RemovePhotographDto } from '@/shop/photographs/dto';
import { addPhotographs, removePhotograph } from '@/shop/photographs/photographs';
import { RecordMeterDto } from '@/shop/recordMeter/dto';
import { recordMeter } from '@/shop/recordMeter/recordMeter';
import { WriteNoteDto } from '@/shop/writeNote/dto';
import { writeNote } from '@/shop/writeNote/writeNote';
import { MeasureDto } from '@/shop/practice/dto';
import { makePractice, measure } from '@/shop/practice/practice';
import { MoveStageDto } from '@/shop/moveStage/dto';
import { moveStage } from '@/shop/moveStage/moveStage';
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

const deeds = {
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
  'move-job': deed(MoveJobDto, moveJob),
  'amend-job': deed(AmendJobDto, amendJob),
  'write-note': deed(WriteNoteDto, writeNote),
  'record-meter': deed(RecordMeterDto, recordMeter),
  'add-photograph': deed(AddPhotographsDto, addPhotographs),
  'make-practice': deed(JobDeedDto, makePractice),
  measure: deed(MeasureDto, measure),
  'keep-gauge': deed(KeepGaugeDto, keepGauge),
  'take-back-gauge': deed(TakeBackGaugeDto, takeBackGauge),
  'remove-photograph': deed(RemovePhotographDto, removePhotograph),
};

export const POST = deedRoute(deeds, 'id', jobNumber);

import { bridge } from './agree/bridge';
import { chooseSchools } from './agree/chooseSchools';
import { makeEstimate } from './agree/makeEstimate';
import { recordAnswer } from './agree/recordAnswer';
import { amendJob } from './amendJob/amendJob';
import { amendMachine, changeOwner, mergeMachines } from './amendMachine/amendMachine';
import { mayReadAudit } from './access/mayReadAudit';
import { clearCaution } from './clearCaution/clearCaution';
import { addCustomer, amendCustomer, mergeCustomers, putContact, putSite } from './customers/customers';
import type { AnyDeedOn, AnyShopDeed } from './deed/deed';
import { issueDocument } from './documents/issueDocument';
import { takePayment } from './documents/takePayment';
import { closeDay } from './documents/takings';
import { endWait } from './endWait/endWait';
import { takeCustomersIn } from './exchange/customersCsv';
import { exportAll } from './exchange/importRows';
import { takeMachinesIn } from './exchange/machinesCsv';
import { fitOther } from './fitPart/fitOther';
import { fitPart } from './fitPart/fitPart';
import { keepUsual } from './gauges/gauges';
import { handBack } from './handBack/handBack';
import { keepGauge, takeBackGauge } from './keepGauge/keepGauge';
import { noteLoss, settleLoss } from './losses/losses';
import { makeLink, revokeLink } from './links/links';
import { amendMail } from './mail/mailSettings';
import { sendAgain } from './mail/outbox';
import { sendMessage } from './mail/sendMessage';
import { takeInterval, takeLife } from './lives/lives';
import { readPlans } from './plans/plansBook';
import { addInstrument, amendInstrument } from './instruments/instruments';
import { lendIn, readLearning, weighLent } from './learning/learning';
import { addModel, amendModel, mergeModels } from './models/models';
import {
  beginFactor,
  changeOwnPassphrase,
  confirmFactor,
  dropFactor,
  endOwnSession,
  lockScreen,
  makeToken,
  revokeToken,
  unlockScreen,
} from './me/me';
import { markRepaired } from './markRepaired/markRepaired';
import { noteCare } from './noteCare/noteCare';
import { moveJob } from './moveJob/moveJob';
import { moveStage } from './moveStage/moveStage';
import { addPerson, amendPerson, endSession, resetPassphrase } from './people/people';
import { addPhotographs, removePhotograph } from './photographs/photographs';
import { endPractice, look, makePractice, measure } from './practice/practice';
import { putProcedure, rememberStep } from './procedures/procedures';
import { recordFindings } from './recordFindings/recordFindings';
import { recordMeter } from './recordMeter/recordMeter';
import { recordProof } from './recordProof/recordProof';
import { revokeFinding } from './revokeFinding/revokeFinding';
import { renewFeed } from './rounds/calendar';
import { agreeVisit } from './rounds/agreeVisit';
import { amendLetters } from './rounds/letters';
import { sendDue } from './rounds/sendDue';
import { serveItem } from './serveItem/serveItem';
import { amendShop } from './shopBook/shopBook';
import { startWait } from './startWait/startWait';
import { addComplaints } from './addComplaints/addComplaints';
import { strikeComplaint } from './strikeComplaint/strikeComplaint';
import { stripStep } from './stripStep/stripStep';
import { takeBackPart } from './takeBackPart/takeBackPart';
import { takeIn } from './takeIn/takeIn';
import { amendPhrases, amendSchools, amendTerms } from './terms/terms';
import { tickRebuild } from './tickRebuild/tickRebuild';
import { writeNote } from './writeNote/writeNote';

/**
 * Everything that is done in the shop: the one table. Routes, roles, the published document and the words of the audit come
 * from it; a deed that is not in it is done by nobody.
 */
export const jobDeeds: readonly AnyDeedOn<number>[] = [
  recordFindings,
  revokeFinding,
  clearCaution,
  moveStage,
  makeEstimate,
  recordAnswer,
  chooseSchools,
  bridge,
  issueDocument,
  takePayment,
  makeLink,
  revokeLink,
  sendMessage,
  stripStep,
  noteLoss,
  settleLoss,
  rememberStep,
  fitPart,
  fitOther,
  takeBackPart,
  tickRebuild,
  markRepaired,
  serveItem,
  noteCare,
  startWait,
  endWait,
  recordProof,
  handBack,
  moveJob,
  amendJob,
  strikeComplaint,
  addComplaints,
  writeNote,
  recordMeter,
  addPhotographs,
  removePhotograph,
  makePractice,
  endPractice,
  measure,
  look,
  keepGauge,
  takeBackGauge,
];
export const machineDeeds: readonly AnyDeedOn<string>[] = [amendMachine, changeOwner, mergeMachines];
export const customerDeeds: readonly AnyDeedOn<number>[] = [
  amendCustomer,
  mergeCustomers,
  putSite,
  putContact,
  sendDue,
  agreeVisit,
];
export const modelDeeds: readonly AnyDeedOn<number>[] = [mergeModels, putProcedure];
export const personDeeds: readonly AnyDeedOn<number>[] = [amendPerson, resetPassphrase, endSession];
export const messageDeeds: readonly AnyDeedOn<number>[] = [sendAgain];
export const instrumentDeeds: readonly AnyDeedOn<number>[] = [amendInstrument];
export const learningDeeds: readonly AnyDeedOn<number>[] = [weighLent];
/** By their address under /api/v1. */
export const shopDeeds = {
  jobs: takeIn,
  customers: addCustomer,
  models: addModel,
  people: addPerson,
  shop: amendShop,
  'shop/terms': amendTerms,
  'shop/schools': amendSchools,
  'shop/phrases': amendPhrases,
  'shop/close-day': closeDay,
  'shop/mail': amendMail,
  'shop/letters': amendLetters,
  'rounds/feed': renewFeed,
  'lives/interval': takeInterval,
  'lives/life': takeLife,
  plans: readPlans,
  learning: lendIn,
  'gauges/usual': keepUsual,
  instruments: addInstrument,
  'me/passphrase': changeOwnPassphrase,
  'me/end-session': endOwnSession,
  'me/begin-factor': beginFactor,
  'me/confirm-factor': confirmFactor,
  'me/drop-factor': dropFactor,
  'me/make-token': makeToken,
  'me/revoke-token': revokeToken,
  'me/lock': lockScreen,
  'me/unlock': unlockScreen,
} as const satisfies Record<string, AnyShopDeed>;

/** Every right that a role gives, deeds and looks alike. */
export const rights = [
  ...[
    ...jobDeeds,
    ...machineDeeds,
    ...customerDeeds,
    ...modelDeeds,
    ...personDeeds,
    ...learningDeeds,
    ...messageDeeds,
    ...instrumentDeeds,
  ].map((d) => d.spec),
  amendModel.spec,
  ...Object.values(shopDeeds).map((d) => d.spec),
  takeCustomersIn,
  takeMachinesIn,
  exportAll,
  mayReadAudit,
  readLearning,
];

const words = new Map(rights.map((r) => [r.name, r.summary]));

/** A deed in words, for the audit; its own name when it was done by an older version. */
export function deedWords(name: string): string {
  return words.get(name) ?? name.replaceAll('-', ' ');
}

import 'reflect-metadata';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { SignInDto } from '../access/dto';
import { AmendJobDto } from '../amendJob/dto';
import { AmendMachineDto, ChangeOwnerDto, MergeMachinesDto } from '../amendMachine/dto';
import { ClearCautionDto } from '../clearCaution/dto';
import { AddCustomerDto, AmendCustomerDto, MergeCustomersDto, PutContactDto, PutSiteDto } from '../customers/dto';
import { DraftDto } from '../drafts/dto';
import { FindingAnswerDto, FindingRequestDto } from '../finding/dto';
import { FitPartDto } from '../fitPart/dto';
import { KeepGaugeDto, KeepUsualDto, MatchPartsDto, TakeBackGaugeDto } from '../gauges/dto';
import { HandBackDto } from '../handBack/dto';
import { JobDeedDto } from '../jobDeed/dto';
import { LendInDto, WeighLentDto } from '../learning/dto';
import { PutModelDto } from '../models/dto';
import { MoveJobDto } from '../moveJob/dto';
import { MoveStageDto } from '../moveStage/dto';
import { AddPersonDto, AmendPersonDto, EndSessionDto, ResetPassphraseDto } from '../people/dto';
import { AddPhotographsDto, RemovePhotographDto } from '../photographs/dto';
import { MeasureDto } from '../practice/dto';
import { RecordFindingsDto } from '../recordFindings/dto';
import { RecordMeterDto } from '../recordMeter/dto';
import { RecordProofDto } from '../recordProof/dto';
import { RevokeFindingDto } from '../revokeFinding/dto';
import { AmendShopDto } from '../shopBook/dto';
import { StartWaitDto } from '../startWait/dto';
import { TakeBackPartDto } from '../takeBackPart/dto';
import { TakeInDto } from '../takeIn/dto';
import { TickRebuildDto } from '../tickRebuild/dto';
import { WriteNoteDto } from '../writeNote/dto';
import { gaugeBodies } from './gaugeSchemas';

type Dto = new () => object;

/** Deeds on a job: name in the address → body. */
const JOB_DEEDS: Record<string, [Dto, string]> = {
  'record-findings': [RecordFindingsDto, 'Answer checks'],
  'revoke-finding': [RevokeFindingDto, 'Take a finding back'],
  'clear-caution': [ClearCautionDto, 'Clear a caution by name'],
  'move-stage': [MoveStageDto, 'Move the job to a stage'],
  'fit-part': [FitPartDto, 'Fit a part'],
  'take-back-part': [TakeBackPartDto, 'Take a fitted part back'],
  'tick-rebuild': [TickRebuildDto, 'Tick a rebuild step'],
  'start-wait': [StartWaitDto, 'Start a wait clock'],
  'end-wait': [JobDeedDto, 'End the running wait'],
  'record-proof': [RecordProofDto, 'Record a proof'],
  'hand-back': [HandBackDto, 'Hand the machine back'],
  'move-job': [MoveJobDto, 'Carry the machine to a place, give it to a person'],
  'amend-job': [AmendJobDto, 'Correct what was written down at the counter'],
  'write-note': [WriteNoteDto, 'Write a note, or what was said, into the book'],
  'record-meter': [RecordMeterDto, 'Write down the hour meter'],
  'add-photograph': [AddPhotographsDto, 'Give photographs to the job'],
  'make-practice': [JobDeedDto, 'Make it a practice job: faults are hidden, instruments simulated'],
  'keep-gauge': [KeepGaugeDto, 'Keep a gauge’s result with the job, and use it'],
  'take-back-gauge': [TakeBackGaugeDto, 'Take a kept result back'],
  measure: [MeasureDto, 'Read a simulated instrument on a practice job'],
  'remove-photograph': [RemovePhotographDto, 'Take a photograph out of sight'],
};

/** Deeds on a machine's card. */
const MACHINE_DEEDS: Record<string, [Dto, string]> = {
  'amend-machine': [AmendMachineDto, 'Correct the card'],
  'change-owner': [ChangeOwnerDto, 'Give the book to another owner'],
  'merge-machines': [MergeMachinesDto, 'Make another machine’s book part of this one'],
};

/** Deeds on a customer's card. */
const CUSTOMER_DEEDS: Record<string, [Dto, string]> = {
  'amend-customer': [AmendCustomerDto, 'Correct the card'],
  'merge-customers': [MergeCustomersDto, 'Make another card part of this one'],
  'put-site': [PutSiteDto, 'Add or change a site'],
  'put-contact': [PutContactDto, 'Add or change a contact'],
};

/** Deeds on a person of the shop; for the owner. */
const PERSON_DEEDS: Record<string, [Dto, string]> = {
  'amend-person': [AmendPersonDto, 'Change name, role or lock'],
  'reset-passphrase': [ResetPassphraseDto, 'Set a new passphrase, end all sessions'],
  'end-session': [EndSessionDto, 'End one session, or all'],
};

const problem = {
  type: 'object',
  required: ['type', 'title', 'status'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    fields: {
      type: 'array',
      items: {
        type: 'object',
        required: ['field', 'message'],
        properties: { field: { type: 'string' }, message: { type: 'string' } },
      },
    },
  },
};

const json = (schema: object) => ({ content: { 'application/json': { schema } } });
const ref = (type: Dto) => ({ $ref: `#/components/schemas/${type.name}` });
const refusals = Object.fromEntries(
  [
    ['400', 'Some of it cannot be used; every field is named'],
    ['401', 'No session and no token'],
    ['409', 'Changed meanwhile; the current state is in the document'],
  ].map(([code, description]) => [
    code,
    { description, content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } } },
  ]),
);

function post(summary: string, body: Dto, answer: object = { type: 'object' }, status = '200') {
  return {
    post: {
      summary,
      requestBody: { required: true, ...json(ref(body)) },
      responses: { [status]: { description: 'Done', ...json(answer) }, ...refusals },
    },
  };
}

function get(summary: string, parameters: object[] = []) {
  return {
    get: {
      summary,
      parameters,
      responses: { 200: { description: 'Found', ...json({ type: 'object' }) }, ...refusals },
    },
  };
}

const inPath = (name: string, type: string) => ({ name, in: 'path', required: true, schema: { type } });
const inQuery = (name: string, type: string) => ({ name, in: 'query', schema: { type } });

function deedPaths(prefix: string, parameter: object, deeds: Record<string, [Dto, string]>) {
  return Object.fromEntries(
    Object.entries(deeds).map(([deed, [dto, summary]]) => [
      `${prefix}/${deed}`,
      { parameters: [parameter], ...post(summary, dto) },
    ]),
  );
}

/** A file as an answer. */
function file(summary: string, type: string, parameters: object[] = []) {
  return {
    get: {
      summary,
      parameters,
      responses: { 200: { description: 'The file', content: { [type]: { schema: { type: 'string' } } } }, ...refusals },
    },
  };
}

/** Rows of a file as a body; looked at, or written when `write` is there. */
function takeFile(summary: string, type: string) {
  return {
    post: {
      summary,
      parameters: [inQuery('write', 'string')],
      requestBody: { required: true, content: { [type]: { schema: { type: 'string' } } } },
      responses: { 200: { description: 'A report row by row', ...json({ type: 'object' }) }, ...refusals },
    },
  };
}

/** OpenAPI 3.1 of everything under /api/v1, made from the DTO classes that validate it. */
export function openapi() {
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/components/schemas/',
  });
  const jobId = inPath('id', 'integer');
  const tag = inPath('tag', 'string');
  const query = inQuery('q', 'string');
  const page = inQuery('page', 'integer');
  const before = inQuery('before', 'integer');
  return {
    openapi: '3.1.0',
    info: {
      title: 'Grit Keeper',
      version: '1',
      description: 'The bench of a floor-care repair shop. Units: as each field says.',
    },
    servers: [{ url: '/api/v1' }],
    security: [{ token: [] }, { session: [] }],
    paths: {
      '/finding': post('Odds of every fault and the next check', FindingRequestDto, ref(FindingAnswerDto)),
      ...Object.fromEntries(
        gaugeBodies.map((g) => [
          g.path,
          {
            post: {
              summary: g.summary,
              requestBody: { required: true, ...json(g.schema) },
              responses: {
                200: { description: 'Reckoned; nothing is stored', ...json({ type: 'object' }) },
                ...refusals,
              },
            },
          },
        ]),
      ),
      '/gauges/usual': post('Keep what the shop usually types into a gauge; for the owner', KeepUsualDto),
      '/parts/match': post('Parts of the list by measured sizes, with odds', MatchPartsDto, { type: 'array' }),
      '/knowledge': get('Kinds, stations, complaints, checks with outcomes and units, faults, cautions'),
      '/openapi.json': get('This document'),
      '/search': get('Machines and customers by anything, with typing errors', [query]),
      '/bench': get('The machines on the premises with what each waits for'),
      '/live': file('Changes as they happen: server-sent events', 'text/event-stream'),
      '/machines': get('Machines by tag, serial, owner, model or words', [query, page]),
      '/machines/{tag}/timeline': get('What happened to a machine', [tag, query, inQuery('what', 'string'), before]),
      '/machines/{tag}/book.json': file('The whole book of a machine, as the schema has it', 'application/json', [tag]),
      '/machines/{tag}/book.pdf': file('The whole book of a machine, on paper', 'application/pdf', [tag]),
      '/schemas/machine-book.json': file('JSON Schema of a machine’s book', 'application/schema+json'),
      ...deedPaths('/machines/{tag}', tag, MACHINE_DEEDS),
      '/customers': {
        ...get('Customers by name, phone, contact, site or address', [query, page]),
        ...post('Add a customer', AddCustomerDto, { type: 'object' }, '201'),
      },
      '/customers/{id}': get('One customer with sites, contacts and machines', [jobId]),
      '/customers/{id}/card.vcf': file('vCard 4.0 of a customer and their contacts', 'text/vcard', [jobId]),
      ...deedPaths('/customers/{id}', jobId, CUSTOMER_DEEDS),
      '/models': {
        ...get('The shop’s own list of models'),
        ...post('Add a model', PutModelDto, { type: 'object' }, '201'),
      },
      '/models/{id}': { parameters: [jobId], ...post('Change a model', PutModelDto) },
      '/people': {
        ...get('Everyone of the shop with their sessions; for the owner'),
        ...post('Add a person', AddPersonDto, { type: 'object' }, '201'),
      },
      ...deedPaths('/people/{id}', jobId, PERSON_DEEDS),
      '/shop': { ...get('What holds for the whole shop'), ...post('Change it', AmendShopDto) },
      '/audit': get('Every change with before and after; for the owner', [
        inQuery('machine', 'integer'),
        inQuery('job', 'integer'),
        inQuery('person', 'integer'),
        inQuery('customer', 'integer'),
        before,
      ]),
      '/learning': {
        ...get('What the finder has learned and how often it was right; for the owner'),
        ...post('Take another shop’s learning in', LendInDto, { type: 'object' }, '201'),
      },
      '/learning/{id}/weigh-lent': { parameters: [jobId], ...post('Weigh another shop’s learning', WeighLentDto) },
      '/export/finder-learning.json': file('What the finder has learned, for another shop', 'application/json'),
      '/schemas/finder-learning.json': file('JSON Schema of exported learning', 'application/schema+json'),
      '/photographs': {
        post: {
          summary: 'Keep a photograph: the picture itself as the body',
          requestBody: { required: true, content: { 'image/*': { schema: { type: 'string', format: 'binary' } } } },
          responses: { 201: { description: 'Kept', ...json({ type: 'object' }) }, ...refusals },
        },
      },
      '/photographs/{id}': file('A photograph; `small` for the small one', 'image/jpeg', [
        jobId,
        inQuery('small', 'string'),
      ]),
      '/export/customers.csv': file('All customers, CSV', 'text/csv'),
      '/export/machines.csv': file('All machines, CSV', 'text/csv'),
      '/export/customers.vcf': file('All customers, vCard', 'text/vcard'),
      '/import/customers.csv': takeFile('Customers in, CSV', 'text/csv'),
      '/import/machines.csv': takeFile('Machines in, CSV', 'text/csv'),
      '/import/customers.vcf': takeFile('Customers in, vCard', 'text/vcard'),
      '/jobs': post('Take a machine in', TakeInDto, { type: 'object' }, '201'),
      '/jobs/{id}': get('One job with its odds', [jobId]),
      ...deedPaths('/jobs/{id}', jobId, JOB_DEEDS),
      '/drafts/{form}': {
        parameters: [{ name: 'form', in: 'path', required: true, schema: { type: 'string' } }],
        ...get('What was typed and not yet sent'),
        put: {
          summary: 'Keep a draft',
          requestBody: { required: true, ...json(ref(DraftDto)) },
          responses: { 204: { description: 'Kept' }, ...refusals },
        },
        delete: { summary: 'Drop a draft', responses: { 204: { description: 'Dropped' }, ...refusals } },
      },
      '/sign-in': { servers: [{ url: '/api' }], ...post('Open a session', SignInDto) },
    },
    components: {
      securitySchemes: {
        token: { type: 'http', scheme: 'bearer' },
        session: { type: 'apiKey', in: 'cookie', name: 'gk_session' },
      },
      schemas: { ...schemas, Problem: problem },
    },
  };
}

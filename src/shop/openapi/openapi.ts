import 'reflect-metadata';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { SignInDto } from '../access/dto';
import { ClearCautionDto } from '../clearCaution/dto';
import { DraftDto } from '../drafts/dto';
import { FindingAnswerDto, FindingRequestDto } from '../finding/dto';
import { FitPartDto } from '../fitPart/dto';
import { HandBackDto } from '../handBack/dto';
import { JobDeedDto } from '../jobDeed/dto';
import { MoveStageDto } from '../moveStage/dto';
import { RecordFindingsDto } from '../recordFindings/dto';
import { RecordProofDto } from '../recordProof/dto';
import { RevokeFindingDto } from '../revokeFinding/dto';
import { StartWaitDto } from '../startWait/dto';
import { TakeBackPartDto } from '../takeBackPart/dto';
import { TakeInDto } from '../takeIn/dto';
import { TickRebuildDto } from '../tickRebuild/dto';

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

/** OpenAPI 3.1 of everything under /api/v1, made from the DTO classes that validate it. */
export function openapi() {
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/components/schemas/',
  });
  const jobId = { name: 'id', in: 'path', required: true, schema: { type: 'integer' } };
  const query = { name: 'q', in: 'query', schema: { type: 'string' } };
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
      '/knowledge': get('Kinds, stations, complaints, checks with outcomes and units, faults, cautions'),
      '/openapi.json': get('This document'),
      '/machines': get('Machines by tag, serial, owner, model or words', [
        query,
        { name: 'page', in: 'query', schema: { type: 'integer' } },
      ]),
      '/customers': get('Customers by name or phone', [query]),
      '/jobs': post('Take a machine in', TakeInDto, { type: 'object' }, '201'),
      '/jobs/{id}': get('One job with its odds', [jobId]),
      ...Object.fromEntries(
        Object.entries(JOB_DEEDS).map(([deed, [dto, summary]]) => [
          `/jobs/{id}/${deed}`,
          { parameters: [jobId], ...post(summary, dto) },
        ]),
      ),
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

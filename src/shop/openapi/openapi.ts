import 'reflect-metadata';
import { ValidationTypes } from 'class-validator';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { SignInDto } from '../access/dto';
import { everyone } from '../access/roles';
import type { DeedSpec } from '../deed/deed';
import {
  customerDeeds,
  jobDeeds,
  instrumentDeeds,
  learningDeeds,
  machineDeeds,
  messageDeeds,
  modelDeeds,
  personDeeds,
  shopDeeds,
} from '../deeds';
import { DraftDto } from '../drafts/dto';
import { FindingAnswerDto, FindingRequestDto } from '../finding/dto';
import { MatchPartsDto } from '../gauges/dto';
import { bodyLimitBytes } from '../doors/bodyLimits';
import { amendModel } from '../models/models';
import { classIn } from '../nested';
import { amendShop } from '../shopBook/shopBook';
import { gaugeBodies } from './gaugeSchemas';

type Dto = new () => object;

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

const problemOf = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});
const writeRefusals = {
  411: problemOf('The length of the body is not stated'),
  413: problemOf('The body is larger than x-max-body-bytes says'),
  422: problemOf('The key was used for something else'),
  503: problemOf('Too much at once: again after Retry-After'),
};

/** What its body may have at most stands with each path that takes one. */
function withLimits<P extends Record<string, object>>(paths: P): P {
  return Object.fromEntries(
    Object.entries(paths).map(([path, item]) => [
      path,
      Object.fromEntries(
        Object.entries(item).map(([method, of]) => [
          method,
          typeof of === 'object' && of !== null && 'requestBody' in of
            ? { ...of, 'x-max-body-bytes': bodyLimitBytes(path === '/sign-in' ? '/api/sign-in' : `/api/v1${path}`) }
            : of,
        ]),
      ),
    ]),
  ) as P;
}

function post(summary: string, body: Dto, answer: object = { type: 'object' }, status = '200') {
  return {
    post: {
      summary,
      requestBody: { required: true, ...json(ref(body)) },
      responses: { [status]: { description: 'Done', ...json(answer) }, ...refusals, ...writeRefusals },
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

function deedPaths(prefix: string, parameter: object, deeds: readonly { spec: DeedSpec }[]) {
  return Object.fromEntries(
    deeds.map(({ spec }) => [`${prefix}/${spec.name}`, { parameters: [parameter], ...post(inWords(spec), spec.dto) }]),
  );
}

/** What a deed is, and for whom when not for everybody. */
function inWords({ summary, roles }: DeedSpec): string {
  return roles.length === everyone.length ? summary : `${summary}; for ${roles.join(' and ')}`;
}

const made = ({ spec }: { spec: DeedSpec }) => post(inWords(spec), spec.dto, { type: 'object' }, '201');

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
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: {
      [ValidationTypes.NESTED_VALIDATION]: ({ target, propertyName }) => ref(classIn(target, propertyName)),
    },
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
    paths: withLimits({
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
      '/gauges/usual': post(inWords(shopDeeds['gauges/usual'].spec), shopDeeds['gauges/usual'].spec.dto),
      '/parts/match': post('Parts of the list by measured sizes, with odds', MatchPartsDto, { type: 'array' }),
      '/knowledge': get('Kinds, stations, complaints, checks with outcomes and units, faults, cautions'),
      '/knowledge/{kind}': get('The same of one kind, as its pages have it; sum: of what is asked for, to keep it by', [
        inPath('kind', 'string'),
        inQuery('sum', 'string'),
      ]),
      '/procedures/{kind}': get('The way into a kind of machine, step by step', [inPath('kind', 'string')]),
      '/procedures/{kind}/way': get(
        'The order of fewest turnings to mend some faults, and the way back; faults: ids with commas between',
        [inPath('kind', 'string'), inQuery('faults', 'string')],
      ),
      '/schemas/procedure.json': file('JSON Schema of a model’s procedure', 'application/schema+json'),
      '/openapi.json': get('This document'),
      '/search': get('Machines and customers by anything, with typing errors', [query]),
      '/bench': get('The machines on the premises with what each waits for'),
      '/live': file('Changes as they happen: server-sent events', 'text/event-stream'),
      '/machines': get('Machines by tag, serial, owner, model or words', [query, page]),
      '/machines/{tag}/timeline': get('What happened to a machine', [tag, query, inQuery('what', 'string'), before]),
      '/machines/{tag}/book.json': file('The whole book of a machine, as the schema has it', 'application/json', [tag]),
      '/machines/{tag}/book.pdf': file('The whole book of a machine, on paper', 'application/pdf', [tag]),
      '/schemas/machine-book.json': file('JSON Schema of a machine’s book', 'application/schema+json'),
      ...deedPaths('/machines/{tag}', tag, machineDeeds),
      '/customers': {
        ...get('Customers by name, phone, contact, site or address', [query, page]),
        ...made(shopDeeds.customers),
      },
      '/customers/{id}': get('One customer with sites, contacts and machines', [jobId]),
      '/customers/{id}/card.vcf': file('vCard 4.0 of a customer and their contacts', 'text/vcard', [jobId]),
      ...deedPaths('/customers/{id}', jobId, customerDeeds),
      '/models': {
        ...get('The shop’s own list of models'),
        ...made(shopDeeds.models),
      },
      ...deedPaths('/models/{id}', jobId, modelDeeds),
      '/models/{id}/step-times': get('How long the steps of a model take, from presses', [jobId]),
      '/models/{id}/procedure.json': file(
        'How the model differs, and its steps, as the schema has it',
        'application/json',
        [jobId],
      ),
      '/models/{id}': { parameters: [jobId], ...post(inWords(amendModel.spec), amendModel.spec.dto) },
      '/people': {
        ...get('Everyone of the shop with their sessions; for the owner'),
        ...made(shopDeeds.people),
      },
      ...deedPaths('/people/{id}', jobId, personDeeds),
      '/shop': { ...get('What holds for the whole shop'), ...post(inWords(amendShop.spec), amendShop.spec.dto) },
      '/shop/terms': {
        ...get('What is charged, taxed and printed at the head'),
        ...post(inWords(shopDeeds['shop/terms'].spec), shopDeeds['shop/terms'].spec.dto),
      },
      '/rounds': get('What falls due, customer by customer; ahead: days (30)', [
        inQuery('ahead', 'integer'),
        inQuery('kind', 'string'),
        inQuery('customer', 'integer'),
        inQuery('site', 'integer'),
        inQuery('order', 'string'),
        inQuery('after', 'string'),
      ]),
      '/rounds/letters.pdf': file('A letter to everybody for whom something falls due, to print', 'application/pdf', [
        inQuery('ahead', 'integer'),
        inQuery('kind', 'string'),
        inQuery('customer', 'integer'),
        inQuery('site', 'integer'),
      ]),
      '/rounds/parts': get('Parts that what falls due will take, with odds; ahead: days (30)', [
        inQuery('ahead', 'integer'),
      ]),
      '/lives': get('What the history tells of a kind: lives, failures, what comes back', [inQuery('kind', 'string')]),
      '/lives/life': {
        ...get('How long a part lasted here, with its fit and its band', [
          inQuery('kind', 'string'),
          inQuery('fault', 'string'),
        ]),
        ...post(inWords(shopDeeds['lives/life'].spec), shopDeeds['lives/life'].spec.dto),
      },
      '/lives/interval': post(inWords(shopDeeds['lives/interval'].spec), shopDeeds['lives/interval'].spec.dto),
      '/instruments': {
        ...get('Instruments of the shop, with when their calibration runs out'),
        ...made(shopDeeds.instruments),
      },
      ...deedPaths('/instruments/{id}', jobId, instrumentDeeds),
      '/plans': post(inWords(shopDeeds.plans.spec), shopDeeds.plans.spec.dto),
      '/plans/{kind}': get('What falls due on a kind and how often, as the schema has it', [inPath('kind', 'string')]),
      '/schemas/plans.json': file('JSON Schema of the plan of a kind', 'application/schema+json'),
      '/shop/letters': {
        ...get('The words of the letters about what falls due'),
        ...post(inWords(shopDeeds['shop/letters'].spec), shopDeeds['shop/letters'].spec.dto),
      },
      '/rounds/feed': post(inWords(shopDeeds['rounds/feed'].spec), shopDeeds['rounds/feed'].spec.dto),
      '/shop/phrases': post(inWords(shopDeeds['shop/phrases'].spec), shopDeeds['shop/phrases'].spec.dto),
      '/shop/close-day': post(inWords(shopDeeds['shop/close-day'].spec), shopDeeds['shop/close-day'].spec.dto),
      '/shop/takings': get('What was taken on a day; day: today when absent', [inQuery('day', 'string')]),
      '/shop/mail': {
        ...get('How messages go out; never the secret'),
        ...post(inWords(shopDeeds['shop/mail'].spec), shopDeeds['shop/mail'].spec.dto),
      },
      '/messages': get('What was sent and what waits, newest first', [before]),
      ...deedPaths('/messages/{id}', jobId, messageDeeds),
      '/documents': get('Papers that were given, newest first', [before]),
      '/documents/{id}': get('A paper as it was given', [jobId]),
      '/documents/{id}/paper.pdf': file('A paper on paper', 'application/pdf', [jobId]),
      '/documents/{id}/invoice.xml': file('An invoice or credit note as UBL 2.1', 'application/xml', [jobId]),
      '/export/documents.csv': file('Every paper that was given, CSV', 'text/csv'),
      '/export/payments.csv': file('Every payment, CSV', 'text/csv'),
      '/shop/schools': post(inWords(shopDeeds['shop/schools'].spec), shopDeeds['shop/schools'].spec.dto),
      '/audit': get('Every change with before and after; for the owner', [
        inQuery('machine', 'integer'),
        inQuery('job', 'integer'),
        inQuery('person', 'integer'),
        inQuery('customer', 'integer'),
        before,
      ]),
      '/learning': {
        ...get('What the finder has learned and how often it was right; for the owner'),
        ...made(shopDeeds.learning),
      },
      ...deedPaths('/learning/{id}', jobId, learningDeeds),
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
      '/jobs': made(shopDeeds.jobs),
      '/jobs/{id}': get('One job with its odds', [jobId]),
      '/jobs/{id}/facts': get('One job as it is written down, without odds', [jobId]),
      '/jobs/{id}/odds': get('The odds of one job as they stand; key: the `oddsKey` that a deed has just told', [
        jobId,
        inQuery('key', 'string'),
      ]),
      '/jobs/{id}/agree': get('What would be offered, from what was found; budget: the most that extras may cost', [
        jobId,
        inQuery('budget', 'integer'),
      ]),
      '/jobs/{id}/service-report.pdf': file('What was done at a visit, on paper', 'application/pdf', [jobId]),
      ...deedPaths('/jobs/{id}', jobId, jobDeeds),
      '/drafts/{form}': {
        parameters: [{ name: 'form', in: 'path', required: true, schema: { type: 'string' } }],
        ...get('What was typed and not yet sent'),
        put: {
          summary: 'Keep a draft',
          requestBody: { required: true, ...json(ref(DraftDto)) },
          responses: { 200: { description: 'Kept, and when', ...json({ type: 'object' }) }, ...refusals },
        },
        delete: { summary: 'Drop a draft', responses: { 204: { description: 'Dropped' }, ...refusals } },
      },
      '/deeds/{key}': get('Whether what was sent under this key was done: asked after an answer that was lost', [
        inPath('key', 'string'),
      ]),
      '/me': get('One’s own sessions, second factor and tokens'),
      ...Object.fromEntries(
        Object.entries(shopDeeds)
          .filter(([path]) => path.startsWith('me/'))
          .map(([path, { spec }]) => [`/${path}`, post(inWords(spec), spec.dto)]),
      ),
      '/doors': get('What happened at the door; for the owner', [inQuery('person', 'integer'), before]),
      '/sign-in': { servers: [{ url: '/api' }], ...post('Open a session', SignInDto) },
    }),
    components: {
      securitySchemes: {
        token: { type: 'http', scheme: 'bearer' },
        session: { type: 'apiKey', in: 'cookie', name: 'gk_session' },
      },
      schemas: { ...schemas, Problem: problem },
    },
  };
}

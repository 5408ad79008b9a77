const text = { type: 'string' } as const;
const instant = { type: 'string', format: 'date-time' } as const;
const day = { type: 'string', format: 'date' } as const;
const orNull = (schema: object) => ({ anyOf: [schema, { type: 'null' }] });
const list = (items: object) => ({ type: 'array', items });
const object = (properties: Record<string, object>, optional: string[] = []) => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
  additionalProperties: false,
});

/** Between two services: days, hours run, or how often something else was done. */
const whole = { type: 'integer' };
const habit = object({ days: whole, hours: whole, uses: whole, times: whole }, ['days', 'hours', 'uses', 'times']);

/** Name of the form in every exported book; raised when a field changes its meaning. */
export const BOOK_FORM = 'grit-keeper/machine-book/1';

/** JSON Schema (2020-12) of an exported machine's book; published under /api/v1/schemas/machine-book.json. */
export const bookSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:grit-keeper:machine-book:1',
  title: 'A machine’s book',
  description: 'Everything that the shop knows of one machine. Instants in UTC, quantities in the unit beside them.',
  ...object({
    form: { const: BOOK_FORM },
    exportedAt: instant,
    shop: object({ name: text, zone: text, currency: text }),
    machine: object({
      tag: text,
      maker: text,
      model: text,
      kind: text,
      serial: text,
      madeYear: orNull({ type: 'integer' }),
      purchasedOn: orNull(day),
      warrantyUntil: orNull(day),
      mainsV: { type: 'integer' },
      pets: { type: 'boolean' },
      hoursPerWeek: { type: 'number' },
      note: text,
      droppedStations: list(text),
      addedStations: list(object({ line: text, after: text, id: text, label: text })),
      belts: list(text),
      bearings: list(text),
      filters: list(text),
    }),
    owner: object({ name: text, kind: text, phone: text, address: text, standing: text }),
    plans: list(
      object({
        item: text,
        label: text,
        lastDoneOn: orNull(day),
        dueOn: orNull(day),
        early: orNull(day),
        late: orNull(day),
        by: orNull({ enum: ['days', 'plate', 'hours', 'uses', 'times', 'wear', 'frost', 'finding'] }),
        maker: orNull(habit),
        bench: orNull(habit),
        byItsPeople: { type: 'boolean' },
      }),
    ),
    serviceReadings: list(object({ item: text, reading: text, place: text, value: { type: 'number' }, at: instant })),
    openFaults: list(object({ fault: text, job: { type: 'integer' }, at: instant })),
    meter: list(object({ at: instant, hours: { type: 'number', minimum: 0 } })),
    jobs: list(
      object({
        id: { type: 'integer' },
        stage: text,
        takenInAt: instant,
        closedAt: orNull(instant),
        promisedOn: day,
        words: text,
        visit: { enum: ['', 'service', 'height', 'new-part', 'before-sale'] },
        ending: orNull(text),
        foundWords: text,
        ownersWord: text,
        complaints: list(text),
        struck: list(object({ complaint: text, why: text })),
        repaired: list(text),
        served: list(text),
        service: list(
          object({
            item: text,
            state: { enum: ['done', 'worn', 'left'] },
            words: text,
            lookAgainOn: orNull(day),
            minutes: orNull({ type: 'integer' }),
            at: instant,
          }),
        ),
        care: list(object({ item: text, doneDays: { type: 'integer' }, ofDays: { type: 'integer' } })),
        customerDiagnosis: orNull(text),
        pickedUp: text,
        everWet: { enum: ['not-asked', 'no', 'yes', 'unknown'] },
        openedBefore: { type: 'boolean' },
        openedBy: text,
        arrivalSigns: list(text),
        accessories: list(text),
        marks: list(object({ station: text, text })),
        warrantyChoice: { enum: ['none', 'repair-here', 'authorised'] },
        comebackOf: orNull({ type: 'integer' }),
        findings: list(
          object({
            check: text,
            outcome: orNull(text),
            value: orNull({ type: 'number' }),
            unit: orNull(text),
            condition: orNull(text),
            at: instant,
            by: orNull(text),
            revoked: { type: 'boolean' },
          }),
        ),
        fitted: list(
          object({
            code: orNull(text),
            label: text,
            why: text,
            station: text,
            quantity: { type: 'integer' },
            at: instant,
          }),
        ),
        waits: list(object({ kind: text, what: text, startedAt: instant, endsAt: instant, endedAt: orNull(instant) })),
        proofs: list(
          object({
            item: text,
            result: { enum: ['pass', 'fail'] },
            before: orNull({ type: 'number' }),
            after: orNull({ type: 'number' }),
            unit: orNull(text),
            note: text,
            said: { type: 'object', additionalProperties: text },
          }),
        ),
        faults: list(text),
        advice: text,
      }),
    ),
    timeline: list(object({ at: instant, what: text, text, job: orNull({ type: 'integer' }), by: orNull(text) })),
    photographs: list(
      object({
        at: instant,
        job: orNull({ type: 'integer' }),
        caption: text,
        width: { type: 'integer' },
        height: { type: 'integer' },
        sha256: { type: 'string', pattern: '^[0-9a-f]{64}$' },
        jpegBase64: { type: 'string', contentEncoding: 'base64', contentMediaType: 'image/jpeg' },
      }),
    ),
  }),
} as const;

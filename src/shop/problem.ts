/** One thing that is wrong with one field, in words for the person who typed it. */
export interface FieldProblem {
  field: string;
  message: string;
}

/** Said of a field that no form of ours has. */
export const UNKNOWN_FIELD = 'This field is not known.';

/** A refusal that reaches the person as a problem document (RFC 9457). */
export class ProblemError extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 422 | 429 | 503,
    readonly title: string,
    readonly fields: FieldProblem[] = [],
    /** Further members of the document, such as the current state in a conflict. */
    readonly extra: Record<string, unknown> = {},
  ) {
    super(title);
    this.name = 'ProblemError';
  }
}

export function notFound(what: string): ProblemError {
  return new ProblemError(404, `${what} is not here.`);
}

/** Refusal that names every field at once; does nothing when there is nothing to say. */
export function refuseIf(fields: FieldProblem[]): void {
  if (fields.length > 0) throw new ProblemError(400, 'Some of it cannot be used as typed.', fields);
}

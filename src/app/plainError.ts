const LONGEST_STACK = 3000;
const LONGEST_MESSAGE = 300;

/** An error as it is logged. */
export interface PlainError {
  type: string;
  message: string;
  stack: string;
  code?: string;
  table?: string;
  constraint?: string;
}

/**
 * An error without what people typed: the words of the database repeat values ("Key (name)=(…) already exists", "invalid input
 * syntax: …") and the statement, so of its errors only the code (SQLSTATE), table and constraint are kept, and where in our
 * program it was.
 */
export function plainError(error: unknown): PlainError {
  if (!isError(error)) return { type: typeof error, message: 'no error was thrown', stack: '' };
  const { code, table, constraint } = error;
  const isOfDatabase = 'severity' in error || 'routine' in error;
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return {
    type: error.name,
    message: isOfDatabase ? 'of the database' : firstLine(error.message),
    stack: frames.join('\n').slice(0, LONGEST_STACK),
    ...(typeof code === 'string' ? { code } : {}),
    ...(typeof table === 'string' ? { table } : {}),
    ...(typeof constraint === 'string' ? { constraint } : {}),
  };
}

/** By its looks: an error of another world (a thread, a test) is one too. */
function isError(error: unknown): error is Error & Record<string, unknown> {
  return typeof error === 'object' && error !== null && 'stack' in error && 'message' in error;
}

function firstLine(message: string): string {
  return message.split('\n')[0]!.slice(0, LONGEST_MESSAGE);
}

/** Writes a fault into the log of the server: by its name and words only, nothing of what was asked. */
export function complain(error: unknown, more: Record<string, string> = {}): void {
  const { name, message } = error instanceof Error ? error : new Error('no error was thrown');
  const line = { level: 50, time: Date.now(), name: 'gritkeeper', ...more, err: { name, message } };
  process.stderr.write(`${JSON.stringify(line)}\n`);
}

/** What sort of device a session is on, without naming anybody's product. */
export function deviceWords(agent: string): string {
  if (/mobile|android|iphone/i.test(agent)) return 'a phone';
  if (/ipad|tablet/i.test(agent)) return 'a tablet';
  return agent === '' ? 'a device' : 'a computer';
}

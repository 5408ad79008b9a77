/** The process answers; nothing more is asked. */
export function GET() {
  return Response.json({ ok: true });
}

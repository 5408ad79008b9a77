import { ready } from '@/shop/health/ready';

export async function GET() {
  const state = await ready();
  return Response.json(state, { status: state.database && state.migrations ? 200 : 503 });
}

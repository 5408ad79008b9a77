import type { Metadata } from 'next';
import { counterNames } from '@/knowledge/atTheCounter';
import { findMachines, listModels } from '@/shop/machines/machines';
import { shopToday } from '@/shop/settings/shopToday';
import { addDays } from '@/core/service/days';
import { TakeInScreen } from '@/ui/takeIn/TakeInScreen';

export const metadata: Metadata = { title: 'Take in' };

const USUAL_DAYS = 3;

export default async function TakeInPage({ searchParams }: { searchParams: Promise<{ tag?: string | string[] }> }) {
  const { tag } = await searchParams;
  const [models, today] = await Promise.all([listModels(), shopToday()]);
  const known =
    typeof tag === 'string' ? (await findMachines({ words: tag })).rows.find((m) => m.tag === tag) : undefined;
  return (
    <TakeInScreen
      models={models}
      names={counterNames}
      today={today}
      promisedOn={addDays(today, USUAL_DAYS)}
      machine={known ?? null}
    />
  );
}

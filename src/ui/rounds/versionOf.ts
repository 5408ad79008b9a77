import type { CustomerCardView } from '@/shop/customers/dto';
import { ask } from '../asking/ask';

/** The version of a customer's card as it is now: a round shows many, and holds none of them. @throws NoAnswer */
export async function versionOf(customer: number): Promise<number> {
  return (await ask<CustomerCardView>(`/api/v1/customers/${customer}`)).version;
}

/** What is said when it cannot be read. */
export const NOT_READ = { status: 0, title: 'The server does not answer. Nothing was saved: try again.', fields: [] };

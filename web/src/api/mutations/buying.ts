import type { ArrivalInput, BuyingTerms, Order, OrderInput } from '@lanakit/core/buying';
import type { Mutation } from './mutation.ts';

/** What is on its way is shown with what is wanted. */
const ORDERS = ['/orders', '/buying', '/bench'] as const;
/** What came is on the shelf, and everything that looks at it says so. */
const SHELF = [
  ...ORDERS,
  '/fibres',
  '/blends',
  '/findings',
  '/needles',
  '/tools',
  '/promised',
  '/runs',
  '/stock',
  '/lots',
] as const;

export const saveBuyingTerms = (terms: BuyingTerms): Mutation<BuyingTerms> => ({
  method: 'PUT',
  path: '/buying/terms',
  body: terms,
  touches: ['/buying', '/bench'],
});

/** @param least null: no level */
export const setLevel = (itemId: string, least: number | null): Mutation<unknown> => ({
  method: 'PUT',
  path: `/stock/levels/${itemId}`,
  body: { least },
  touches: ['/buying', '/bench'],
});

export const draftOrders = (
  orders: readonly OrderInput[],
): Mutation<{ readonly items: readonly Order[] }> => ({
  method: 'POST',
  path: '/orders/together',
  body: { orders },
  touches: ORDERS,
});

export const saveOrder = ({ id, version }: Order, input: OrderInput): Mutation<Order> => ({
  method: 'PUT',
  path: `/orders/${id}`,
  body: input,
  version,
  touches: ORDERS,
});

/** @param to `sent`, `drafted` again, or `dropped` */
export const moveOrder = ({ id, version }: Order, to: 'sent' | 'drafted' | 'dropped'): Mutation<Order> => ({
  method: 'POST',
  path: `/orders/${id}/${to}`,
  version,
  touches: ORDERS,
});

export const takeIn = ({ id, version }: Order, arrival: ArrivalInput): Mutation<Order> => ({
  method: 'POST',
  path: `/orders/${id}/arrivals`,
  body: arrival,
  version,
  touches: SHELF,
});

export const takeArrivalBack = ({ id, version }: Order): Mutation<Order> => ({
  method: 'DELETE',
  path: `/orders/${id}/arrivals/last`,
  version,
  touches: SHELF,
});

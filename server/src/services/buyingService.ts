import type { Buying } from '@lanakit/core/api';
import { checkRange } from '@lanakit/core/base';
import { type BuyingTerms, checkBuyingTerms, comingOf, shelfWorth } from '@lanakit/core/buying';
import { AMOUNT_BOUNDS } from '@lanakit/core/shelf';
import { calendarOf } from './buyingCalendar.ts';
import { thingsOf } from './buyingThings.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr } from './refusal.ts';
import { buyingDaysAhead, buyingRun, buyingTerms, setBuyingTerms, wantsAhead } from './wantsAhead.ts';
import { warmPlans } from './warmPlans.ts';

export type BuyingService = ReturnType<typeof buyingService>;

/** What runs ahead want of the shelf, by when, and what is on its way. */
export const buyingService = ({ store, now }: ServiceDeps) => {
  const at = () => now().toISOString();
  const terms = (): BuyingTerms => buyingTerms(store);
  return answering({
    async wanted(): Promise<Buying> {
      const today = todayOf(now());
      await warmPlans(store, today);
      const wanted = wantsAhead(store, today);
      return {
        today,
        terms: terms(),
        runs: wanted.runs.map((run) => buyingRun(run, terms())),
        wants: wanted.wants,
        namesOfSorts: wanted.namesOfSorts,
        things: thingsOf(store),
        coming: comingOf(store.orders.open(), today),
        worth: shelfWorth({
          fibres: store.shelf.fibres(),
          findings: store.shelf.findings(),
          needles: store.shelf.needles(),
          tools: store.shelf.tools(),
        }),
      };
    },
    /** Days to order by, to begin by and to expect parcels on, as an iCalendar file. */
    async calendar() {
      const today = todayOf(now());
      await warmPlans(store, today);
      const bytes = calendarOf(buyingDaysAhead(store, today), store.orders.open(), {
        nameOf: (id) => store.items.kindOf(id)?.name ?? '',
        at: now(),
      });
      return { bytes, mime: 'text/calendar; charset=utf-8', name: 'lanakit-buying.ics' };
    },
    terms,
    setTerms(input: BuyingTerms): BuyingTerms {
      assertSound(checkBuyingTerms(input));
      setBuyingTerms(store, input, at());
      return terms();
    },
    /** @param least null: it has no level */
    setLevel(
      itemId: string,
      least: number | null,
    ): { readonly itemId: string; readonly least: number | null } {
      foundOr(store.items.kindOf(itemId));
      if (least !== null) assertSound(checkRange(least, { ...AMOUNT_BOUNDS, min: 0.001 }, '/least'));
      store.settings.setLevel(itemId, least);
      return { itemId, least };
    },
  });
};

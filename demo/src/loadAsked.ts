import { daysAfter } from '@lanakit/core/base';
import { blankCommission, type CommissionInput } from '@lanakit/core/commissions';
import { type Services, todayOf } from '@lanakit/server/services';
import { type Clock, done } from './studio.ts';

type Asked = Partial<Omit<CommissionInput, 'title' | 'askedOn' | 'byDay' | 'beginsOn' | 'handedOverOn' | 'patternId' | 'makings'>> & {
  readonly title: string;
  readonly askedDaysAgo: number;
  readonly byInDays?: number;
  readonly beginsInDays?: number;
  readonly handedOverDaysAgo?: number;
  /** The pattern that answers it. */
  readonly pattern?: string;
  /** So long ago the page of the logbook was written on which it was made. */
  readonly madeDaysAgo?: number;
}; // prettier-ignore

const ASKED: readonly Asked[] = [
  {
    title: 'Octopus for a birthday',
    askedBy: 'Noor',
    reach: 'at the market, Thursdays',
    words: 'For somebody who turns seven and counts arms.',
    askedDaysAgo: 31,
    byInDays: -6,
    handedOverDaysAgo: 7,
    pattern: 'Tide-pool octopus',
    madeDaysAgo: 9,
    state: 'handed-over',
    agreedMinor: 6400,
    hourlyMinor: 1800,
  },
  {
    title: 'Large puffin for a harbour office',
    askedBy: 'Joris',
    reach: 'harbour office, mornings',
    words: 'To stand in the window over the winter, half as tall again as the one in the shop. The beak as bright as may be.',
    askedDaysAgo: 12,
    byInDays: 24,
    beginsInDays: 14,
    pattern: 'Harbour puffin',
    height: { value: 200, unit: 'mm' },
    state: 'agreed',
    agreedMinor: 14_500,
    hourlyMinor: 1800,
  },
  {
    title: 'Two pears for a kitchen shelf',
    askedBy: 'Marit',
    words: 'One with a leaf and one without, if that can be.',
    askedDaysAgo: 3,
    byInDays: 20,
    pattern: 'Pear with two leaves',
    count: 2,
    hourlyMinor: 1800,
  },
  {
    title: 'A sitting hare',
    askedBy: 'Noor',
    words: 'Grey, with long ears, as large as a hand. For spring.',
    askedDaysAgo: 1,
    byInDays: 110,
  },
]; // prettier-ignore

/** Who asked this studio for what. */
export function loadAsked(servicesAt: Clock, now: Date): void {
  const services = servicesAt(now);
  const today = todayOf(now);
  const patterns = done(services.patterns.page(null, 50, false));
  for (const { title, askedDaysAgo, byInDays, beginsInDays, handedOverDaysAgo, pattern, madeDaysAgo, ...more } of ASKED) {
    const inDays = (days: number | undefined) => (days === undefined ? null : daysAfter(today, days));
    done(
      services.commissions.begin({
        ...blankCommission(title, daysAfter(today, -askedDaysAgo)),
        ...more,
        byDay: inDays(byInDays),
        beginsOn: inDays(beginsInDays),
        handedOverOn: handedOverDaysAgo === undefined ? null : daysAfter(today, -handedOverDaysAgo),
        patternId: patterns.find(({ document }) => document.title === pattern)?.id ?? null,
        makings: madeDaysAgo === undefined ? [] : pagesOf(services, pattern ?? '', daysAfter(today, -madeDaysAgo)),
      }),
    );
  }
} // prettier-ignore

const pagesOf = ({ makings }: Services, title: string, date: string) =>
  done(makings.list()).flatMap((page) =>
    page.title === title && page.date === date ? [{ makingId: page.id }] : [],
  );

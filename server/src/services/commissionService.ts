import type { CommissionLine, CommissionPage } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import { makesFromHere, oneMakeOf } from '@lanakit/core/buying';
import {
  buildWanted,
  checkCommission,
  type Commission,
  type CommissionInput,
  patternsAnswering,
  type PatternWords,
  standingOf,
} from '@lanakit/core/commissions';
import { estimatePattern } from '@lanakit/core/engine';
import { minutesOfMaking, tookOfMaking } from '@lanakit/core/logbook';
import type { Pattern } from '@lanakit/core/pattern';
import type { Store } from '../db/index.ts';
import { commissionCalendar } from './commissionCalendar.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { hereToMake } from './makesService.ts';
import { promisedAhead } from './promisedAhead.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { shelfOf } from './runSources.ts';
import { calendarOfStudio } from './takenDays.ts';

/** Looked through for an answer, the last changed first. */
const MOST_PATTERNS = 500;

export type CommissionService = ReturnType<typeof commissionService>;

/** Who asked for what: which pattern answers it, what it takes, and when it can be made. */
export function commissionService({ store, now, newId }: ServiceDeps) {
  const { commissions } = store;
  const at = () => now().toISOString();
  const today = () => todayOf(now());
  const found = (id: string): Commission => foundOr(commissions.find(id));
  const patternOf = ({ patternId }: CommissionInput): Pattern | null =>
    patternId === null ? null : (store.patterns.find(patternId)?.document ?? null);
  const lineOf = (commission: Commission): CommissionLine => {
    const { id, title, askedBy, byDay, state, agreedMinor, beginsOn } = commission;
    const pattern = patternOf(commission);
    const calendar = calendarOfStudio(store, today(), id);
    const { place } = standingOf(commission, pattern, shelfOf(store), calendar);
    return {
      id,
      title,
      askedBy,
      byDay,
      state,
      agreedMinor,
      beginsOn,
      patternTitle: pattern?.title ?? null,
      place: place && {
        beginBy: place.beginBy,
        isTooLate: place.isTooLate,
        lateOn: place.lateOn,
        workDays: place.workDays,
        days: place.days,
      },
    };
  };
  const enoughOf = (commission: Commission): CommissionPage['enough'] => {
    const pattern = patternOf(commission);
    const build = pattern && buildWanted(commission, resolveBuild(pattern, commission.choices));
    if (!build) return null;
    const here = hereToMake(store, promisedAhead(store, today()));
    const { makes, isMany, limits, uncounted } = makesFromHere(
      oneMakeOf(estimatePattern(build, shelfOf(store))),
      here,
    );
    return { makes, isMany, limits, uncounted };
  };
  return answering({
    /** Those wanted soonest first, then those wanted whenever they are done. */
    list: (): CommissionLine[] =>
      commissions
        .all()
        .map(lineOf)
        .toSorted((a, b) => ((a.byDay ?? '9999') < (b.byDay ?? '9999') ? -1 : 1)),
    page(id: string): CommissionPage {
      const commission = found(id);
      return {
        commission,
        ...calendarOfStudio(store, today(), id),
        answers: patternsAnswering(commission, patternWords(store)),
        enough: enoughOf(commission),
        makings: commission.makings.flatMap(({ makingId }) => {
          const making = store.makings.find(makingId);
          if (!making) return [];
          const { knownG: tookG, unknownCount } = tookOfMaking(making);
          const { title, date } = making;
          return [{ id: makingId, title, date, tookG, unknownCount, minutes: minutesOfMaking(making).known }];
        }),
      };
    },
    calendar: () => ({
      bytes: commissionCalendar(commissions.all().map(lineOf), now()),
      mime: 'text/calendar; charset=utf-8',
      name: 'lanakit-asked-for.ics',
    }),
    find: found,
    begin(input: CommissionInput): Commission {
      assertSound(checkCommission(input));
      const id = newId();
      commissions.insert(id, input, at());
      return found(id);
    },
    save(id: string, version: number, input: CommissionInput): Commission {
      found(id);
      assertSound(checkCommission(input));
      if (!commissions.update(id, version, input, at()))
        throw new Refusal({ code: 'version_conflict', yours: input, theirs: found(id) });
      return found(id);
    },
    remove(id: string): void {
      if (!commissions.remove(id, at())) throw new Refusal({ code: 'not_found' });
    },
    restore(id: string): Commission {
      if (!commissions.restore(id)) throw new Refusal({ code: 'not_found' });
      return found(id);
    },
  });
}

/** What of each pattern tells whether it is what somebody asks for: the same while none is written. */
const patternWords = (store: Store): readonly PatternWords[] =>
  store.remember(['patterns'], 'words of patterns', () =>
    store.patterns.page(null, MOST_PATTERNS).map(({ id, document: { title, parts } }) => ({
      id,
      title,
      others: parts.map(({ name }) => name),
    })),
  );

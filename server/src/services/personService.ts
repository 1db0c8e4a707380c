import type { ForgettingRule, PersonLine, Persons, SeatedPerson } from '@lanakit/core/api';
import { daysAfter } from '@lanakit/core/base';
import {
  hasPeople,
  hasPerson,
  lastDayOf,
  type Run,
  type RunInput,
  type Seat,
  seatKeyOf,
} from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { filesElsewhere, forgetElsewhere, namedElsewhere } from './namedElsewhere.ts';
import { answering, Refusal } from './refusal.ts';

export type PersonService = ReturnType<typeof personService>;

const SETTING = 'forgetting';
const MOST_SHOWN = 100;

type AnyRun = Run & { readonly isBinned: boolean };

/**
 * Who is named in classes, in the logbook and in what was asked for: found, given theirs, and forgotten everywhere, by hand or after a time.
 * @param forgotten what else knows of persons is told
 */
export function personService({ store, now }: ServiceDeps, forgotten: () => void) {
  const rule = (): ForgettingRule => store.settings.find<ForgettingRule>(SETTING) ?? { afterDays: null };
  const at = () => now().toISOString();
  /** Also what was written down of a class when it was bought, and how it was before. */
  const rosters = ({ id, roster }: Run): (readonly Seat[])[] => [
    roster,
    store.runs.frozen(id)?.input.roster ?? [],
    ...store.history.all('run', id).map((entry) => {
      const before = store.history.document('run', id, entry.id) as Partial<RunInput> | null;
      return before?.roster ?? [];
    }),
  ];
  const peopled = (): AnyRun[] => store.runs.every().filter((run) => rosters(run).some(hasPeople));
  /** Everybody in it, each seat and name once, as they are told of last. */
  const linesOf = (run: AnyRun): PersonLine[] => {
    const lines = new Map<string, PersonLine>();
    for (const seat of rosters(run).flat().filter(hasPerson)) {
      const key = `${seat.seat} ${nameKey(seat.name)}`;
      if (!lines.has(key)) lines.set(key, lineOf(run, seat));
    }
    return [...lines.values()];
  };
  /** Histories are long: looked through once, until a run is written. */
  const everybody = (): readonly PersonLine[] =>
    store.remember(['runs', 'logbook', 'asked'], 'everybody who is named', () => [
      ...peopled().flatMap(linesOf),
      ...namedElsewhere(store),
    ]);
  const named = (words: string): PersonLine[] => {
    const wanted = nameKey(words);
    return everybody().filter(
      ({ name, note }) => nameKey(name).includes(wanted) || nameKey(note).includes(wanted),
    );
  };
  return answering({
    rule,
    setRule: (next: ForgettingRule) => store.settings.set(SETTING, next, at()),
    /** @param words of a name or a note; none: everybody */
    find(words: string): Persons {
      const all = named(words);
      return {
        rule: rule(),
        items: all.slice(0, MOST_SHOWN),
        more: Math.max(0, all.length - MOST_SHOWN),
        classes: new Set(everybody().flatMap((line) => (line.of === 'seat' ? [line.runId] : []))).size,
      };
    },
    /** What is kept of one person, to be handed to them. @param name as it is written, small and large letters alike */
    file(name: string) {
      const items = named(name).filter((line) => nameKey(line.name) === nameKey(name));
      if (items.length === 0) throw new Refusal({ code: 'not_found' });
      const acts = items.flatMap((line) => (line.of === 'seat' ? actsAt(store, line) : []));
      const elsewhere = filesElsewhere(store, (other) => nameKey(other) === nameKey(name));
      const body = {
        format: 'lanakit-person',
        formatVersion: 1,
        madeAt: at(),
        name,
        items,
        acts,
        ...elsewhere,
      };
      return {
        bytes: Buffer.from(JSON.stringify(body, null, 2), 'utf8'),
        mime: 'application/json',
        name: 'what-is-kept.json',
      };
    },
    /** Out of every class, of what was written down of it and of how it was. @returns seats that were theirs */
    forget: (name: string) =>
      store.together(() => {
        const isTheirs = (seat: Seat) => nameKey(seat.name) === nameKey(name);
        const lines = named(name).filter((line) => nameKey(line.name) === nameKey(name));
        const seats = lines.filter((line) => line.of === 'seat');
        const pages = forgetElsewhere(store, (other) => nameKey(other) === nameKey(name), at());
        if (seats.length + pages === 0) throw new Refusal({ code: 'not_found' });
        for (const runId of new Set(seats.map((line) => line.runId)))
          store.runs.forgetPeople(runId, null, at(), isTheirs);
        forgotten();
        return { seats: seats.length, pages };
      }),
    /** Classes whose time has come are forgotten, and their codes end. @returns how many */
    forgetDue(): number {
      const { afterDays } = rule();
      if (afterDays === null) return 0;
      const today = todayOf(now());
      const due = peopled().filter((run) => daysAfter(lastDayOf(run), afterDays) < today);
      for (const { id } of due)
        store.together(() => {
          store.runs.forgetPeople(id, null, at());
          store.packCodes.end(id);
          const itself = { role: null, device: 'Lanakit', operation: FORGOTTEN, thingId: id };
          store.writeLog.add(itself, at());
        });
      if (due.length > 0) forgotten();
      return due.length;
    },
  });
}

/** As the log of writes has it. */
const FORGOTTEN = 'POST /runs/:id/people-forgotten';

/** Names are the same however they are spaced and cased. */
const nameKey = (name: string): string => name.normalize('NFC').trim().replaceAll(/\s+/g, ' ').toLowerCase();

/** What happened at that seat in the class: when it came, what its pieces were, photos with what was permitted. */
function actsAt(store: Store, { runId, seat }: SeatedPerson) {
  const run = store.runs.every().find(({ id }) => id === runId);
  const seatKey = run ? seatKeyOf(seat, run.roster) : null;
  return store.classEvents
    .of(runId)
    .filter(({ what }) => 'seatKey' in what && what.seatKey === seatKey)
    .map(({ at, what }) => ({ runId, at, ...what }));
}

const lineOf = ({ id, name, date, isBinned }: AnyRun, seat: Seat): SeatedPerson => ({
  of: 'seat',
  runId: id,
  runName: name,
  date,
  seat: seat.seat,
  name: seat.name.trim(),
  note: seat.note,
  avoids: seat.avoids,
  isLeftHanded: seat.isLeftHanded,
  isBinned,
});

import { RUN_DEFAULTS, type Pattern, type RunInput } from '@lanakit/core';
import { todayOf, type RouteDeps } from '../routes/deps.ts';
import { balloon, beetle, octopus, pear, puffin } from './patterns.ts';
import { loadShelf } from './loadShelf.ts';

/** Fills an empty studio with the demo: shelf, five figures, three classes ahead. Call it inside a transaction. */
export function loadDemo({ store, now, newId }: RouteDeps): void {
  const at = now().toISOString();
  const shelf = loadShelf({ store, now, newId });
  // Each a minute after the one before, so that lists have an order: the pear was changed last.
  let minutesOn = -10;
  const write = (document: Pattern) => {
    const id = newId();
    minutesOn += 1;
    store.patterns.insert(id, document, new Date(now().getTime() + minutesOn * 60_000).toISOString());
    return id;
  };
  const publish = (patternId: string, document: Pattern) => {
    const id = newId();
    store.patterns.publish(id, patternId, document, at);
    return id;
  };

  write(balloon(shelf));
  write(beetle(shelf));
  const octopusRevision = publish(write(octopus(shelf)), octopus(shelf));
  const puffinRevision = publish(write(puffin(shelf)), puffin(shelf));
  const pearId = write(pear(shelf));
  publish(pearId, withoutBlush(pear(shelf)));
  const pearRevision = publish(pearId, pear(shelf));

  const plan = (run: Pick<RunInput, 'name' | 'date' | 'seats' | 'sparePacks' | 'revisionId'>) =>
    store.runs.insert(newId(), { ...RUN_DEFAULTS, ...run }, at);
  const saturday = (weeks: number) => todayOf(saturdayAfter(now(), weeks));
  plan({ name: 'Saturday pears', date: saturday(0), seats: 11, sparePacks: 2, revisionId: pearRevision });
  plan({ name: 'Puffin weekend', date: saturday(2), seats: 8, sparePacks: 1, revisionId: puffinRevision });
  plan({
    name: 'Tide-pool evening',
    date: saturday(3),
    seats: 6,
    sparePacks: 1,
    revisionId: octopusRevision,
  });
}

/** The first Saturday at least two days off, then `weeks` later. */
function saturdayAfter(today: Date, weeks: number): Date {
  const date = new Date(today);
  date.setDate(date.getDate() + 2);
  date.setDate(date.getDate() + ((6 - date.getDay() + 7) % 7) + 7 * weeks);
  return date;
}

/** How the pear was first published. */
function withoutBlush(document: Pattern): Pattern {
  const blush = document.parts.find((part) => part.name === 'Blush')?.id;
  return {
    ...document,
    parts: document.parts.filter((part) => part.id !== blush),
    steps: document.steps.filter((step) => !step.partIds.includes(blush ?? '')),
  };
}

import type { Found, FoundAnswer } from '@lanakit/core/api';
import {
  beginsEach,
  nearestWord,
  placesOfPattern,
  placesOfRun,
  placesWith,
  wordsIn,
} from '@lanakit/core/search';
import { papersOfRun } from '@lanakit/core/words';
import type { SearchIndex, Store } from '../db/index.ts';
import { todayOf, type WorkDeps } from './deps.ts';
import { unlessDamaged } from './oneByOne.ts';
import { answering } from './refusal.ts';
import { runsAhead } from './runSources.ts';
import { searchIndexKeeper } from './searchIndexKeeper.ts';

export type SearchService = ReturnType<typeof searchService>;

/** So many of each kind are found; of more the next letter tells. */
const MOST_FOUND = 12;
/** Things that are looked into, and places that are shown of them. */
const MOST_INNER = 6;
/** Papers of so many runs. */
const MOST_RUNS_OF_PAPERS = 3;
/** Of a step that is shown. */
const MOST_LETTERS = 80;

/** Finds things by their names and by what is written in them, also where a name is not spelt as it is. */
export const searchService = ({ store, now, dataDir }: WorkDeps) => {
  const keeper = searchIndexKeeper(store, dataDir);
  return answering({
    startAnew: () => keeper.startAnew(),
    found(search: string): FoundAnswer {
      const words = wordsIn(search);
      if (words.length === 0) return { items: [], meant: null };
      const byName = (): FoundAnswer => ({ items: store.lists.found(search, MOST_FOUND), meant: null });
      return keeper.withIndex(byName, (index) => {
        const found = foundBy(store, index, search, words, todayOf(now()));
        if (found.length > 0) return { items: found, meant: null };
        const meant = meantBy(index, words);
        if (meant === null) return { items: [], meant: null };
        return {
          items: foundBy(store, index, meant.join(' '), meant, todayOf(now())),
          meant: meant.join(' '),
        };
      });
    },
  });
};

/** The words that were most likely meant; null: all of them stand somewhere, or one is near nothing. */
function meantBy(index: SearchIndex, words: readonly string[]): readonly string[] | null {
  const known = index.known();
  const meant = words.map((word) =>
    known.some((other) => other.word.startsWith(word)) ? word : nearestWord(word, known),
  );
  return meant.some((word) => word === null) || meant.every((word, at) => word === words[at])
    ? null
    : (meant as readonly string[]);
}

function foundBy(
  store: Store,
  index: SearchIndex,
  search: string,
  words: readonly string[],
  today: string,
): Found[] {
  const byName = store.lists.found(search, MOST_FOUND);
  const isNamed = new Set(byName.map(({ id }) => id));
  // Outside what may fail by the studio's own file: a fault of the index makes it anew.
  const [items, patterns, runs, lotIds] = (['item', 'pattern', 'run', 'lot'] as const).map((kind) =>
    index.find(kind, words, MOST_FOUND).filter((id) => !isNamed.has(id)),
  );
  const readable = (work: () => Found[]): Found[] => unlessDamaged(work, () => []);
  return [
    ...byName,
    ...readable(() => itemsByOtherNames(store, items ?? [])),
    ...readable(() => techniques(store, words)),
    ...readable(() => lots(store, lotIds ?? [])),
    ...readable(() => inPatterns(store, patterns ?? [], words)),
    ...readable(() => inRuns(store, runs ?? [], words)),
    ...readable(() => papers(store, words, today)),
  ];
}

const itemsByOtherNames = (store: Store, ids: readonly string[]): Found[] =>
  store.lists.namedItems(ids).map(({ id, kind, name, detail }) => ({ id, kind, name, detail, within: null }));

const techniques = (store: Store, words: readonly string[]): Found[] =>
  store.techniques
    .all()
    .filter(({ name }) => beginsEach(name, words))
    .map(({ id, name }) => ({ kind: 'technique', id, name, detail: '', within: null }));

const lots = (store: Store, ids: readonly string[]): Found[] =>
  store.lists.namedLots(ids).map(({ id, name, itemId, itemName, itemKind }) => ({
    kind: 'lot',
    id,
    name,
    detail: itemKind,
    within: { id: itemId, name: itemName },
  }));

/** What has all the words in one place comes before what has them only all together. */
const placesFirst = (found: readonly Found[]): Found[] => [
  ...found.filter(({ within }) => within !== null),
  ...found.filter(({ within }) => within === null),
];

/** Parts and steps that have all the words; a pattern that has them only all together stands for itself. */
const inPatterns = (store: Store, ids: readonly string[], words: readonly string[]): Found[] =>
  placesFirst(
    store.patterns.byIds(ids).flatMap(({ id, document }): Found[] => {
      const within = { id, name: document.title };
      const places = placesWith(placesOfPattern(document), words).slice(0, MOST_INNER);
      if (places.length === 0) return [{ kind: 'pattern', ...within, detail: '', within: null }];
      return places.map((place) => ({
        kind: place.kind,
        id: place.id,
        name:
          place.kind === 'step'
            ? `${document.steps.findIndex((step) => step.id === place.id) + 1}. ${shortened(place.text)}`
            : place.text,
        detail: '',
        within,
      }));
    }),
  );

const inRuns = (store: Store, ids: readonly string[], words: readonly string[]): Found[] =>
  placesFirst(
    store.runs.byIds(ids).flatMap((run): Found[] => {
      const within = { id: run.id, name: run.name };
      const places = placesWith(placesOfRun(run), words).slice(0, MOST_INNER);
      if (places.length === 0) return [{ kind: 'run', ...within, detail: run.date, within: null }];
      return places.map(({ kind, id, text }) => ({ kind, id, name: text, detail: run.date, within }));
    }),
  );

/** `labels saturday`: some words say which paper, the others of which run; without those, of the next ones. */
function papers(store: Store, words: readonly string[], today: string): Found[] {
  const named = papersOfRun('class').map(({ name }) => name);
  const ofPaper = words.filter((word) => named.some((name) => beginsEach(name, [word])));
  if (ofPaper.length === 0) return [];
  const ofRun = words.filter((word) => !ofPaper.includes(word));
  return runsAhead(store, today)
    .filter(({ name }) => beginsEach(name, ofRun))
    .slice(0, MOST_RUNS_OF_PAPERS)
    .flatMap((run) =>
      papersOfRun(run.kind)
        .filter(({ name }) => beginsEach(name, ofPaper))
        .map(({ path, name }): Found => ({
          kind: 'paper',
          id: path,
          name,
          detail: run.date,
          within: { id: run.id, name: run.name },
        })),
    );
}

/** As it is read, without the marks of its emphasis. */
function shortened(text: string): string {
  const plain = text.replaceAll(/[*_`]/g, '').replaceAll(/\s+/g, ' ');
  return plain.length > MOST_LETTERS ? `${plain.slice(0, MOST_LETTERS).trimEnd()}…` : plain;
}

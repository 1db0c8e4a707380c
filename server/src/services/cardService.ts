import { cardsOfRun, type CardTerms } from '@lanakit/core/papers';
import type { CardsTask } from '../papers/cards/cardsPdf.ts';
import { todayOf, type WorkDeps } from './deps.ts';
import { slugOf } from './fileNames.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import type { OutFile } from './patternFileService.ts';
import { answering, foundOr, Refusal } from './refusal.ts';

export type CardService = ReturnType<typeof cardService>;

/** Cards that lie in the packs of a run. */
export function cardService({ store, now, work }: WorkDeps) {
  return answering({
    /** @param signal nobody waits for it any more */
    async ofRun(runId: string, terms: CardTerms, signal?: AbortSignal): Promise<OutFile> {
      const { name } = foundOr(store.runs.find(runId));
      // As it is when its turn comes.
      const make = (): CardsTask => {
        const cards = cardsOfRun(paperSourceOf(store, foundOr(store.runs.find(runId)), todayOf(now())), terms);
        if (cards.length === 0) throw new Refusal({ code: 'not_found' });
        return { title: `${name}: cards`, cards, terms, at: now().toISOString() };
      };
      const bytes = await work.setCards(make, signal);
      return { bytes, mime: 'application/pdf', name: `${slugOf(name, 60) || 'run'}-cards.pdf` };
    },
  });
} // prettier-ignore

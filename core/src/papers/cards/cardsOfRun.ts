import { labelCode, type Pack, type PackGroup } from '../../run/index.ts';
import { groupWords, packWords } from '../../words/index.ts';
import type { Booklet } from '../booklet/model.ts';
import { packNames } from '../packNames.ts';
import type { PaperSource } from '../paper.ts';
import type { CardName, CardTerms } from './cardTerms.ts';
import { certificateCard } from './certificateCard.ts';
import { contentsCardOf } from './contentsCardOf.ts';
import { insertCard } from './insertCard.ts';
import { missingCard } from './missingCard.ts';
import { needlesCard } from './needlesCard.ts';
import { sharpsCard } from './sharpsCard.ts';

/** One card, before it is set: as many leaves as it takes. */
export interface RunCard {
  readonly name: CardName;
  /** For which packs: `Box 3`, `boxes 1–12`. */
  readonly whose: string;
  readonly card: Booklet;
}

/** What goes into the packs of a run beside the wool: pack by pack, or what is alike once. Trials and samples have none. */
export function cardsOfRun(source: PaperSource, terms: Pick<CardTerms, 'cards' | 'of'>): RunCard[] {
  const groups = source.toPack.groups.filter(({ sample }) => sample === null);
  const packsOf = (group: PackGroup) => source.packs.filter(({ groupKey }) => groupKey === group.key);
  if (terms.of === 'kinds')
    return groups.flatMap((group) => {
      const packs = packsOf(group);
      const alike = sharedCards(group, source, terms.cards).map((card) => ({ ...card, whose: packNames(packs) }));
      return [...alike, ...packs.flatMap((pack) => ownCards(pack, group, source, terms.cards))];
    });
  const made = new Map(groups.map((group) => [group.key, { group, cards: sharedCards(group, source, terms.cards) }]));
  return source.packs.flatMap((pack) => {
    const found = made.get(pack.groupKey);
    if (!found) return [];
    const shared = found.cards.map((card) => ({ ...card, whose: packWords(pack) })).filter(({ name }) => name !== 'contents');
    return inOrder([...shared, ...ownCards(pack, found.group, source, terms.cards, true)], terms.cards);
  });
} // prettier-ignore

const inOrder = (cards: readonly RunCard[], names: readonly CardName[]): RunCard[] =>
  cards.toSorted((a, b) => names.indexOf(a.name) - names.indexOf(b.name));

/** Those that are the same in every pack of a group. */
function sharedCards(group: PackGroup, source: PaperSource, names: readonly CardName[]): Omit<RunCard, 'whose'>[] {
  return names.flatMap((name) => {
    const card = sharedCard(name, group, source);
    return card ? [{ name, card: { ...card, whose: groupWords(group) } }] : [];
  });
} // prettier-ignore

function sharedCard(name: CardName, group: PackGroup, source: PaperSource): Booklet | null {
  switch (name) {
    case 'insert':
      return insertCard(group, source);
    case 'contents':
      return contentsCardOf(group, source);
    case 'needles':
      return needlesCard(group, source);
    case 'sharps':
      return sharpsCard(group, source);
    case 'missing':
    case 'certificate':
      return null;
  }
}

/** Those with the pack’s own lots, code or name on them. @param isWithContents each has its own lots told */
function ownCards(pack: Pack, group: PackGroup, source: PaperSource, names: readonly CardName[], isWithContents = false): RunCard[] {
  const whose = packWords(pack);
  return names.flatMap((name): RunCard[] => {
    if (name === 'contents' && isWithContents)
      return [{ name, whose, card: { ...contentsCardOf(group, source, [pack.id]), whose: groupWords(group) } }];
    if (name === 'missing') {
      const code = labelCode({ runId: source.runId, packId: pack.id, bagKey: null });
      return [{ name, whose, card: missingCard(whose, code, source) }];
    }
    if (name !== 'certificate' || pack.kind !== 'seat') return [];
    return [{ name, whose, card: certificateCard(pack, group, source) }];
  });
} // prettier-ignore

import { labelCode, type Pack, type PackGroup } from '../../run/index.ts';
import { groupWords, packWords } from '../../words/index.ts';
import type { Booklet } from '../booklet/model.ts';
import { lotNotesOf } from '../lotNotes.ts';
import { packNames } from '../packNames.ts';
import type { PaperSource } from '../paper.ts';
import type { CardName, CardTerms } from './cardTerms.ts';
import { certificateCard } from './certificateCard.ts';
import { contentsCardOf, lotsTold } from './contentsCardOf.ts';
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
export function cardsOfRun(source: PaperSource, { cards, of }: Pick<CardTerms, 'cards' | 'of'>): RunCard[] {
  const groups = new Map(source.toPack.groups.filter(({ sample }) => sample === null).map((group) => [group.key, group]));
  const alikeCard = alikeCards(source);
  const cardsFor = (group: PackGroup, packs: readonly Pack[], whose: string, names: readonly CardName[]): RunCard[] =>
    names.flatMap((name) => {
      const [pack] = packs;
      const card = isAlike(name) ? alikeCard(name, group, packs) : pack ? ownCard(name, pack, group, source) : null;
      return card ? [{ name, whose, card }] : [];
    });
  if (of === 'packs')
    return source.packs.flatMap((pack) => {
      const group = groups.get(pack.groupKey);
      return group ? cardsFor(group, [pack], packWords(pack), cards) : [];
    });
  const ofPack = cards.filter((name) => !isAlike(name));
  return [...groups.values()].flatMap((group) => {
    const packs = source.packs.filter(({ groupKey }) => groupKey === group.key);
    return [
      ...cardsFor(group, packs, packNames(packs), cards.filter(isAlike)),
      ...packs.flatMap((pack) => cardsFor(group, [pack], packWords(pack), ofPack)),
    ];
  });
} // prettier-ignore

type AlikeName = Exclude<CardName, 'missing' | 'certificate'>;

/** The same in many packs; the others have a pack’s own code or name on them. */
const isAlike = (name: CardName): name is AlikeName => name !== 'missing' && name !== 'certificate';

/** Each is made once for all packs that have the same: of a group, and of the contents those of the same lots. */
function alikeCards(source: PaperSource) {
  const lotNotes = lotNotesOf(source);
  const made = new Map<string, Booklet | null>();
  const make = (name: AlikeName, group: PackGroup, packIds: readonly string[]): Booklet | null => {
    switch (name) {
      case 'insert':
        return insertCard(group, source);
      case 'contents':
        return contentsCardOf(group, source, lotNotes, packIds);
      case 'needles':
        return needlesCard(group, source);
      case 'sharps':
        return sharpsCard(group, source);
    }
  };
  return (name: AlikeName, group: PackGroup, packs: readonly Pack[]): Booklet | null => {
    const packIds = packs.map(({ id }) => id);
    const key = JSON.stringify([name, group.key, name === 'contents' ? lotsTold(group, source, lotNotes, packIds) : null]);
    const known = made.get(key);
    if (known !== undefined) return known;
    const card = make(name, group, packIds);
    const named = card && { ...card, whose: groupWords(group) };
    made.set(key, named);
    return named;
  };
} // prettier-ignore

function ownCard(name: CardName, pack: Pack, group: PackGroup, source: PaperSource): Booklet | null {
  if (name === 'missing')
    return missingCard(
      packWords(pack),
      labelCode({ runId: source.runId, packId: pack.id, bagKey: null }),
      source,
    );
  return name === 'certificate' && pack.kind === 'seat' ? certificateCard(pack, group, source) : null;
}

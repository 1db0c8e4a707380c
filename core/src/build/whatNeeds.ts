import { isWool, type Pattern } from '../pattern/index.ts';

/** Why a part cannot do without another. */
export interface PartNeed {
  readonly neededBy: string;
  readonly partId: string;
  readonly why: 'joined-onto' | 'lies-on' | 'size-from' | 'amount-from';
}

/** Which parts need which: a leaf set onto a stalk, a patch on a body, a ring as wide as the envelope's third. */
export function partNeeds(pattern: Pattern): PartNeed[] {
  const ownerOf = new Map(pattern.parts.flatMap((part) => part.uses.map(({ id }) => [id, part.id] as const)));
  const inParts = pattern.parts.flatMap((part): PartNeed[] => {
    const need = (partId: string | null | undefined, why: PartNeed['why']): PartNeed[] =>
      partId == null || partId === part.id ? [] : [{ neededBy: part.id, partId, why }];
    return [
      ...(part.shape.kind === 'patch' ? need(part.shape.onPartId, 'lies-on') : []),
      ...part.derived.flatMap((size) => (size.from === 'part' ? need(size.partId, 'size-from') : [])),
      ...part.uses.flatMap((use) =>
        isWool(use) && use.amount && 'ofUseId' in use.amount
          ? need(ownerOf.get(use.amount.ofUseId ?? ''), 'amount-from')
          : [],
      ),
    ];
  });
  const joined = pattern.joins.map(({ partId, ontoId }): PartNeed => ({
    neededBy: partId,
    partId: ontoId,
    why: 'joined-onto',
  }));
  return [...inParts, ...joined];
}

/** What is missing from a build: needs of parts that stay, of parts that were left out. */
export function unmetNeeds(pattern: Pattern, build: Pattern): PartNeed[] {
  const there = new Set(build.parts.map(({ id }) => id));
  return partNeeds(pattern).filter(
    ({ neededBy, partId, why }) =>
      there.has(neededBy) &&
      !there.has(partId) &&
      !(why === 'joined-onto' && isJoinedElsewhere(build, neededBy)),
  );
}

/** A part that another join holds does not fall off. */
const isJoinedElsewhere = ({ joins }: Pattern, partId: string): boolean =>
  joins.some((join) => join.partId === partId);

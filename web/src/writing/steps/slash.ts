import { blankCheck, needleOf, type Pattern, type Step } from '@lanakit/core/pattern';
import { byGauge, distinctNeedles, wantedKey, wantedOfKey } from '@lanakit/core/shelf';
import { wantedName } from '@lanakit/core/words';
import type { Technique } from '@lanakit/core/writing';
import { useMemo } from 'react';
import { useTechniques } from '../../api/queries.ts';
import { useTable } from '../table/tableContext.ts';

export interface SlashChoice {
  readonly value: string;
  readonly label: string;
  readonly search: string;
}

/** What `/` offers: parts, findings and needles of this pattern, a check, a wait, and techniques. */
export function slashChoices(
  pattern: Pattern,
  findingName: (findingId: string) => string | undefined,
  techniques: readonly Pick<Technique, 'id' | 'name'>[],
): SlashChoice[] {
  const choice = (value: string, label: string): SlashChoice => ({ value, label, search: label });
  const inUse = distinctNeedles(pattern.steps.flatMap((step) => needleOf(step, pattern) ?? []));
  const needles = inUse.length > 0 ? inUse : [byGauge(36), byGauge(38), byGauge(40)];
  return [
    ...pattern.parts.map(({ id, name }, index) => choice(`part:${id}`, `part ${index + 1} ${name}`)),
    ...pattern.findings.flatMap(({ id, findingId }) => {
      const name = findingName(findingId ?? '');
      return name === undefined ? [] : [choice(`finding:${id}`, `finding ${name}`)];
    }),
    ...needles.map((needle) => choice(`needle:${wantedKey(needle)}`, `needle ${wantedName(needle)}`)),
    choice('check:new', 'check before going on'),
    choice('wait:new', 'wait: it sets or dries'),
    ...techniques.map(({ id, name }) => choice(`technique:${id}`, `technique ${name}`)),
  ];
}

const NONE: readonly never[] = [];

export function useSlashChoices(): SlashChoice[] {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const techniques = useTechniques().data?.items ?? NONE;
  return useMemo(
    () => slashChoices(document, (id) => wool.findings.get(id)?.name, techniques),
    [document, wool, techniques],
  );
}

export type SlashRead =
  | {
      readonly kind: 'step';
      readonly text: string;
      readonly change: (step: Step, newId: string) => Partial<Step>;
    }
  | { readonly kind: 'technique'; readonly text: string; readonly techniqueId: string };

const CHOSEN = /\/(part|finding|needle|check|wait|technique):([A-Za-z0-9_.-]+)(?: |$)/;

/** The text with what was chosen written out, and what it does to the step; null where nothing was just chosen. */
export function readSlash(
  text: string,
  pattern: Pattern,
  findingName: (findingId: string) => string | undefined,
): SlashRead | null {
  const match = CHOSEN.exec(text);
  if (!match) return null;
  const [chosen, kind, id = ''] = match;
  const put = (words: string) =>
    `${text.slice(0, match.index)}${words}${words === '' ? '' : ' '}${text.slice(match.index + chosen.length)}`;
  switch (kind) {
    case 'part': {
      const name = pattern.parts.find((part) => part.id === id)?.name.toLowerCase() ?? '';
      const change = ({ partIds }: Step) => ({ partIds: partIds.includes(id) ? partIds : [...partIds, id] });
      return { kind: 'step', text: put(name === '' ? '' : `the ${name}`), change };
    }
    case 'finding': {
      const finding = pattern.findings.find((use) => use.id === id);
      const partId = finding?.partId ?? null;
      const change = ({ partIds }: Step) => ({
        partIds: partId === null || partIds.includes(partId) ? partIds : [...partIds, partId],
      });
      const name = findingName(finding?.findingId ?? '') ?? '';
      return { kind: 'step', text: put(name), change };
    }
    case 'needle': {
      const needle = wantedOfKey(id);
      const change = (): Partial<Step> => (needle ? { needle } : {});
      return { kind: 'step', text: put(''), change };
    }
    case 'check':
      return {
        kind: 'step',
        text: put(''),
        change: ({ checks }, newId) => ({ checks: [...checks, blankCheck(newId)] }),
      };
    case 'wait':
      return {
        kind: 'step',
        text: put(''),
        change: () => ({ act: { kind: 'wait' }, needle: { by: 'none' } }),
      };
    default:
      return { kind: 'technique', text: put(''), techniqueId: id };
  }
}

import type { MakingPage } from '@lanakit/core/api';
import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { MAKING_BOUNDS } from '@lanakit/core/logbook';
import { useMemo } from 'react';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from './Making.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

interface ThingLinesProps {
  page: MakingPage;
  draft: MakingDraft;
  wool: Wool;
}

/** Bought things that are counted: how many went in, and how many more rolled under the table or broke. */
export function ThingLines({ page: { build }, draft: { input, change }, wool }: ThingLinesProps) {
  const counted = useMemo(
    () =>
      build
        ? estimatePattern(build, wool).findings.filter(({ unit, most }) => unit === 'piece' && most > 0)
        : [],
    [build, wool],
  );
  if (counted.length === 0) return null;
  const told = (findingId: string) => input.things?.find((thing) => thing.findingId === findingId) ?? null;
  const set = (findingId: string, most: number, more: { readonly used?: number; readonly lost?: number }) =>
    change('what was lost', (making) => {
      const things = (making.things ??= []);
      const thing = things.find((each) => each.findingId === findingId);
      if (thing) Object.assign(thing, more);
      else things.push({ findingId, used: most, lost: 0, ...more });
    });
  return (
    <section aria-label="Eyes and other things">
      <h3>Eyes and other things</h3>
      {counted.map(({ findingId, most }) => {
        const name = wool.findings.get(findingId)?.name ?? 'a thing no longer on the shelf';
        return (
          <div key={findingId} className={styles.thing} role="group" aria-label={name}>
            <span className={styles.name}>{name}</span>
            <NumberField<number>
              label="Went in"
              isWhole
              value={told(findingId)?.used ?? most}
              bounds={MAKING_BOUNDS.things}
              onValue={(used) => set(findingId, most, { used })}
            />
            <NumberField<number | null>
              label="Lost or broken"
              isWhole
              allowEmpty
              placeholder="not said"
              value={told(findingId)?.lost ?? null}
              bounds={MAKING_BOUNDS.things}
              onValue={(lost) => set(findingId, most, { lost: lost ?? 0 })}
            />
          </div>
        );
      })}
    </section>
  );
}

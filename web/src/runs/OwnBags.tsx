import { Button, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import { Field } from '../ui/fields/Field.tsx';
import styles from './RunTerms.module.css';
import type { RunDraft } from './useRunDraft.ts';
import type { ShownRun } from './useRunPlan.ts';

/** Bags of the maker’s own making: which parts and joins go into each. */
export function OwnBags({ runPlan: { groups }, draft }: { runPlan: ShownRun; draft: RunDraft }) {
  const { ownBags } = draft.input;
  const makes = new Map(groups.flatMap(({ makes: group }) => group.map((make) => [make.revisionId, make])));
  const options = [...makes.values()].flatMap(({ pattern, revisionId }) => [
    ...pattern.parts.map(({ id, name }) => ({
      value: `${revisionId} ${id}`,
      label: makes.size > 1 ? `${pattern.title}: ${name}` : name,
    })),
    ...pattern.joins.map(({ id, partId, ontoId }) => ({
      value: `${revisionId} ${id}`,
      label: `join ${pattern.parts.find((part) => part.id === partId)?.name ?? ''} to ${pattern.parts.find((part) => part.id === ontoId)?.name ?? ''}`,
    })),
  ]);
  const set = (at: number, more: Partial<(typeof ownBags)[number]>) =>
    draft.change({
      ownBags: ownBags.map((ownBag, index) => (index === at ? { ...ownBag, ...more } : ownBag)),
    });
  return (
    <>
      {ownBags.map((bag, at) => (
        <div key={bag.id} className={styles.own}>
          <Field label="Bag">
            {(control) => (
              <Input
                {...control}
                value={bag.name}
                maxLength={60}
                placeholder="first evening"
                onChange={(event) => set(at, { name: event.target.value })}
              />
            )}
          </Field>
          <Field label="holds">
            {(control) => (
              <Select<string[]>
                {...control}
                mode="multiple"
                className="wide"
                optionFilterProp="label"
                value={bag.places.map(({ revisionId, id }) => `${revisionId} ${id}`)}
                options={options}
                onChange={(keys) =>
                  set(at, {
                    places: keys.map((key) => {
                      const [revisionId = '', id = ''] = key.split(' ');
                      return { revisionId, id };
                    }),
                  })
                }
              />
            )}
          </Field>
          <Button
            size="small"
            type="text"
            onClick={() => draft.change({ ownBags: ownBags.filter((_, index) => index !== at) })}
          >
            Take out
          </Button>
        </div>
      ))}
      <p className="quiet small">What is in none of them goes into the figure’s bag.</p>
      <Button
        size="small"
        disabled={ownBags.length >= 24}
        onClick={() =>
          draft.change({
            ownBags: [...ownBags, { id: nanoid(8), name: `Bag ${ownBags.length + 1}`, places: [] }],
          })
        }
      >
        Add a bag
      </Button>
    </>
  );
}

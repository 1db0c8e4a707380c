import { majorOf, minorOf } from '@lanakit/core/base';
import { type Assortment, OFFER_BOUNDS } from '@lanakit/core/shelf';
import { UNIT_WORDS } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import type { Entry } from './entries.ts';
import styles from './Panel.module.css';

interface AssortmentsProps {
  assortments: readonly Assortment[];
  goods: ReadonlyMap<string, Entry>;
  problemAt: (pointer: string) => string | null;
  onChange: (assortments: Assortment[]) => void;
}

/** Packs with several things in them, such as eight colours at once. */
export function Assortments({ assortments, goods, problemAt, onChange }: AssortmentsProps) {
  const set = (at: number, more: Partial<Assortment>) =>
    onChange(
      assortments.map((assortment, index) => (index === at ? { ...assortment, ...more } : assortment)),
    );
  const add = () => onChange([...assortments, { name: '', priceMinor: 0, reference: '', contents: [] }]);
  return (
    <section className={styles.section} aria-label="Assortments">
      <div className={styles.sectionHead}>
        <h3>Assortments</h3>
        <Button size="small" onClick={add}>
          Add an assortment
        </Button>
      </div>
      {assortments.map((assortment, at) => (
        <AssortmentFields
          key={at}
          assortment={assortment}
          goods={goods}
          problemAt={(field) => problemAt(`/assortments/${at}${field}`)}
          onChange={(more) => set(at, more)}
          onRemove={() => onChange(assortments.filter((_, index) => index !== at))}
        />
      ))}
    </section>
  );
}

interface AssortmentFieldsProps {
  assortment: Assortment;
  goods: ReadonlyMap<string, Entry>;
  problemAt: (field: string) => string | null;
  onChange: (more: Partial<Assortment>) => void;
  onRemove: () => void;
}

function AssortmentFields({ assortment, goods, problemAt, onChange, onRemove }: AssortmentFieldsProps) {
  const { name, priceMinor, contents } = assortment;
  const setAmount = (itemId: string, amount: number) =>
    onChange({
      contents: contents.map((content) => (content.itemId === itemId ? { itemId, amount } : content)),
    });
  const choose = (ids: readonly string[]) =>
    onChange({
      contents: ids.map(
        (itemId) =>
          contents.find((content) => content.itemId === itemId) ?? {
            itemId,
            amount: contents.at(-1)?.amount ?? 10,
          },
      ),
    });
  const what = name === '' ? 'the assortment' : name;
  return (
    <div className="below-3 in-stack">
      <Field label="Assortment" problem={problemAt('/name')}>
        {(control) => (
          <Input
            {...control}
            value={name}
            maxLength={80}
            onChange={(event) => onChange({ name: event.target.value })}
          />
        )}
      </Field>
      <div className={styles.inline}>
        <NumberField
          label="Price of the pack"
          value={majorOf(priceMinor)}
          bounds={{ min: 0, max: majorOf(OFFER_BOUNDS.priceMinor.max) }}
          decimals={2}
          problem={problemAt('/priceMinor')}
          onValue={(price) => onChange({ priceMinor: minorOf(price) })}
        />
        <Button type="text" onClick={onRemove}>
          Take out
        </Button>
      </div>
      <Field label={`In ${what}`} problem={problemAt('/contents')}>
        {(control) => (
          <Select<string[]>
            {...control}
            className="wide"
            mode="multiple"
            value={contents.map(({ itemId }) => itemId)}
            showSearch={{ optionFilterProp: 'label' }}
            options={[...goods.values()].map((good) => ({
              value: good.id,
              label: `${good.name} ${good.sub}`,
            }))}
            onChange={choose}
          />
        )}
      </Field>
      <div className={styles.two}>
        {contents.map(({ itemId, amount }, at) => (
          <NumberField
            key={itemId}
            label={goods.get(itemId)?.name ?? 'a thing no longer on the shelf'}
            value={amount}
            bounds={OFFER_BOUNDS.packAmount}
            suffix={UNIT_WORDS[goods.get(itemId)?.unit ?? 'piece']}
            problem={problemAt(`/contents/${at}/amount`)}
            onValue={(next) => setAmount(itemId, next)}
          />
        ))}
      </div>
    </div>
  );
}

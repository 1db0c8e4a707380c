import { writtenFibre } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import { type FibreSlot, isWool, type Pattern } from '@lanakit/core/pattern';
import { Button, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import { Choice } from '../../ui/fields/Choice.tsx';
import { FibreSelect } from '../../ui/fields/FibreSelect.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import { ownerName } from '../../words/ownerWords.ts';
import { layerName } from '../../words/layerName.ts';
import styles from './Options.module.css';

/** Slots: named places for a fibre. Colourways: which fibre fills each of them. */
export function Colourways() {
  const edit = useTable((table) => table.edit);
  const slots = useTable((table) => table.document.slots);
  const colourways = useTable((table) => table.document.colourways);
  return (
    <section className={lists.section} aria-label="Colourways">
      <header>
        <h3>Colourways</h3>
        <span className="quiet small">a slot is a named place for a fibre; a colourway fills it</span>
      </header>
      {slots.map((slot) => (
        <SlotFields key={slot.id} slot={slot} />
      ))}
      <Button
        size="small"
        onClick={() =>
          edit(
            'adding a slot',
            (draft) => void draft.slots.push({ id: nanoid(10), name: '', places: [], rule: null }),
          )
        }
      >
        Add a slot
      </Button>{' '}
      <Button
        size="small"
        disabled={slots.length === 0}
        onClick={() =>
          edit(
            'adding a colourway',
            (draft) => void draft.colourways.push({ id: nanoid(10), name: '', fills: [] }),
          )
        }
      >
        Add a colourway
      </Button>
      {colourways.map(({ id }) => (
        <ColourwayFields key={id} colourwayId={id} />
      ))}
    </section>
  );
}

/** Every place a fibre is named, under its part. */
const placesOf = (pattern: Pattern, wool: Wool) => [
  ...pattern.parts.flatMap((part) =>
    part.uses
      .filter(isWool)
      .map((use) => ({ value: `use:${use.id}`, label: layerName(part.name, use, wool) })),
  ),
  ...pattern.joins
    .filter(({ cover }) => cover !== null)
    .map(({ id }) => ({
      value: `join:${id}`,
      label: `cover of ${ownerName({ kind: 'join', id }, pattern)}`,
    })),
];

function SlotFields({ slot }: { slot: FibreSlot }) {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const change = (label: string, recipe: (draft: FibreSlot) => void, key?: string) =>
    edit(
      label,
      (draft) => {
        const ownSlot = draft.slots.find(({ id }) => id === slot.id);
        if (ownSlot) recipe(ownSlot);
      },
      key && `${slot.id}.${key}`,
    );
  const rules = Object.fromEntries(
    document.slots.flatMap(({ id, name }) =>
      id === slot.id
        ? []
        : [
            [`darker ${id}`, `darker than ${name || 'unnamed'}`],
            [`lighter ${id}`, `lighter than ${name || 'unnamed'}`],
          ],
    ),
  );
  return (
    <div className={`${lists.grid} below-2`}>
      <Field label="Slot" className={lists.span3 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={slot.name}
            maxLength={80}
            placeholder="coat"
            onChange={(event) => {
              const name = event.target.value;
              change('the name of a slot', (draft) => void (draft.name = name), 'name');
            }}
          />
        )}
      </Field>
      <Field label="Its places" className={lists.span5 ?? ''}>
        {(control) => (
          <Select
            {...control}
            mode="multiple"
            className="wide"
            optionFilterProp="label"
            popupMatchSelectWidth={false}
            value={slot.places.map(({ kind, id }) => `${kind}:${id}`)}
            placeholder="choose"
            options={placesOf(document, wool)}
            onChange={(keys: string[]) =>
              change('the places of a slot', (draft) => {
                draft.places = keys.map((key) => ({
                  kind: key.startsWith('join:') ? 'join' : 'use',
                  id: key.slice(key.indexOf(':') + 1),
                }));
              })
            }
          />
        )}
      </Field>
      <Choice
        className={lists.span4 ?? ''}
        label="Has to be"
        value={slot.rule ? `${slot.rule.is} ${slot.rule.thanSlotId}` : null}
        words={rules}
        none="anything"
        onChoose={(key) =>
          change('the rule of a slot', (draft) => {
            const [is, thanSlotId] = key?.split(' ') ?? [];
            draft.rule =
              thanSlotId !== undefined && (is === 'darker' || is === 'lighter') ? { is, thanSlotId } : null;
          })
        }
      />
      <div className={lists.span12}>
        <Button
          size="small"
          type="text"
          onClick={() =>
            edit('deleting a slot', (draft) => {
              draft.slots = draft.slots.filter(({ id }) => id !== slot.id);
              for (const other of draft.slots) if (other.rule?.thanSlotId === slot.id) other.rule = null;
              for (const way of draft.colourways)
                way.fills = way.fills.filter(({ slotId }) => slotId !== slot.id);
            })
          }
        >
          Take the slot away
        </Button>
      </div>
    </div>
  );
}

function ColourwayFields({ colourwayId }: { colourwayId: string }) {
  const fibres = useTable((table) => table.fibres);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const colourway = document.colourways.find(({ id }) => id === colourwayId);
  if (!colourway) return null;
  return (
    <div className={styles.value} role="group" aria-label={colourway.name || 'a colourway'}>
      <div className={lists.grid}>
        <Field label="Colourway" className={lists.span4 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={colourway.name}
              maxLength={80}
              placeholder="winter"
              onChange={(event) => {
                const name = event.target.value;
                edit(
                  'the name of a colourway',
                  (draft) => {
                    const ownColourway = draft.colourways.find(({ id }) => id === colourwayId);
                    if (ownColourway) ownColourway.name = name;
                  },
                  `${colourwayId}.name`,
                );
              }}
            />
          )}
        </Field>
        {document.slots.map((slot) => (
          <Field key={slot.id} label={slot.name || 'a slot'} className={lists.span4 ?? ''}>
            {(control) => (
              <FibreSelect
                control={control}
                fibres={fibres}
                value={colourway.fills.find(({ slotId }) => slotId === slot.id)?.fibreId ?? null}
                placeholder="as written"
                noneLabel={`as written: ${fibres.find(({ id }) => id === writtenFibre(slot, document))?.name ?? 'none'}`}
                onChoose={(fibreId) =>
                  edit('a fibre of a colourway', (draft) => {
                    const ownColourway = draft.colourways.find(({ id }) => id === colourwayId);
                    if (!ownColourway) return;
                    ownColourway.fills = ownColourway.fills.filter(({ slotId }) => slotId !== slot.id);
                    if (fibreId !== null) ownColourway.fills.push({ slotId: slot.id, fibreId });
                  })
                }
              />
            )}
          </Field>
        ))}
      </div>
      <Button
        size="small"
        type="text"
        onClick={() =>
          edit(
            'deleting a colourway',
            (draft) => void (draft.colourways = draft.colourways.filter(({ id }) => id !== colourwayId)),
          )
        }
      >
        Take the colourway away
      </Button>
    </div>
  );
}

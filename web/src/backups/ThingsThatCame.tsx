import type { StudioThatCame, ThingOfShelf, ThingThatCame } from '@lanakit/core/api';
import { Select } from 'antd';
import { useMemo } from 'react';
import { counted, PREPARATION_WORDS } from '../words/show.ts';
import { THING_WORDS } from '../words/studioFileWords.ts';
import styles from './BringStudioIn.module.css';

interface ThingsThatCameProps {
  came: StudioThatCame;
  chosen: ReadonlyMap<string, string | null>;
  onChoose: (thing: ThingThatCame, itemId: string | null) => void;
}

/** More go as it is proposed. */
const SHOWN = 150;
const ADD = ' ';

/** Each thing of the shelf that is not the very same here: what it is, or that it is put on this shelf. */
export function ThingsThatCame({ came, chosen, onChoose }: ThingsThatCameProps) {
  const open = came.things.filter(({ isSame }) => !isSame);
  const alike = open.filter(({ itemId }) => itemId !== null);
  const choices = useMemo(() => choicesOf(came.shelf), [came.shelf]);
  if (open.length === 0) return null;
  return (
    <section aria-label="What is on your shelf already">
      <h3>What is on your shelf already</h3>
      <p className="quiet small">
        {alike.length > 0
          ? `${counted(alike.length, 'thing')} called the same as one of yours: taken for the same, its lots come as lots of yours. The others are put on your shelf.`
          : 'Nothing is called as anything of yours: all of it is put on your shelf.'}
      </p>
      <ul className={styles.things}>
        {[...alike, ...open.filter(({ itemId }) => itemId === null)].slice(0, SHOWN).map((thing) => (
          <li key={thing.id}>
            <span>
              <b>{thing.name}</b> <span className="quiet small">{kindOf(thing)}</span>
            </span>
            <Select<string>
              aria-label={`${thing.name} is`}
              value={chosen.get(thing.id) ?? ADD}
              showSearch={{ optionFilterProp: 'label' }}
              options={[{ value: ADD, label: 'put on my shelf' }, ...choices[thing.kind]]}
              onChange={(id) => onChoose(thing, id === ADD ? null : id)}
            />
          </li>
        ))}
      </ul>
      {open.length > SHOWN && (
        <p className="quiet small">and {open.length - SHOWN} more, which go as they are called</p>
      )}
    </section>
  );
}

const kindOf = ({ kind, preparation }: ThingOfShelf): string =>
  preparation === null ? THING_WORDS[kind] : PREPARATION_WORDS[preparation];

type Choices = Readonly<Record<ThingOfShelf['kind'], { value: string; label: string }[]>>;

/** Everything on this shelf by kind: of thousands, made once for all the lines. */
function choicesOf(shelf: readonly ThingOfShelf[]): Choices {
  const choices: Choices = { fibre: [], blend: [], finding: [], needle: [], tool: [], supplier: [] };
  for (const { kind, id, name, preparation } of shelf)
    choices[kind].push({
      value: id,
      label: preparation === null ? name : `${name}, ${PREPARATION_WORDS[preparation]}`,
    });
  return choices;
}

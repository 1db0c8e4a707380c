import { allTerms, type TermId, termOf } from '@lanakit/core/words';
import { Button, Drawer, Input } from 'antd';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { TOUR_START } from '../tour/tourStops.ts';
import { useTour } from '../tour/tourStore.ts';
import styles from './HelpHere.module.css';
import type { KeyLine } from './helpOfPlace.ts';
import { helpAt, KEYS_ANYWHERE } from './placeHelp.ts';

interface HelpHereProps {
  /** What the field that was asked from is about. */
  asked: TermId | null;
  onClose: () => void;
}

/** What the place answers, what its words mean, and its keys. */
export function HelpHere({ asked, onClose }: HelpHereProps) {
  const { pathname } = useLocation();
  const help = helpAt(pathname);
  const navigate = useNavigate();
  const begin = useTour((tour) => tour.begin);
  const [text, setText] = useState('');
  const terms = text === '' ? help.terms.filter((id) => id !== asked) : searchedTerms(text);
  return (
    <Drawer open title={help.title} onClose={onClose} size={460}>
      <p className={styles.answers}>{help.answers}</p>
      {asked !== null && (
        <dl className={styles.asked}>
          <Explained id={asked} />
        </dl>
      )}
      {help.ways.map((way) => (
        <p key={way} className={styles.way}>
          {way}
        </p>
      ))}
      <h2>Words</h2>
      <Input
        aria-label="Find a word"
        placeholder="Find a word: staple, spare, tops …"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <dl className={styles.terms}>
        {terms.map((id) => (
          <Explained key={id} id={id} />
        ))}
      </dl>
      {terms.length === 0 && <p className="quiet">That word is not explained here yet.</p>}
      <h2>Keys</h2>
      <Keys lines={[...help.keys, ...KEYS_ANYWHERE]} />
      <p className={styles.tour}>
        <Button
          onClick={() => {
            onClose();
            begin();
            void navigate(TOUR_START);
          }}
        >
          Be shown a first run, in five stops
        </Button>
      </p>
    </Drawer>
  );
}

function searchedTerms(text: string): readonly TermId[] {
  const wanted = text.trim().toLowerCase();
  return allTerms()
    .filter(([, { name, words }]) => `${name} ${words}`.toLowerCase().includes(wanted))
    .map(([id]) => id);
}

function Explained({ id }: { id: TermId }) {
  const { name, words } = termOf(id);
  return (
    <>
      <dt>{name}</dt>
      <dd>{words}</dd>
    </>
  );
}

function Keys({ lines }: { lines: readonly KeyLine[] }) {
  return (
    <table className={styles.keys}>
      <tbody>
        {lines.map(([keys, what]) => (
          <tr key={keys}>
            <td>
              <kbd>{keys}</kbd>
            </td>
            <td>{what}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

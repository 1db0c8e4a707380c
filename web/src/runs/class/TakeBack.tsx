import { inOrder } from '@lanakit/core/classDay';
import { Button } from 'antd';
import { useHotkeys } from 'react-hotkeys-hook';
import { actWords } from '../../words/classWords.ts';
import { deviceKey } from '../../api/deviceKey.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

/** The last thing that happened, and how to take it back: a tap too much costs one tap. */
export function TakeBack({ teaching: { here, names } }: { teaching: Teaching }) {
  const last = inOrder(here.events).at(-1);
  const back = () => last && here.act({ act: 'back', key: last.key });
  useHotkeys('mod+z', back, { preventDefault: true }, [last?.key]);
  if (!last) return null;
  return (
    <div className={`sheet ${styles.back}`}>
      <span className="quiet">
        Last: {actWords(last, names)}
        {last.from !== deviceKey() && ` (${last.device ?? 'another device'})`}
      </span>
      <Button size="large" onClick={back}>
        Take back
      </Button>
    </div>
  );
}

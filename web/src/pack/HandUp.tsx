import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { send } from '../api/client.ts';

interface Hand {
  readonly isUp: boolean;
}

/** So often it is asked whether somebody came. */
const ASKED_EVERY_MS = 8000;

/** A hand up in the class, without calling through the room. */
export function HandUp() {
  const [isUp, setUp] = useState<boolean | null>(null);
  useEffect(() => {
    let isHere = true;
    const ask = () =>
      void send<Hand>('GET', '/pack/hand').then(
        (hand) => isHere && setUp(hand.isUp),
        () => undefined,
      );
    ask();
    const timer = setInterval(ask, ASKED_EVERY_MS);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, []);
  const put = async (next: boolean) => {
    try {
      setUp((await send<Hand>('POST', '/pack/hand', { body: { key: nanoid(16), isUp: next } })).isUp);
    } catch {
      // Out of reach nobody sees it: it is not shown as if they did.
      setUp(null);
    }
  };
  if (isUp === null) return null;
  return (
    <Button
      size="small"
      type={isUp ? 'primary' : 'default'}
      aria-pressed={isUp}
      onClick={() => void put(!isUp)}
    >
      {isUp ? 'Hand is up' : 'Hand up'}
    </Button>
  );
}

import { Button } from 'antd';
import { useSWRConfig } from 'swr';

/** Asks the server once more for all that is shown, without waiting for the next time. */
export function AskAgain({ isSmall = false }: { isSmall?: boolean }) {
  const { mutate } = useSWRConfig();
  return (
    <Button size={isSmall ? 'small' : 'middle'} onClick={() => void mutate(() => true)}>
      Ask again now
    </Button>
  );
}

import { ConfigProvider } from 'antd';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { SWRConfig } from 'swr';
import { antdTheme } from '../ui/look/theme.ts';
import { useIsDark } from '../ui/look/useIsDark.ts';
import { tellsUnread } from './unread.ts';

const ASKING = {
  revalidateOnFocus: true,
  shouldRetryOnError: true,
  errorRetryInterval: 3000,
  use: [tellsUnread],
};

/** antd in our own look, and how often server state is asked again. */
export function Look({ children }: { children: ReactNode }) {
  const isDark = useIsDark();
  const theme = useMemo(() => antdTheme(isDark), [isDark]);
  const [layer, setLayer] = useState<HTMLElement | null>(null);
  const overThePage = useCallback(() => layer ?? document.body, [layer]);
  return (
    <ConfigProvider theme={theme} button={{ autoInsertSpace: false }} getPopupContainer={overThePage}>
      <SWRConfig value={ASKING}>{children}</SWRConfig>
      {/* Lists, notes and dialogs lie in a region with a name, so that who goes by regions comes to them. */}
      <section ref={setLayer} aria-label="Over the page" />
    </ConfigProvider>
  );
}

import { ConfigProvider } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { SWRConfig } from 'swr';
import { antdTheme } from '../ui/look/theme.ts';
import { useIsDark } from '../ui/look/useIsDark.ts';

/** antd in our own look, and how often server state is asked again. */
export function Look({ children }: { children: ReactNode }) {
  const isDark = useIsDark();
  const theme = useMemo(() => antdTheme(isDark), [isDark]);
  return (
    <ConfigProvider theme={theme} button={{ autoInsertSpace: false }}>
      <SWRConfig value={{ revalidateOnFocus: true, shouldRetryOnError: true, errorRetryInterval: 3000 }}>
        {children}
      </SWRConfig>
    </ConfigProvider>
  );
}

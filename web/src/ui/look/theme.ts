import { theme, type ThemeConfig } from 'antd';

/** antd's theme from the same custom properties as everything else, read once the style sheet is there. */
export function antdTheme(isDark: boolean): ThemeConfig {
  const styles = getComputedStyle(document.documentElement);
  const token = (name: string) => styles.getPropertyValue(`--${name}`).trim();
  return {
    algorithm: isDark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      colorPrimary: token('action'),
      colorInfo: token('action'),
      colorError: token('red'),
      colorWarning: token('amber'),
      colorSuccess: token('leaf'),
      colorText: token('ink'),
      colorTextSecondary: token('ink-2'),
      colorTextPlaceholder: token('ink-2'),
      colorTextDescription: token('ink-2'),
      colorTextLightSolid: token('action-ink'),
      colorBgContainer: token('paper'),
      colorBgElevated: token('paper'),
      colorBgLayout: token('felt'),
      colorBorder: token('field-line'),
      colorBorderSecondary: token('line'),
      fontFamily: token('text'),
      fontSize: 15,
      borderRadius: 2,
      controlHeight: 32,
      lineWidth: 1,
      motion: false,
      wireframe: false,
      boxShadowSecondary: '0 1px 0 rgb(29 39 51 / 12%), 0 6px 18px rgb(29 39 51 / 14%)',
    },
    components: {
      Button: { fontWeight: 600, primaryShadow: 'none', defaultShadow: 'none' },
      Input: { activeShadow: 'none', paddingInline: 8 },
      Select: { optionSelectedBg: token('chosen'), optionActiveBg: token('paper-2') },
      Segmented: { itemSelectedBg: token('paper'), trackBg: token('paper-2'), itemColor: token('ink-2') },
      Modal: { titleFontSize: 18 },
    },
  };
}

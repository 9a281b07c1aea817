import type { ThemeConfig } from 'antd';

/** The look of everything that comes from Ant Design, set up once. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: '#0b6b6f',
    colorLink: '#0b6b6f',
    colorError: '#a3261b',
    colorText: '#20262b',
    colorTextPlaceholder: '#6f6a5f',
    colorTextDisabled: '#6f6a5f',
    colorBorder: '#d9d3c4',
    colorBorderSecondary: '#e6e1d5',
    colorBgBase: '#fcfbf7',
    colorBgLayout: '#f5f2ea',
    colorBgContainer: '#fcfbf7',
    colorBgElevated: '#fcfbf7',
    borderRadius: 3,
    borderRadiusLG: 3,
    borderRadiusSM: 3,
    fontFamily: "'Atkinson Hyperlegible Next', sans-serif",
    fontFamilyCode: "'Atkinson Hyperlegible Mono', monospace",
    fontSize: 13,
    controlHeight: 28,
    controlHeightSM: 24,
    // Nothing moves on its own: what is closed is gone, and the keys work at once.
    motion: false,
    boxShadow: '0 4px 16px rgb(32 38 43 / 14%)',
    boxShadowSecondary: '0 4px 16px rgb(32 38 43 / 14%)',
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 400 },
    Select: { optionSelectedBg: '#e8e4d8' },
    Table: { headerBg: '#f5f2ea', cellPaddingBlockSM: 5 },
  },
};
